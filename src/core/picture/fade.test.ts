import { differenceCiede2000 } from 'culori';
import { element, setWearing } from '../testing/sets';
import { fadeOf } from './fade';
import { swatchOf } from './swatch';

const apart = differenceCiede2000();
const fade = (stops: { product: string; at: number }[]) => {
  const one = element('ombre', { stops });
  return fadeOf(setWearing([one]), 'left-middle', one)!;
};

describe('a fade as it is painted', () => {
  it('covers more with each pass, and ends in its own colours', () => {
    const { passes } = fade([
      { product: 'amber-11', at: 0.1 },
      { product: 'plum-07', at: 0.9 },
    ]);
    expect(passes).toHaveLength(2);
    expect(apart(passes[1]![0]!, '#e2942a')).toBeLessThan(apart(passes[0]![0]!, '#e2942a'));
    expect(apart(passes[1]!.at(-1)!, '#5f2050')).toBeLessThan(6);
  });

  it('jumps where its colours lie close together, and moves evenly where they have room', () => {
    const wide = fade([
      { product: 'rose-nude', at: 0 },
      { product: 'velvet-04', at: 1 },
    ]);
    const tight = fade([
      { product: 'rose-nude', at: 0 },
      { product: 'rose-nude', at: 0.45 },
      { product: 'velvet-04', at: 0.55 },
      { product: 'velvet-04', at: 1 },
    ]);
    expect(wide.evenness).toBeGreaterThan(tight.evenness + 0.1);
    expect(Math.max(...tight.steps)).toBeGreaterThan(Math.max(...wide.steps) * 2);
  });

  it('is greyest between far hues, and not between near ones', () => {
    const far = fade([
      { product: 'lemon-05', at: 0.1 },
      { product: 'violet-09', at: 0.9 },
    ]);
    const near = fade([
      { product: 'amber-11', at: 0.1 },
      { product: 'ember-12', at: 0.9 },
    ]);
    expect(far.dip.lost).toBeGreaterThan(0.3);
    expect(far.dip.at).toBeGreaterThan(0.2);
    expect(far.dip.at).toBeLessThan(0.8);
    expect(near.dip.lost).toBeLessThan(0.1);
  });

  it('is none where nothing fades', () => {
    const plain = element('colour');
    expect(fadeOf(setWearing([plain]), 'left-middle', plain)).toBeUndefined();
  });
});

it('coats close over both grounds: the third shows less of what lies below than the first', () => {
  const { products } = setWearing([]).kit;
  for (const id of ['ivory-02', 'velvet-04', 'blush-sheer']) {
    const { dark, pale } = swatchOf(products.find((one) => one.id === id)!);
    const open = dark.map((colour, i) => apart(colour, pale[i]!));
    expect(open[0]!).toBeGreaterThan(open[1]!);
    expect(open[1]!).toBeGreaterThan(open[2]!);
  }
});
