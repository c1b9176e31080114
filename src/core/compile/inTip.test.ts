import { buildKindOf, type Build } from '../craft/builds';
import { element, setWearing } from '../testing/sets';
import { compileNail } from './compile';

const hexagon = (across: number, along: number) => ({
  ...element('inlay').pieces[0]!,
  shape: 'hexagon' as const,
  across,
  along,
  width_mm: 1.4,
  length_mm: 1.4,
  metallic: true,
});

/** Seconds the fixing gel of a filled tip is flashed. */
function lit_s(pieces: ReturnType<typeof hexagon>[]): number {
  const set = setWearing([element('inlay', { pieces, fit: 'keep' })], (one) => {
    one.builds.push({ ...buildKindOf('soft-gel-tip').fresh('test'), art: 'inside' } as Build);
    one.nails['left-ring'].build = 'test';
  });
  return compileNail(set, 'left-ring').operations.find(({ step }) => step === 'flash-tip')!.lamp!.seconds;
}

describe('light through what lies inside a tip', () => {
  it('is as long for six dark hexagons side by side as for one, and longer where two lie over each other', () => {
    const one = lit_s([hexagon(0, 0.6)]);
    const six = [-0.5, 0, 0.5].flatMap((across) => [hexagon(across, 0.4), hexagon(across, 0.75)]);
    expect(lit_s(six)).toBe(one);
    expect(lit_s([hexagon(0, 0.6), hexagon(0.02, 0.62)])).toBeGreaterThan(one);
    // Past the bed nothing has to cure through it.
    expect(lit_s([hexagon(0, 1.5)])).toBeLessThan(one);
  });
});
