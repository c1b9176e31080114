import { productsIn } from '../craft/paints';
import type { Operation } from '../craft/operation';
import type { Product } from '../model/product';
import type { Round } from '../timing/rounds';

/** The products of a sitting in the order in which they are first taken up. */
export function inOrderOfUse(
  rounds: readonly Round[],
  operations: readonly Operation[],
  products: readonly Product[],
): Product[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const used = new Set<string>();
  for (const round of rounds) {
    for (const id of round.operations) {
      const operation = byId.get(id);
      if (operation?.liquid) used.add(operation.liquid);
      if (operation?.product) used.add(operation.product);
      for (const id of productsIn(operation?.paint)) used.add(id);
    }
  }
  return [...used].flatMap((id) => products.find((product) => product.id === id) ?? []);
}
