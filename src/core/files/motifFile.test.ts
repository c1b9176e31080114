import fc from 'fast-check';
import { MOTIFS, motifRegion } from '../craft/motifs';
import type { KeptMotif } from '../craft/keptMotif';
import { genericKit } from '../starter/kit';
import { motifSvg } from '../picture/motifSvg';
import { readMotifs, writeMotifs } from './motifFile';

const [velvet, plum] = genericKit().products;
const kept = (i = 0): KeptMotif => ({
  id: `motif-${i}`,
  name: MOTIFS[i]!.words,
  cure: 'all',
  colours: MOTIFS[i]!.colours.map((strokes, k) => ({
    product: k === 0 ? velvet! : plum!,
    region: motifRegion(strokes),
  })),
});
const faultsOf = (text: string) => {
  const read = readMotifs(text);
  return read.ok ? [] : read.faults;
};
const withChange = (change: (file: Record<string, unknown>) => void) => {
  const file = JSON.parse(writeMotifs([kept(0), kept(1)])) as Record<string, unknown>;
  change(file);
  return JSON.stringify(file);
};

describe('a library of motifs as a file', () => {
  it('comes back as it went', () => {
    const all = MOTIFS.map((_, i) => kept(i));
    expect(readMotifs(writeMotifs(all))).toEqual({ ok: true, value: all });
    expect(readMotifs(writeMotifs([]))).toEqual({ ok: true, value: [] });
  });

  it('of version 1 opens: its colours have neither names nor passes', () => {
    const text = withChange((file) => (file.version = 1));
    expect(readMotifs(text)).toEqual(readMotifs(withChange(() => undefined)));
  });

  it.each<[string, string, RegExp]>([
    ['is no JSON', '{', /not JSON/],
    ['is another file', '{"format":"merry-lacquer-set","version":16}', /library of motifs/],
    [
      'is of a newer program',
      withChange((file) => (file.version = 9)),
      /newer program; this one reads up to 2/,
    ],
    ['has an unknown key', withChange((file) => (file.extra = 1)), /extra|unknown|key/i],
    [
      'has a motif without strokes',
      withChange((file) => ((file.motifs as KeptMotif[])[0]!.colours = [])),
      /./,
    ],
    [
      'has ten thousand strokes',
      withChange((file) => {
        const { region } = (file.motifs as KeptMotif[])[0]!.colours[0]!;
        if (region.kind === 'paths') region.paths = Array.from({ length: 10_000 }, () => region.paths[0]!);
      }),
      /60/,
    ],
    ['has one id twice', withChange((file) => ((file.motifs as KeptMotif[])[1]!.id = 'motif-0')), /twice/],
    ['has 50 MB', ' '.repeat(50 * 1024 * 1024), /MB/],
  ])('that %s is told with its place, and nothing is taken', (_words, text, says) => {
    const [fault] = faultsOf(text);
    expect(`${fault!.path} ${fault!.message}`).toMatch(says);
  });

  it('broken anywhere is refused, or read as something the library may hold', () => {
    const text = writeMotifs([kept(0)]);
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.constantFrom('0', '"', '}', 'x', '-', ','), (at, sign) => {
        const read = readMotifs(text.slice(0, at) + sign + text.slice(at + 1));
        if (read.ok) {
          // As text: a minus before a 0 is the same number, and is not written again.
          const written = writeMotifs(read.value);
          const again = readMotifs(written);
          expect(again.ok && writeMotifs(again.value)).toBe(written);
        } else expect(read.faults[0]!.message.length).toBeGreaterThan(3);
      }),
    );
  });
});

describe('a motif as SVG', () => {
  it.each(MOTIFS.map((one, i) => [one.words, i] as const))(
    '%s has a mark for every stroke, and no script',
    (_words, i) => {
      const svg = motifSvg(kept(i));
      expect(svg.match(/<path /g)!.length).toBe(MOTIFS[i]!.colours.flat().length);
      expect(svg).not.toMatch(/script|NaN|undefined|Infinity/);
      // All of it lies within what is shown.
      const [, w, h] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!;
      for (const [, x, y] of svg.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)) {
        expect(Number(x)).toBeGreaterThanOrEqual(0);
        expect(Number(x)).toBeLessThanOrEqual(Number(w));
        expect(Number(y)).toBeGreaterThanOrEqual(0);
        expect(Number(y)).toBeLessThanOrEqual(Number(h));
      }
    },
  );

  it('writes a name as text, whatever it is', () => {
    const svg = motifSvg({ ...kept(0), name: '<script>alert(1)</script> & co' });
    expect(svg).toContain('&lt;script&gt;alert(1)&lt;/script&gt; &amp; co');
  });
});
