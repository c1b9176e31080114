import type { Operation } from '../craft/operation';
import type { Element } from '../craft/techniques';

/**
 * The elements of a look in the order in which a nail's operations lay them, the lowest first. What is laid with another, as stones
 * into its top, stands where that is; what lays nothing of its own, or is not on this nail, stays beside what is listed before it.
 */
export function laidOrder(elements: readonly Element[], operations: readonly Operation[]): Element[] {
  const first = new Map<string, number>();
  operations.forEach(({ element, in_tip }, at) => {
    // Inside a tip what is laid first lies uppermost: there the list is read as it stands.
    if (!in_tip && !first.has(element)) first.set(element, at);
  });
  const inTip = new Set(operations.flatMap(({ element, in_tip }) => (in_tip ? [element] : [])));
  let before = -1;
  return elements
    .map((element, listed) => {
      const at = inTip.has(element.id) ? -1 : (first.get(element.id) ?? before);
      before = at;
      return { element, at, listed };
    })
    .sort((a, b) => a.at - b.at || a.listed - b.listed)
    .map(({ element }) => element);
}
