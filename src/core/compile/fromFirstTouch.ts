import { FAMILIES, settingOf } from '../craft/families';
import type { Operation } from '../craft/operation';
import { ADDS } from './oneSculpture';
import type { Product } from '../model/product';

/** Nobody counts a rest finer than this. */
const COUNTED_S = 5;
/** A rest shorter than this is none: it has gone dull, or is hard, while the hand was at it. */
const LEAST_REST_S = 5;

/**
 * What sets by itself is timed from its first touch: work that lasts longer than its window is laid in portions that fit, and
 * a rest takes only what is left since the last of them was begun.
 */
export function fromFirstTouch(
  operations: readonly Operation[],
  product: (id: string) => Product,
): Operation[] {
  let since_s = 0;
  let of: Product | undefined;
  return operations.flatMap((operation): Operation[] => {
    const made = operation.product ? product(operation.product) : undefined;
    const setting = made && settingOf(made);
    const own_s = operation.hand_s + (operation.lamp?.seconds ?? 0);
    if (operation.deposit && setting && FAMILIES[made.family].hardens === 'sets') {
      of = made;
      const portions = ADDS.includes(operation.verb)
        ? Math.max(operation.portions ?? 1, Math.ceil(operation.hand_s / setting.working_s))
        : 1;
      since_s = operation.hand_s / portions;
      const timed = { ...operation, ...(portions > 1 ? { portions } : {}) };
      if (operation.wait_s === undefined) return [timed];
      const wait_s = left_s(operation.wait_s, since_s);
      since_s += wait_s;
      return [{ ...timed, wait_s }];
    }
    const limits = of && settingOf(of);
    if (operation.until && limits) {
      const wait_s = left_s(operation.until === 'dull' ? limits.working_s : limits.dry_s, since_s);
      since_s += wait_s;
      return wait_s < LEAST_REST_S ? [] : [{ ...operation, wait_s }];
    }
    // Whoever leaves the pinch out still lets it set.
    if (operation.verb !== 'pinch') since_s += own_s + (operation.wait_s ?? 0);
    return [operation];
  });
}

function left_s(whole_s: number, since_s: number): number {
  return Math.max(0, Math.ceil((whole_s - since_s) / COUNTED_S) * COUNTED_S);
}
