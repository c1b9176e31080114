import fc from 'fast-check';
import { differenceCiede2000 } from 'culori';
import {
  absorptionShare,
  blend,
  contrastRatio,
  filmPigment,
  GROUNDS,
  HIDING_RATIO,
  hidingThickness,
  layerOf,
  masstone,
  over,
  reflectance,
  sheerReflectance,
  type Triple,
} from './film';
import { difference, hexOf, luminance, linearOf } from './space';
import { pigmentOf } from './pigments';

const grey = (r: number): Triple => [r, r, r];

describe('a film after Kubelka and Munk', () => {
  it('has the limits of the theory', () => {
    const ks = absorptionShare(0.3);
    expect(reflectance(ks, 1e-9, 0.6)).toBeCloseTo(0.6, 6); // X → 0: the ground
    expect(reflectance(ks, 200, 0.1)).toBeCloseTo(0.3, 9); // X → ∞: R∞
    expect(reflectance(0, 2, 0.25)).toBeCloseTo((0.75 * 2 + 0.25) / (0.75 * 2 + 1), 12); // K = 0
    expect(sheerReflectance(0.4, 0.7)).toBeCloseTo(0.7 * Math.exp(-0.8), 12); // S → 0
  });

  it('meets the worked figures: R∞ 0.5, SX 1', () => {
    const ks = absorptionShare(0.5);
    expect(reflectance(ks, 1, 0)).toBeCloseTo(0.41138, 5);
    expect(reflectance(ks, 1, 0.8)).toBeCloseTo(0.57925, 5);
  });

  // The criterion is R0/RW = 0.98 over grounds 0 and 0.8 (ISO 6504-3, ASTM D2805); roots solved independently.
  it.each([
    [0.05, 0.3359, 4],
    [0.5, 2.8717, 4],
    [0.85, 7.667, 3],
  ])('R∞ %d hides on a card at SX %d', (r, sx, digits) => {
    expect(hidingThickness(r, 'card')).toBeCloseTo(sx, digits);
  });

  it('covers in as many coats as the product says, and not in one fewer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.95, noNaN: true }),
        fc.integer({ min: 2, max: 5 }),
        fc.constantFrom('card' as const, 'nail' as const),
        (r, coats, ground) => {
          const pigment = filmPigment(grey(r), coats, 50, ground);
          const ks = pigment.K[0] / pigment.S[0];
          expect(contrastRatio(ks, pigment.S[0] * 50 * coats, GROUNDS[ground])).toBeGreaterThanOrEqual(
            HIDING_RATIO - 1e-9,
          );
          expect(contrastRatio(ks, pigment.S[0] * 50 * (coats - 1), GROUNDS[ground])).toBeLessThan(
            HIDING_RATIO,
          );
        },
      ),
    );
  });

  it('laid as one layer of double thickness or two layers looks the same', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (r, ground, t) => {
          const pigment = filmPigment(grey(r), 2, 50, 'nail');
          const once = over(layerOf(pigment, 2 * t), grey(ground))[0];
          const twice = over(layerOf(pigment, t), over(layerOf(pigment, t), grey(ground)))[0];
          expect(twice).toBeCloseTo(once, 8);
          expect(once).toBeCloseTo(reflectance(pigment.K[0] / pigment.S[0], pigment.S[0] * 2 * t, ground), 8);
        },
      ),
    );
  });
});

describe('a wet blend', () => {
  it('sums K and S, each colour with its own S', () => {
    // White 0.85 and black 0.02, half and half, the black scattering a tenth: 0.1605 (worked by hand).
    const white = { S: grey(1), K: grey(absorptionShare(0.85)) };
    const black = { S: grey(0.1), K: grey(0.1 * absorptionShare(0.02)) };
    const mixed = blend([
      { pigment: white, share: 0.5 },
      { pigment: black, share: 0.5 },
    ]);
    expect(masstone(mixed)[0]).toBeCloseTo(0.1605, 4);
  });

  it('is each colour itself at the ends', () => {
    const a = filmPigment(linearOf('#8a2532'), 2, 45, 'nail');
    const b = filmPigment(linearOf('#e2942a'), 2, 45, 'nail');
    const end = blend([
      { pigment: a, share: 1 },
      { pigment: b, share: 0 },
    ]);
    expect(hexOf(masstone(end))).toBe('#8a2532');
  });
});

describe('colour differences', () => {
  // Pairs from Sharma, Wu & Dalal (2005), table 1: L a b, L a b, ΔE00.
  it.each([
    [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
    [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
    [50, 2.5, 0, 61, -5, 29, 22.8977],
    [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
    [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
  ])('%d %d %d against %d %d %d is %d', (l1, a1, b1, l2, a2, b2, expected) => {
    const delta = differenceCiede2000()(
      { mode: 'lab65', l: l1, a: a1, b: b1 },
      { mode: 'lab65', l: l2, a: a2, b: b2 },
    );
    expect(delta).toBeCloseTo(expected, 4);
  });

  it('is nought for the same colour, and symmetrical', () => {
    const a = linearOf('#1c2a4f');
    const b = linearOf('#d9c38a');
    expect(difference(a, a)).toBe(0);
    expect(difference(a, b)).toBeCloseTo(difference(b, a), 9);
  });

  it('reads back the hex it wrote', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const hex = `#${n.toString(16).padStart(6, '0')}`;
        expect(hexOf(linearOf(hex))).toBe(hex);
      }),
    );
  });
});

describe('a product’s pigment', () => {
  it('shows the product’s colour once it hides', () => {
    const product = {
      id: 'a',
      name: 'A',
      family: 'gel-colour',
      colour: '#b5392c',
      coats_to_cover: 2,
      coat_um: 45,
    } as const;
    expect(hexOf(masstone(pigmentOf(product)))).toBe('#b5392c');
  });
  it('of a sheer darkens a ground without hiding it', () => {
    const sheer = pigmentOf({
      id: 's',
      name: 'S',
      family: 'gel-colour',
      colour: '#efc4b4',
      effect: 'sheer',
      coat_um: 45,
    });
    // Pale, it scatters a little: over a dark ground it is a veil, and far from a cover.
    expect(sheer.S[0]).toBeGreaterThan(0);
    const overDark = over(layerOf(sheer, 90), grey(0.2));
    expect(overDark[0]).toBeGreaterThan(0.2);
    expect(luminance(overDark) / luminance(over(layerOf(sheer, 90), grey(0.8)))).toBeLessThan(0.6);
    const seen = over(layerOf(sheer, 90), grey(1));
    expect(hexOf(seen)).toBe('#efc4b4');
  });
});
