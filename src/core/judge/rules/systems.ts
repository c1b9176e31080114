import { FAMILIES } from '../../craft/families';
import type { SetRule } from '../rule';

/** Makers vouch for a cure within their own system; where two are noted on one set it is said once. */
export const systems: SetRule = {
  codes: ['systems-mixed'],
  asks: 'Are the lamp products of one system, as far as that is noted?',
  check: ({ set, operations }) => {
    const used = new Set(operations.flatMap((one) => (one.deposit && one.product ? [one.product] : [])));
    const named = set.kit.products.filter(
      (product) =>
        used.has(product.id) && product.system !== undefined && FAMILIES[product.family].hardens === 'lamp',
    );
    const [first] = named;
    const other = named.find((product) => product.system !== first?.system);
    if (!first || !other) return [];
    return [
      {
        severity: 'note' as const,
        operation: operations.find((one) => one.product === other.id && one.deposit)!.id,
        message: `${other.name} is of another system (${other.system}) than ${first.name} (${first.system}).`,
        reason:
          'Makers vouch for grip and cure only among their own products: try the pair on a practice tip first.',
      },
    ];
  },
};
