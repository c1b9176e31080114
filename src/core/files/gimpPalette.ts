import { fail, ok, type Fault, type Result } from '../model/result';

export interface NamedColour {
  name: string;
  /** `#rrggbb` */
  colour: string;
}

const HEAD = 'GIMP Palette';
const MOST_COLOURS = 1000;
const TOLD = 20;

/**
 * Reads a GIMP palette (.gpl): its head line, `Name:` and `Columns:` lines, comments after `#`, then a colour a line as
 * three whole figures 0–255 and a name. Whatever is wrong is told by line, and then nothing of it is taken.
 */
export function readGimpPalette(text: string): Result<{ name: string; colours: NamedColour[] }> {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/);
  if (lines[0]?.trim() !== HEAD) return fail('line 1', `is no palette: it begins with “${HEAD}”`);
  const colours: NamedColour[] = [];
  const faults: Fault[] = [];
  let name = '';
  for (const [i, raw] of lines.entries()) {
    const line = raw.trim();
    if (i === 0 || line === '' || line.startsWith('#') || /^columns:/i.test(line)) continue;
    const named = /^name:\s*(.*)$/i.exec(line);
    if (named) {
      name = named[1]!.slice(0, 80);
      continue;
    }
    const found = /^(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(line);
    const bytes = found?.slice(1, 4).map(Number) ?? [];
    if (!found || bytes.some((byte) => byte > 255)) {
      faults.push({
        path: `line ${i + 1}`,
        message: 'is no colour: three whole figures from 0 to 255, then a name',
      });
      continue;
    }
    if (colours.length >= MOST_COLOURS)
      return fail(`line ${i + 1}`, `is one colour too many: at most ${MOST_COLOURS}`);
    const colour = `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
    colours.push({ name: (found[4] ?? '').trim().slice(0, 80) || colour, colour });
  }
  if (faults.length > 0) return { ok: false, faults: faults.slice(0, TOLD) };
  if (colours.length === 0) return fail('the palette', 'has no colour');
  return ok({ name, colours });
}

/** Writes colours as a GIMP palette. A name keeps to its line. */
export function writeGimpPalette(name: string, colours: readonly NamedColour[]): string {
  const plain = (words: string) => words.replace(/[\r\n\t]+/g, ' ').trim();
  return [
    HEAD,
    `Name: ${plain(name)}`,
    'Columns: 0',
    '#',
    ...colours.map(({ name: own, colour }) => {
      const bytes = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
      return `${bytes.map((byte) => String(byte).padStart(3)).join(' ')}\t${plain(own)}`;
    }),
    '',
  ].join('\n');
}
