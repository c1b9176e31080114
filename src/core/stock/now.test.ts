import { genericShelf, onShelf } from '../starter/shelf';
import { genericSupplies } from '../starter/supplies';
import { bottlesLeft, suppliesNow } from './now';
import type { Taking, TakenLine } from './taking';

const base = { ...onShelf(genericShelf().find(({ id }) => id === 'base-a')!), count: 2, holds: 8 };
const taking = (lines: TakenLine[]): Taking => ({
  set: 'a',
  title: 'A',
  at: '2026-05-01T10:00:00.000Z',
  lines,
});

describe('what is left, to be looked at', () => {
  it('of a product is told in bottles, of what nobody counts not at all', () => {
    const takings = [taking([{ table: 'shelf', id: 'base-a', unit: 'ul', amount: 2000 }])];
    expect(bottlesLeft(base, { takings })).toBe(1.75);
    expect(bottlesLeft({ ...base, counted_at: '2026-06-01T00:00:00.000Z' }, { takings })).toBe(2);
    expect(bottlesLeft({ ...base, holds: null }, { takings })).toBe(2);
    expect(bottlesLeft({ ...base, count: null }, { takings })).toBeUndefined();
  });

  it('of stones, and of each size of a box', () => {
    const supplies = genericSupplies();
    const takings = [
      taking([
        { table: 'supplies', id: 'clear-ss5', unit: 'pieces', amount: 12 },
        { table: 'supplies', id: 'tips-flat', size: 5, unit: 'pieces', amount: 2 },
      ]),
    ];
    const now = suppliesNow({ supplies, takings });
    expect(now.find(({ id }) => id === 'clear-ss5')).toMatchObject({ count: 88 });
    const sizes = (all: typeof now) => {
      const box = all.find(({ id }) => id === 'tips-flat');
      return box && 'sizes' in box ? box.sizes : [];
    };
    for (const [i, { size, count }] of sizes(now).entries())
      expect(count).toBe(sizes(supplies)[i]!.count - (size === 5 ? 2 : 0));
    // Nothing else is touched.
    expect(now.filter((one, i) => one !== supplies[i]).length).toBeLessThan(supplies.length);
  });
});
