import { FAMILIES } from '../../craft/families';
import type { SetRule } from '../rule';

/** A guide fills in where a product's own direction is missing, and says so. */
export const directions: SetRule = {
  codes: ['no-direction'],
  asks: 'Does every product that hardens have its own direction?',
  check: ({ set, operations }) => {
    const used = new Set(operations.flatMap((one) => (one.deposit && one.product ? [one.product] : [])));
    return set.kit.products
      .filter((product) => used.has(product.id))
      .flatMap((product) => {
        const { hardens } = FAMILIES[product.family];
        const missing =
          hardens === 'lamp'
            ? !product.lamp
            : (hardens === 'dries' || hardens === 'sets') && product.dry_s === undefined;
        if (!missing) return [];
        const first = operations.find((one) => one.product === product.id)!;
        return [
          {
            severity: 'note' as const,
            operation: first.id,
            message: `${product.name} has no ${hardens === 'lamp' ? 'lamp time' : 'setting time'} of its own: a guide stands in for it.`,
            reason: 'What its maker says always beats a guide; enter it when the bottle is at hand.',
          },
        ];
      });
  },
};
