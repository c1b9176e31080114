/**
 * A checker of cards that knows nothing of how they are made: what is done when, in words, and the lines that a person
 * reads. Every second has a line, every piece of work is named by one, no line says nothing. For tests only.
 */

export interface Done {
  /** What the operation is called. */
  words: string;
  /** Its brush is taken up; it begins; it ends. */
  ready_s: number;
  start_s: number;
  end_s: number;
  /** It is light for so long. */
  light_s?: number;
}

export interface ReadLine {
  kind: string;
  start_s: number;
  words: string;
  nails: string;
  light?: { seconds: number };
  wait_s?: number;
}

/** Lines give times to ten seconds; a pause of a breath needs none. */
const ROUNDED_S = 10;
const BREATH_S = 12;

/** Everything of a card that a person could stumble over; empty where it is whole. */
export function checkCard(lines: readonly ReadLine[], done: readonly Done[], total_s: number): string[] {
  return [...namedOnce(lines, done), ...noHoles(lines, done, total_s), ...lines.flatMap(saysNothing)];
}

/** Each piece of work is in the words of a line that has begun by then, and each light is on one. */
function namedOnce(lines: readonly ReadLine[], done: readonly Done[]): string[] {
  return done.flatMap(({ words, start_s, light_s }) => {
    const begun = lines.filter((line) => line.start_s <= start_s + ROUNDED_S);
    const named = begun.some((line) =>
      light_s === undefined
        ? says(line.words, words)
        : line.light !== undefined && Math.abs(line.light.seconds - light_s) < 0.1,
    );
    return named ? [] : [`no line says “${words}” by ${start_s} s`];
  });
}

const IN_TIP = ', inside the tip';

/** Of work that is all done inside the tip a line says so once. */
function says(line: string, words: string): boolean {
  const [what, inTip] = [plain(words).replace(IN_TIP, ''), words.includes(IN_TIP)];
  return plain(line).includes(what) && (!inTip || line.includes(IN_TIP));
}

const plain = (words: string) => words.toLowerCase();

function noHoles(lines: readonly ReadLine[], done: readonly Done[], total_s: number): string[] {
  const spans = [...done].sort((a, b) => a.ready_s - b.ready_s);
  const faults: string[] = [];
  let covered_s = 0;
  for (const { ready_s, end_s } of [...spans, { ready_s: total_s, end_s: total_s }]) {
    const hole_s = ready_s - covered_s;
    const told = lines.some(
      (line) =>
        line.kind === 'wait' &&
        Math.abs(line.start_s - covered_s) <= ROUNDED_S &&
        Math.abs((line.wait_s ?? 0) - hole_s) <= ROUNDED_S,
    );
    if (hole_s > BREATH_S && !told) faults.push(`${hole_s} s from ${covered_s} s on have no line`);
    covered_s = Math.max(covered_s, end_s);
  }
  return faults;
}

function saysNothing(line: ReadLine): string[] {
  const faults: string[] = [];
  const said = `${line.nails} ${line.words}`;
  if ((line.kind !== 'lamp' && line.words.trim().length < 3) || line.nails.trim() === '')
    faults.push(`a line names nothing: “${said}”`);
  if (/undefined|NaN|null|\[object|[{}]|\d+\.\d{2,}/.test(said))
    faults.push(`not in people’s words: “${said}”`);
  if (/[:,;–]\s*$/.test(line.words)) faults.push(`breaks off: “${said}”`);
  for (const seconds of [line.light?.seconds, line.wait_s])
    if (seconds !== undefined && Math.abs(seconds * 10 - Math.round(seconds * 10)) > 1e-6)
      faults.push(`${seconds} s are no seconds anybody counts`);
  return faults;
}
