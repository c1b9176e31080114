import fc from 'fast-check';
import { compileNail } from '../../compile/compile';
import { curtainUp } from '../../demo/curtainUp';
import { contextOf } from '../../document/nailContext';
import { outlineDistance_mm } from '../../geometry/frame';
import { marbleShares } from '../../simulate/marbling';
import type { Marble } from '../matter';
import { element, findingsOn, setWearing } from '../../testing/sets';
import { Element } from './index';

const { frame } = contextOf(curtainUp(), 'left-middle');
const paint = (over: Partial<Marble> = {}): Marble => ({
  kind: 'marble',
  parts: [
    { product: 'ivory-02', share: 1 },
    { product: 'velvet-04', share: 2 },
    { product: 'sage-03', share: 1 },
  ],
  vein_mm: 1.5,
  turn_deg: 30,
  mixed: 0,
  seed: 1,
  mirror: false,
  ...over,
});
const marbled = (over: Parameters<typeof element<'marbled'>>[1] = {}) => element('marbled', over);

describe('a marble', () => {
  it.each([1, 2, 131, 977])('of throw %i shows as much of each as was poured of it', (seed) => {
    const at = marbleShares(paint({ seed }), frame);
    const sum = [0, 0, 0];
    let looks = 0;
    // Looked at spot by spot, finer than the program does it and on another lattice.
    for (let y = 0.05; y < frame.length_mm; y += 0.11)
      for (let x = -frame.arc_mm / 2; x < frame.arc_mm / 2; x += 0.13) {
        if (outlineDistance_mm(frame, x, y) < 0) continue;
        looks += 1;
        at(x, y).forEach((share, i) => (sum[i]! += share));
      }
    sum.forEach((one, i) => expect(Math.abs(one / looks - [0.25, 0.5, 0.25][i]!)).toBeLessThan(0.02));
  });

  it('has shares that add up to one at every spot, stirred or not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (x, y, mixed) => {
          const shares = marbleShares(paint({ mixed }), frame)(x, y);
          expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
          for (const share of shares) expect(share).toBeGreaterThanOrEqual(-1e-12);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('stirred to the end is one colour: everywhere what was poured', () => {
    const at = marbleShares(paint({ mixed: 1 }), frame);
    for (const [x, y] of [
      [0, 3],
      [-2, 8],
      [3, 11],
    ] as const)
      at(x, y).forEach((share, i) => expect(share).toBeCloseTo([0.25, 0.5, 0.25][i]!, 9));
  });

  it('turned over on the other hand is its mirror image', () => {
    const one = marbleShares(paint(), frame);
    const other = marbleShares(paint({ mirror: true }), frame);
    for (let x = -4; x < 4; x += 0.7) expect(other(-x, 6)).toEqual(one(x, 6));
  });

  it('of one colour, or of twelve, is refused in words', () => {
    const part = { product: 'ivory-02', share: 0.5 };
    for (const [count, words] of [
      [1, 'must be of two colours at least'],
      [12, 'must be of 6 colours at most'],
    ] as const) {
      const parsed = Element.safeParse(marbled({ parts: Array.from({ length: count }, () => part) }));
      expect(parsed.error!.issues[0]!.message).toBe(words);
    }
  });

  it('of colours that are alike, or stirred into one, is told', () => {
    const codes = (over: Parameters<typeof marbled>[0]) =>
      findingsOn(setWearing([marbled(over)]), 'left-middle').map(({ code }) => code);
    expect(
      codes({
        parts: [
          { product: 'plum-07', share: 0.5 },
          { product: 'plum-07', share: 0.5 },
        ],
      }),
    ).toContain('marble-flat');
    expect(codes({ mixed: 0.95 })).toContain('marble-stirred');
    expect(codes({})).not.toContain('marble-stirred');
  });

  it('in putty is half mixed and pressed on; in acrylic beaded and filed, with no light', () => {
    const verbs = (product: string) =>
      compileNail(
        setWearing([
          marbled({
            ground: false,
            parts: [
              { product, share: 0.5 },
              { product, share: 0.3 },
            ],
          }),
        ]),
        'left-ring',
      )
        .operations.filter(({ element: id, step }) => id === 'marbled' && !step.endsWith('-under'))
        .map(({ verb }) => verb);
    expect(verbs('putty-a')).toEqual(['cap', 'flash', 'cure']);
    expect(verbs('acrylic-a')).toEqual(['sculpt', 'buff', 'dust-off', 'wipe']);
  });
});
