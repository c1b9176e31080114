import { buildKindOf, type Build } from '../builds';
import { compileNail } from '../../compile/compile';
import { linearOf, difference } from '../../colour/space';
import { planNail } from '../../plan/nailPlan';
import { drawNail } from '../../picture/nailPicture';
import { pileColours } from '../../simulate/pile';
import { codesOn, element, setWearing } from '../../testing/sets';
import type { Element } from '../techniques';

const FRENCH = { colour: '#f6f2ea', smile: { rise_mm: 0, depth_mm: 2.4, tilt_mm: 0 } };
const worn = (elements: Element[], french: typeof FRENCH | null) =>
  setWearing(elements, (set) => {
    set.builds.push({ ...buildKindOf('soft-gel-tip').fresh('ready'), french } as Build);
    set.nails['left-ring'].build = 'ready';
  });
const seen = (french: typeof FRENCH | null, elements: Element[] = []) => {
  const set = worn(elements, french);
  const { nominal } = planNail(set, 'left-ring');
  const products = new Map(set.kit.products.map((one) => [one.id, one]));
  return { field: nominal.field, product: (id: string) => products.get(id)!, set };
};

describe('a ready tip with a French of its own', () => {
  it('shows its colour beyond the smile line, and the nail behind it', () => {
    const { field, product } = seen(FRENCH);
    const colourAt = pileColours(field, product);
    const { bed_mm, length_mm } = field.frame;
    expect(difference(colourAt(0, length_mm - 2), linearOf(FRENCH.colour))).toBeLessThan(6);
    expect(difference(colourAt(0, bed_mm * 0.5), linearOf(FRENCH.colour))).toBeGreaterThan(10);
  });

  it('is drawn so, and plain without one', () => {
    const bytes = (french: typeof FRENCH | null) => {
      const { field, product } = seen(french);
      return Buffer.from(drawNail(field, product, 4).data).toString('base64');
    };
    expect(bytes(FRENCH)).not.toBe(bytes(null));
    expect(bytes(null)).toBe(bytes(null));
  });

  it('is nothing to find, and covered where a colour lies over it', () => {
    expect(codesOn(worn([], FRENCH))).toEqual([]);
    const { field, product } = seen(FRENCH, [element('colour')]);
    expect(
      difference(pileColours(field, product)(0, field.frame.length_mm - 2), linearOf(FRENCH.colour)),
    ).toBeGreaterThan(30);
  });

  it('says on the card which tip it is', () => {
    const { operations } = compileNail(worn([], FRENCH), 'left-ring');
    expect(operations.find(({ verb }) => verb === 'ready-tip')!.words).toMatch(/^Size the French tip/);
  });
});
