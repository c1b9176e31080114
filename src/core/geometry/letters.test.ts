import fc from 'fast-check';
import { Region } from '../regions';
import { WRITABLE } from '../regions/letters';
import { makeFrame } from './frame';
import { letterLines, pullsOf, textWidth } from './letters';
import { layRegion } from '../regions';

const SIGNS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789&-.!?+';
const frame = makeFrame({
  width_mm: 13,
  arch_mm: 3,
  bed_mm: 12,
  free_mm: 8,
  radiusAlong_mm: 35,
  shape: 'square',
});
const text = fc.string({ unit: fc.constantFrom(...SIGNS), minLength: 1, maxLength: 8 });

function extent(lines: readonly (readonly { x: number; y: number }[])[]) {
  const points = lines.flat();
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)] as const;
}

describe('letters', () => {
  it.each([...SIGNS])('%s is drawn in at least one pull, within its height and its own width', (sign) => {
    const lines = letterLines(sign, 10, 0, { x: 0, y: 0 });
    expect(lines).toHaveLength(pullsOf(sign));
    const [left, right, low, high] = extent(lines);
    // What is bent through its points swings out by a hair.
    expect(left).toBeGreaterThan(-textWidth(sign) * 5 - 0.5);
    expect(right).toBeLessThan(textWidth(sign) * 5 + 0.5);
    expect(low).toBeGreaterThan(-5.8);
    expect(high).toBeLessThan(5.4);
  });

  it('no two are drawn alike', () => {
    const drawn = [...SIGNS].map((sign) => JSON.stringify(letterLines(sign, 1, 0, { x: 0, y: 0 })));
    expect(new Set(drawn).size).toBe(SIGNS.length);
  });

  it('stand side by side about the middle, and turn about it as a stiff thing', () => {
    fc.assert(
      fc.property(text, fc.integer({ min: -180, max: 180 }), (word, turn_deg) => {
        const upright = letterLines(word, 4, 0, { x: 1, y: 7 });
        const turned = letterLines(word, 4, turn_deg, { x: 1, y: 7 });
        const away = ({ x, y }: { x: number; y: number }) => Math.hypot(x - 1, y - 7);
        expect(turned.flat().map(away)).toEqual(
          upright.flat().map((point) => expect.closeTo(away(point), 6)),
        );
        expect(turned).toHaveLength(pullsOf(word));
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['Ok', true],
    ['a-b & c', true],
    ['naïve', false],
    ['<b>', false],
    ['日', false],
    ['ſı', false],
    ['  ', false],
    ['', false],
    ['__proto__', false],
  ])('tells whether “%s” can be drawn', (word, can) => expect(WRITABLE.test(word)).toBe(can));

  it('the schema takes what can be drawn and nothing else', () => {
    const region = { kind: 'letters', height_mm: 4, width_mm: 0.4, turn_deg: 0, across: 0, along: 1 };
    fc.assert(
      fc.property(
        fc.string({
          unit: fc.constantFrom(...SIGNS, ...'abcxyz ', 'é', '<', 'ſ'),
          minLength: 1,
          maxLength: 16,
        }),
        (word) => {
          const takes = Region.safeParse({ ...region, text: word }).success;
          expect(takes).toBe(WRITABLE.test(word));
          if (takes) expect(pullsOf(word)).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('on the other hand lie on the other side and read the same way', () => {
    const region = Region.parse({
      kind: 'letters',
      text: 'L',
      height_mm: 6,
      width_mm: 0.6,
      turn_deg: 0,
      across: -0.4,
      along: 0.8,
    });
    const left = layRegion(frame, region, { mirror: false, scale: 1, margin_mm: 0 });
    const right = layRegion(frame, region, { mirror: true, scale: 1, margin_mm: 0 });
    const shift = 0.4 * frame.arc_mm;
    for (let x = -6; x < 0; x += 0.37)
      for (let y = 2; y < 16; y += 0.41)
        expect(right.distance_mm(x + shift, y) > 0).toBe(left.distance_mm(x, y) > 0);
  });
});
