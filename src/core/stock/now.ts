import { rounded } from '../model/rounded';
import type { ShelfItem } from '../model/shelf';
import type { Supply } from '../model/supply';
import { isPowder } from './losses';
import { contentOf, leftAt, type Stock } from './held';
import { IN_ONE } from './amounts';
import { takenSince } from './taking';

/** How many bottles of a product are left, parts of one as a share; undefined where nobody counts them. */
export function bottlesLeft(item: ShelfItem, { takings }: Pick<Stock, 'takings'>): number | undefined {
  const { product, count } = item;
  if (count === null) return undefined;
  const pack = contentOf(item, isPowder(product.family) ? 'mg' : 'ul');
  if (!pack) return count;
  const counted = Math.round(count * pack.amount);
  const left = leftAt(
    {
      table: 'shelf',
      id: product.id,
      name: product.name,
      counted,
      ...(item.counted_at ? { counted_at: item.counted_at } : {}),
    },
    takings,
  )!;
  return rounded(left / pack.amount, 2);
}

/** All else as it is left now, to be looked at: what is counted by hand stands in the supply itself. */
export function suppliesNow({ supplies, takings }: Pick<Stock, 'supplies' | 'takings'>): Supply[] {
  return supplies.map((one): Supply => {
    const since = (size?: number) =>
      takenSince(
        {
          table: 'supplies',
          id: one.id,
          ...(size === undefined ? {} : { size }),
          counted_at: countedAt(one),
        },
        takings,
      );
    if (one.kind === 'tips')
      return { ...one, sizes: one.sizes.map((each) => ({ ...each, count: each.count - since(each.size) })) };
    if (!('count' in one) || one.count === null) return one;
    const unit = one.kind === 'sheet' ? 'mm2' : one.kind === 'grain' ? 'mg' : 'pieces';
    return { ...one, count: rounded(one.count - since() / IN_ONE[unit], 2) };
  });
}

function countedAt(one: Supply): string | null | undefined {
  return 'counted_at' in one ? one.counted_at : undefined;
}
