import type { Element } from '../craft/techniques';
import type { Product } from '../model/product';
import { planNail } from '../plan/nailPlan';
import { element, setWearing } from '../testing/sets';
import { glitters } from './glitter';
import { drawNail } from './nailPicture';

const PX = 12;

/** Night blue, or what is made of it, with green grains in its pot where there are any. */
function wearing(
  grains: Product['grains'],
  passes = 1,
  more: Partial<Extract<Element, { kind: 'colour' }>> = {},
  made: Partial<Product> = {},
) {
  return setWearing([element('colour', { product: 'night-blue', passes, ...more })], (set) => {
    set.kit.products = set.kit.products.map((one) =>
      one.id === 'night-blue' && grains ? { ...one, ...made, grains } : one,
    );
  });
}
function pictureOf(set: ReturnType<typeof wearing>, name: 'left-ring' | 'right-ring' = 'left-ring') {
  const { nominal, compiled } = planNail(set, name);
  return drawNail(nominal.field, compiled.context.product, PX);
}
/** The share of the middle of a nail that is green. */
function greenOf({ data, width, height }: ReturnType<typeof pictureOf>): number {
  let [green, all] = [0, 0];
  for (let y = Math.round(0.2 * height); y < 0.8 * height; y += 1)
    for (let x = Math.round(0.25 * width); x < 0.75 * width; x += 1) {
      const i = 4 * (y * width + x);
      all += 1;
      if (data[i + 1]! > data[i]! + 60 && data[i + 1]! > data[i + 2]! + 30) green += 1;
    }
  return green / all;
}
const GREEN = { shape: 'hexagon', size_mm: 0.4, colour: '#20e060', metallic: false, per_cm2: 300 } as const;
/** Of a regular hexagon by its corners' distance from its middle. */
const HEXAGON_MM2 = ((3 * Math.sqrt(3)) / 2) * (GREEN.size_mm / 2) ** 2;

describe('grains in the pot', () => {
  it('cover as much of a coat as so many of their size do', () => {
    const laid = (GREEN.per_cm2 / 100) * HEXAGON_MM2;
    const seen = greenOf(pictureOf(wearing(GREEN)));
    expect(seen).toBeGreaterThan(0.72 * laid);
    expect(seen).toBeLessThan(1.08 * laid);
    // Each coat of clear brings its own, which lie elsewhere: what two leave free, each has left free.
    const clear = { colour: undefined, coats_to_cover: undefined };
    const [once, twice] = [1, 2].map((passes) => greenOf(pictureOf(wearing(GREEN, passes, {}, clear))));
    expect(Math.abs(1 - twice! - (1 - once!) ** 2)).toBeLessThan(0.06);
  });

  it('are not seen where none are in it, nor through an opaque coat over them', () => {
    expect(greenOf(pictureOf(wearing(undefined)))).toBe(0);
    const set = wearing(GREEN);
    set.looks[0]!.elements.push({ ...element('colour', { product: 'night-blue-2', passes: 2 }), id: 'over' });
    set.kit.products.push({
      ...set.kit.products.find((one) => one.id === 'night-blue')!,
      id: 'night-blue-2',
      grains: undefined,
    });
    expect(greenOf(pictureOf(set))).toBeLessThan(0.01);
  });

  it('lie on the other hand as in a mirror', () => {
    const set = wearing(GREEN, 1, { region: { kind: 'band', from: 0.2, to: 0.8 }, hand: 'mirror' });
    set.nails['right-ring'] = { ...set.nails['left-ring'] };
    const [left, right] = [pictureOf(set), pictureOf(set, 'right-ring')];
    let apart = 0;
    for (let y = 0; y < left.height; y += 1)
      for (let x = 0; x < left.width; x += 1) {
        const [i, j] = [4 * (y * left.width + x), 4 * (y * left.width + left.width - 1 - x)];
        // The lamp stands on one side, so the light differs, not the grains.
        const greenAt = ({ data }: typeof left, at: number) =>
          data[at + 1]! > data[at]! + 60 && data[at + 1]! > data[at + 2]! + 30;
        if (greenAt(left, i) !== greenAt(right, j)) apart += 1;
      }
    expect(apart / (left.width * left.height)).toBeLessThan(0.04);
    expect(greenOf(left)).toBeGreaterThan(0.05);
  });

  it('glitter where they are metal', () => {
    expect(glitters(wearing(GREEN), 'left-ring')).toBe(false);
    expect(glitters(wearing({ ...GREEN, metallic: true }), 'left-ring')).toBe(true);
  });
});
