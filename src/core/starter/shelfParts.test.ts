import { SUPPLIES, supplyKindOf } from '../craft/supplies';
import { readFigures } from '../craft/figures';
import { applyChange } from '../document/changes';
import { curtainUp } from '../demo/curtainUp';
import { Supply } from '../model/supply';
import { BULK, changeAll } from './bulk';
import { kitDiffers } from './kitDiffers';
import { genericShelf, onShelf } from './shelf';
import { genericSupplies } from './supplies';

const shelf = genericShelf().map(onShelf);
const named = (...ids: string[]) => shelf.filter((one) => ids.includes(one.product.id));

describe('what stands on the shelf besides products', () => {
  it('begins with some of every kind, each under an id of its own', () => {
    const all = genericSupplies();
    for (const one of all) expect(Supply.safeParse(one).success).toBe(true);
    expect(new Set(all.map((one) => one.id)).size).toBe(all.length);
    expect(new Set(all.map((one) => one.kind))).toEqual(new Set(SUPPLIES.map((one) => one.kind)));
  });

  it.each(SUPPLIES.map((one) => [one.kind, one] as const))(
    '%s starts whole and says what it is',
    (kind, of) => {
      const fresh = of.fresh('new');
      expect(Supply.parse(fresh)).toEqual(fresh);
      expect(supplyKindOf(kind).says(fresh).length).toBeGreaterThan(3);
    },
  );

  it('reads a row of figures as it is typed, and refuses what is none', () => {
    const bounds = { min: 5, max: 600, most: 3 };
    expect(readFigures('10, 30 60', bounds)).toEqual([10, 30, 60]);
    expect(readFigures('', bounds)).toEqual([]);
    for (const text of ['10, x', '4', '601', '10 20 30 40', '1.5', '-10']) {
      const read = readFigures(text, bounds);
      expect([text, read === undefined || read.every((one) => one >= 5 && one <= 600)]).toEqual([text, true]);
      if (text !== '10, x') expect(read).toBeUndefined();
    }
  });
});

describe('many products changed at once', () => {
  it('takes a figure where there is use for it, and leaves the others as they are', () => {
    const chosen = named('base-a', 'velvet-04', 'cleanser-a');
    const changed = changeAll(chosen, 'cure_s', '90');
    if (!changed.ok) throw new Error('refused');
    expect(changed.value.map((one) => one.product.id).sort()).toEqual(['base-a', 'velvet-04']);
    expect(changed.value.every((one) => one.product.lamp?.cure_s === 90)).toBe(true);
    // Depth and flash stay what each product's own direction says.
    const velvet = changed.value.find((one) => one.product.id === 'velvet-04')!;
    expect(velvet.product.lamp).toEqual({ ...named('velvet-04')[0]!.product.lamp, cure_s: 90 });
    expect(chosen.every((one) => one.product.lamp?.cure_s !== 90)).toBe(true);
  });

  it('reads decimal commas, days and lights, and refuses what no product can have', () => {
    const all = named('base-a', 'cleanser-a');
    const price = changeAll(all, 'price', '12,5');
    expect(price.ok && price.value.map((one) => one.price)).toEqual([12.5, 12.5]);
    const light = changeAll(all, 'light', 'UV');
    expect(light.ok && light.value.map((one) => one.product.lamp?.light)).toEqual(['uv']);
    for (const [key, text] of [
      ['cure_s', '4'],
      ['cure_s', 'soon'],
      ['light', 'sun'],
      ['opened_on', '1 March'],
      ['count', '-1'],
      ['coat_um', '0'],
    ] as const)
      expect([key, text, changeAll(all, key, text).ok]).toEqual([key, text, false]);
  });

  it.each(BULK.map((one) => one.key))('%s is taken as its own example says', (key) => {
    const like = BULK.find((one) => one.key === key)!
      .like.split(',')[0]!
      .split(' ')[0]!;
    const changed = changeAll(named('velvet-04'), key, like);
    expect(changed.ok && changed.value.length).toBe(1);
  });
});

describe('a set beside the shelf', () => {
  const products = genericShelf();
  const supplies = genericSupplies();

  it('of the same kit differs in nothing', () => {
    expect(kitDiffers(curtainUp(), products, supplies).map((one) => one.name)).toEqual([]);
  });

  it('is told each figure that differs, and takes the shelf’s in one change', () => {
    const set = curtainUp();
    const now = products.map((one) =>
      one.id === 'base-a' ? { ...one, lamp: { ...one.lamp!, cure_s: 30 } } : one,
    );
    const lamps = supplies.map((one): Supply =>
      one.kind === 'lamp' && one.id === 'lamp-a' ? { ...one, programmes_s: [30, 60], light: 'uv' } : one,
    );
    const differs = kitDiffers(set, now, lamps);
    expect(differs.map(({ name, figures }) => [name, figures])).toEqual([
      ['Base A', [{ what: 'lamp cure_s', set: '60', shelf: '30' }]],
      [
        'Table lamp A',
        [
          { what: 'programmes_s', set: '10, 30, 60, 90', shelf: '30, 60' },
          { what: 'light', set: 'nothing', shelf: 'uv' },
        ],
      ],
    ]);
    const taken = applyChange(set, { kind: 'many', changes: differs.map((one) => one.change) });
    if (!taken.ok) throw new Error('refused');
    expect(kitDiffers(taken.value, now, lamps)).toEqual([]);
  });
});
