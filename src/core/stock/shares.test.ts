import fc from 'fast-check';
import { productShares } from './shares';

describe('what a film is made of', () => {
  it('is its product alone where nothing is said', () => {
    expect(productShares('a', undefined)).toEqual([{ product: 'a', share: 1 }]);
    expect(productShares('a', { kind: 'product' })).toEqual([{ product: 'a', share: 1 }]);
  });

  it('a run of three reaches half way to its neighbours, and to the ends', () => {
    const stops = [
      { product: 'a', at: 0.2 },
      { product: 'b', at: 0.6 },
      { product: 'c', at: 0.8 },
    ];
    const shares = productShares('a', { kind: 'blend', direction: 'along', stops, mirror: false });
    expect(shares.map(({ product }) => product)).toEqual(['a', 'b', 'c']);
    // By hand: 0.2 + 0.4 / 2; 0.4 / 2 + 0.2 / 2; 0.2 / 2 + 0.2.
    [0.4, 0.3, 0.3].forEach((share, i) => expect(shares[i]!.share).toBeCloseTo(share, 10));
  });

  it('adds up to the whole film, whatever the paint', () => {
    const product = fc.constantFrom('a', 'b', 'c', 'd');
    const paint = fc.oneof(
      fc
        .array(fc.record({ product, at: fc.double({ min: 0, max: 1, noNaN: true }) }), {
          minLength: 2,
          maxLength: 6,
        })
        .map((stops) => ({ kind: 'blend' as const, direction: 'along' as const, stops, mirror: false })),
      fc
        .array(fc.record({ product, share: fc.double({ min: 0.05, max: 3, noNaN: true }) }), {
          minLength: 2,
          maxLength: 4,
        })
        .map((parts) => ({
          kind: 'marble' as const,
          parts,
          vein_mm: 1,
          turn_deg: 0,
          mixed: 0.4,
          seed: 1,
          mirror: false,
        })),
      fc
        .double({ min: 0.05, max: 0.5, noNaN: true })
        .map((strength) => ({ kind: 'diluted' as const, strength })),
    );
    fc.assert(
      fc.property(paint, (one) => {
        const shares = productShares('a', one);
        expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(new Set(shares.map((each) => each.product)).size).toBe(shares.length);
        for (const { share } of shares) expect(share).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
