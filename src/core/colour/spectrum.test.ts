import fc from 'fast-check';
import { bandsOf, linearOfBands, mixBands } from './spectrum';
import { lchOf, linearOf } from './space';
import type { Triple } from './film';

const share = fc.double({ min: 0, max: 1, noNaN: true });

/** Hue angle of a linear colour in the plane of red, green and blue: 0 red, 120 green, 240 blue. */
function hue([r, g, b]: Triple): number {
  const angle = (Math.atan2(Math.sqrt(3) * (g - b), 2 * r - g - b) * 180) / Math.PI;
  return (angle + 360) % 360;
}

describe('ten bands', () => {
  it('a flat spectrum is a grey of its own height', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.95, noNaN: true }), (height) => {
        const seen = linearOfBands(Array.from({ length: 10 }, () => height));
        for (const channel of seen) expect(channel).toBeCloseTo(height, 6);
      }),
    );
  });

  it('a grey comes back as itself', () => {
    for (const height of [0.05, 0.3, 0.8]) {
      const seen = linearOfBands(bandsOf([height, height, height]));
      for (const channel of seen) expect(channel).toBeCloseTo(height, 2);
    }
  });

  it('every colour comes back with its hue, near its height', () => {
    fc.assert(
      fc.property(share, share, share, (r, g, b) => {
        const most = Math.max(r, g, b);
        const least = Math.min(r, g, b);
        if (most < 0.1 || most - least < 0.4 * most) return;
        const seen = linearOfBands(bandsOf([r, g, b]));
        const off = Math.abs(hue(seen) - hue([r, g, b]));
        expect(Math.min(off, 360 - off)).toBeLessThan(35);
        expect(Math.max(...seen)).toBeGreaterThan(most * 0.5);
        expect(Math.max(...seen)).toBeLessThan(most * 1.6 + 0.05);
      }),
      { numRuns: 300 },
    );
  });

  it('mix to either end where there is only one, and stay within reflectances', () => {
    const a = linearOf('#e2942a');
    const b = linearOf('#5f2050');
    expect(hue(mixBands(a, b, 0))).toBeCloseTo(hue(linearOfBands(bandsOf(a))), 3);
    expect(hue(mixBands(a, b, 1))).toBeCloseTo(hue(linearOfBands(bandsOf(b))), 3);
    fc.assert(
      fc.property(share, share, share, share, (r, g, t, u) => {
        for (const channel of mixBands([r, g, t], [u, r, g], t)) {
          expect(channel).toBeGreaterThan(-0.1);
          expect(channel).toBeLessThan(1.2);
        }
      }),
      { numRuns: 100 },
    );
  });

  // What every painter's box shows: yellow and blue make green, not the grey of red, green and blue light.
  it('yellow and blue make green', () => {
    const middle = mixBands(linearOf('#f2d21c'), linearOf('#1f6fd0'), 0.35);
    expect(middle[1]).toBeGreaterThan(middle[0]);
    expect(middle[1]).toBeGreaterThan(middle[2]);
    expect(lchOf(middle).chroma).toBeGreaterThan(15);
  });

  it('complements still go dull', () => {
    const from = linearOf('#ecd446');
    const to = linearOf('#5b3fa0');
    const ends = Math.min(lchOf(from).chroma, lchOf(to).chroma);
    const middle = Math.min(...[0.3, 0.4, 0.5, 0.6].map((t) => lchOf(mixBands(from, to, t)).chroma));
    expect(middle).toBeLessThan(ends * 0.6);
  });
});
