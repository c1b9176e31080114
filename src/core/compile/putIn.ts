import { lampOf } from '../craft/families';
import { STICKY_OFF } from '../craft/drafts';
import { operationId, type Operation } from '../craft/operation';
import type { Change } from '../document/changes';
import { isInsertedCoat, type Edit, type INSERTABLE_COATS, type INSERTABLE_VERBS } from '../document/edits';
import type { SetDocument } from '../document/document';
import { freeId } from '../model/freeId';
import type { Product } from '../model/product';

type Insert = Extract<Edit, { kind: 'insert' }>;
export type PutIn = (typeof INSERTABLE_VERBS)[number];

/** What can be put in by hand: what it is called, and how long it usually takes (common practice). */
export const PUT_IN: Record<PutIn, { words: string; seconds: number }> = {
  wipe: { words: STICKY_OFF, seconds: 6 },
  'dust-off': { words: 'Brush the dust off', seconds: 5 },
  buff: { words: 'Key the surface', seconds: 15 },
  flash: { words: 'Flash', seconds: 10 },
  cure: { words: 'Cure', seconds: 60 },
  rest: { words: 'Rest', seconds: 60 },
  base: { words: 'A coat of base', seconds: 20 },
  coat: { words: 'A coat of colour', seconds: 20 },
  top: { words: 'A coat of top', seconds: 18 },
  'matte-top': { words: 'A coat of matte top', seconds: 18 },
  oil: { words: 'Cuticle oil', seconds: 4 },
};

/** Families of the products that each coat may be of. */
const OF: Record<(typeof INSERTABLE_COATS)[number], readonly Product['family'][]> = {
  base: ['base-gel', 'peel-off-base', 'lacquer-base'],
  coat: ['gel-colour', 'two-stage-colour', 'art-gel', 'magnetic-gel', 'builder-gel', 'putty-gel', 'lacquer'],
  top: ['top-no-wipe', 'top-wipe', 'lacquer-top'],
  'matte-top': ['top-matte'],
};

/** What a coat can be of; none for work without a product to choose. */
export function putInProducts(verb: PutIn, products: readonly Product[]): Product[] {
  return isInsertedCoat(verb) ? products.filter((one) => OF[verb].includes(one.family)) : [];
}

export interface Wished {
  verb: PutIn;
  seconds: number;
  /** Of a coat. */
  product?: string;
  held: boolean;
}

/**
 * The change that puts work in right after an operation of a nail, and the id of the operation it becomes. A coat that
 * a lamp hardens brings its cure.
 */
export function putIn(
  set: SetDocument,
  after: Operation,
  { verb, seconds, product, held }: Wished,
): { change: Change; operation: string } {
  const made = set.kit.products.find((one) => one.id === product);
  const lamp = made && lampOf(made);
  const inserts = set.edits.flatMap((edit) => (edit.kind === 'insert' ? [edit] : []));
  const { nail } = after;
  const insert: Insert = {
    kind: 'insert',
    id: freeId(verb, inserts),
    nail,
    after: after.id,
    verb,
    seconds,
    words: made?.name ?? PUT_IN[verb].words,
    ...(made ? { product: made.id } : {}),
    ...(held ? { held } : {}),
  };
  const operation = operationId(nail, 'own', insert.id, 1);
  const cure: Insert | undefined = lamp && {
    kind: 'insert',
    id: freeId(`cure-${insert.id}`.slice(0, 40), inserts),
    nail,
    after: operation,
    verb: 'cure',
    seconds: lamp.cure_s,
    words: `Cure ${made.name}`,
  };
  const add = (edit: Edit): Change => ({ kind: 'add-edit', edit });
  return {
    change: cure ? { kind: 'many', changes: [add(insert), add(cure)] } : add(insert),
    operation,
  };
}
