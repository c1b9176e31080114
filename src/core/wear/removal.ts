import { buildKindOf } from '../craft/builds';
import { isStanding } from '../craft/bodies';
import type { Operation } from '../craft/operation';
import { soakGuide_s } from '../craft/starts/removal';
import { compileNail } from '../compile/compile';
import { buildOf } from '../compile/prepare';
import type { SetDocument } from '../document/document';
import { wordsWith } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';
import type { Nail } from '../model/nail';
import type { ProductFamily } from '../model/product';
import type { OldProduct } from '../model/start';
import type { Worn } from '../model/wear';
import { isGone } from './infill';

/** As what a worn nail comes off: by the strongest of what lies on it, and by the tip it is on (common practice). */
export function comesOffAs(families: ReadonlySet<ProductFamily>, edge: string): OldProduct {
  if (families.has('peel-off-base')) return 'peel-off';
  if (families.has('acrylic')) return 'acrylic';
  if (families.has('dip')) return 'dip';
  if (edge === 'tip') return 'soft-tip';
  if (families.has('builder-gel') || families.has('putty-gel')) return 'hard-gel';
  const only = [...families].filter((family) => FILMS.has(family));
  return only.length > 0 && only.every((family) => LACQUERS.has(family)) ? 'lacquer' : 'gel';
}

const LACQUERS: ReadonlySet<ProductFamily> = new Set(['lacquer', 'lacquer-base', 'lacquer-top']);
const FILMS: ReadonlySet<ProductFamily> = new Set([
  ...LACQUERS,
  'base-gel',
  'gel-colour',
  'two-stage-colour',
  'art-gel',
  'liner-gel',
  'magnetic-gel',
  'foil-gel',
  'top-no-wipe',
  'top-wipe',
  'top-matte',
]);

/**
 * The next set with all that is worn taken off first, each nail by what is on it, with its soak and its stones; what fell off is bare. `on`: the
 * day it is to be, ISO 8601.
 */
export function anewOf(set: SetDocument, worn: Worn, on: string): SetDocument {
  const nails = Object.fromEntries(
    NAILS.map((name): [NailName, Nail] => {
      const nail = set.nails[name];
      if (!nail.in_work) return [name, nail];
      if (isGone(worn, name)) return [name, { ...nail, start: { kind: 'bare', dull: false } }];
      const { operations, context } = compileNail(set, name);
      const product = comesOffAs(familiesOf(operations, context.product), edgeOf(set, nail));
      return [
        name,
        {
          ...nail,
          start: {
            kind: 'removal',
            product,
            soak_s: soakGuide_s(product) ?? NO_SOAK_S,
            stones: operations.some(
              ({ deposit }) => deposit?.kind === 'pieces' && deposit.pieces.some(isStanding),
            ),
          },
        },
      ];
    }),
  ) as SetDocument['nails'];
  return {
    ...set,
    title: wordsWith(set.title, '(anew)'),
    appointment: { on, at: set.appointment?.at ?? null },
    state: 'planned',
    offered: null,
    edits: [],
    nails,
  };
}

/** What does not soak has a figure all the same: it acts once another product is chosen. */
const NO_SOAK_S = 720;

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
