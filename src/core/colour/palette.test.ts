import fc from 'fast-check';
import { differenceCiede2000, formatHex } from 'culori';
import { newSet } from '../starter/newSet';
import { chance } from '../model/chance';
import { linearOf, hexOf } from './space';
import { matchColour } from './match';
import { paletteOf } from './palette';
import { COLOUR_VIEWS } from './views';

const apart = differenceCiede2000();

/** Pixels of some colours by share, with a little noise of the camera, in no order. */
function picture(colours: readonly { hex: string; share: number }[], size: number, seed: number) {
  const by = chance(seed);
  const pixels = new Uint8ClampedArray(size * 4);
  for (let i = 0; i < size; i += 1) {
    let at = by.next();
    const one = colours.find((each) => (at -= each.share) <= 0) ?? colours[colours.length - 1]!;
    for (let c = 0; c < 3; c += 1)
      pixels[i * 4 + c] = parseInt(one.hex.slice(1 + 2 * c, 3 + 2 * c), 16) + (by.next() - 0.5) * 8;
    pixels[i * 4 + 3] = 255;
  }
  return pixels;
}

describe('the palette of a picture', () => {
  it('finds the colours it was made of, and their shares', () => {
    const made = [
      { hex: '#4a0f22', share: 0.5 },
      { hex: '#e2942a', share: 0.3 },
      { hex: '#f2e7d3', share: 0.15 },
      { hex: '#1c2a4f', share: 0.05 },
    ];
    for (const seed of [1, 2, 3]) {
      const found = paletteOf(picture(made, 20_000, seed), 4, seed);
      expect(found).toHaveLength(4);
      found.forEach((one, i) => {
        expect(apart(hexOf(one.colour), made[i]!.hex)).toBeLessThan(2.5);
        expect(one.share).toBeCloseTo(made[i]!.share, 1);
      });
    }
  });

  it('any pixels: shares sum to one, the same seed finds the same, nothing where all is clear', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ minLength: 4, maxLength: 4000 }),
        fc.integer({ min: 1, max: 9 }),
        (bytes, count) => {
          const pixels = new Uint8ClampedArray(bytes.slice(0, bytes.length - (bytes.length % 4)));
          const found = paletteOf(pixels, count, 7);
          const solid = pixels.some((value, i) => i % 4 === 3 && value >= 128);
          expect(found.length).toBeLessThanOrEqual(count);
          expect(found.length > 0).toBe(solid);
          if (solid) expect(found.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 6);
          expect(paletteOf(pixels, count, 7)).toEqual(found);
          for (const { colour } of found)
            for (const value of colour) expect(Number.isFinite(value)).toBe(true);
        },
      ),
    );
  });
});

describe('a colour matched with what is there', () => {
  const { products } = newSet('test', 'Test').kit;
  const gels = products.filter((one) => one.family === 'gel-colour');
  it('is the product itself where it is one, and says how far off a stranger is', () => {
    const { single, mix } = matchColour(linearOf('#b5392c'), gels);
    expect(single?.parts).toEqual([{ product: 'ember-12', parts: 1 }]);
    expect(single?.off).toBeLessThan(3);
    expect(mix?.parts).toHaveLength(2);
    const far = matchColour(linearOf('#00ff00'), gels);
    expect(far.single!.off).toBeGreaterThan(20);
    // CIEDE2000 as culori has it from the screen colours.
    const byHand = apart(hexOf(far.single!.colour), '#00ff00');
    expect(Math.abs(far.single!.off - byHand)).toBeLessThan(0.3);
  });
  it('mixes two that lie on both sides better than either alone', () => {
    const [a, b] = [linearOf('#f2e7d3'), linearOf('#4a0f22')];
    const between = a.map((value, i) => value * 0.35 + b[i]! * 0.3) as [number, number, number];
    const { single, mix } = matchColour(between, gels);
    expect(mix!.off).toBeLessThan(single!.off);
    expect(formatHex({ mode: 'lrgb', r: mix!.colour[0], g: mix!.colour[1], b: mix!.colour[2] })).toMatch(
      /^#/,
    );
  });
});

it('sees as eyes that miss a cone do: the published matrices at full severity (Machado et al. 2009, table)', () => {
  const published: Record<string, number[]> = {
    protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
    deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
    tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
  };
  for (const [key, matrix] of Object.entries(published)) {
    const view = COLOUR_VIEWS.find((one) => one.key === key)!;
    matrix.forEach((value, i) => expect(view.matrix![i]).toBeCloseTo(value, 5));
    // Grey stays grey.
    for (const row of [0, 3, 6]) expect(matrix[row]! + matrix[row + 1]! + matrix[row + 2]!).toBeCloseTo(1, 4);
  }
});
