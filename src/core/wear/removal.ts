import { buildKindOf } from '../craft/builds';
import { FAMILIES, type Laid } from '../craft/families';
import { isStanding } from '../craft/bodies';
import type { Operation } from '../craft/operation';
import { soakGuide_s } from '../craft/starts/removal';
import { compileNail } from '../compile/compile';
import { buildOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import type { Nail } from '../model/nail';
import type { ProductFamily } from '../model/product';
import type { OldProduct } from '../model/start';
import type { Worn } from '../model/wear';
import { nextOf } from './follow';

/** As what a worn nail comes off: by the strongest of what lies on it, and by the tip it is on (common practice). */
export function comesOffAs(families: ReadonlySet<ProductFamily>, edge: string): OldProduct {
  if (families.has('peel-off-base')) return 'peel-off';
  if (families.has('acrylic')) return 'acrylic';
  if (families.has('dip')) return 'dip';
  if (edge === 'tip') return 'soft-tip';
  if (families.has('builder-gel') || families.has('putty-gel')) return 'hard-gel';
  const films = [...families].map((family) => FAMILIES[family].laid).filter((laid) => FILMS.has(laid));
  return films.length > 0 && films.every((laid) => laid === 'lacquer') ? 'lacquer' : 'gel';
}

/** Coats, and no structure, glue or powder. */
const FILMS: ReadonlySet<Laid> = new Set<Laid>(['base', 'gel', 'two-stage', 'art', 'top', 'lacquer']);

/**
 * The next set with all that is worn taken off first, each nail by what is on it, with its soak and its stones; what fell off is bare. `on`: the
 * day it is to be, ISO 8601.
 */
export function anewOf(set: SetDocument, worn: Worn, on: string): SetDocument {
  return nextOf(set, worn, on, '(anew)', (name) => {
    const { operations, context } = compileNail(set, name);
    const product = comesOffAs(familiesOf(operations, context.product), edgeOf(set, set.nails[name]));
    return {
      kind: 'removal',
      product,
      soak_s: soakGuide_s(product) ?? NO_SOAK_S,
      stones: haveStones(operations),
    };
  });
}

/** What does not soak has a figure all the same: it acts once another product is chosen. */
const NO_SOAK_S = 720;

/** Whether something stands on a nail when its work is done. */
export function haveStones(operations: readonly Operation[]): boolean {
  return operations.some(({ deposit }) => deposit?.kind === 'pieces' && deposit.pieces.some(isStanding));
}

function familiesOf(
  operations: readonly Operation[],
  product: (id: string) => { family: ProductFamily },
): ReadonlySet<ProductFamily> {
  return new Set(
    operations.flatMap((one) => (one.deposit && one.product ? [product(one.product).family] : [])),
  );
}

function edgeOf(set: SetDocument, nail: Nail): string {
  return buildKindOf(buildOf(set, nail).kind).edge;
}
