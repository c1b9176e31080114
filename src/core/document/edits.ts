import * as z from 'zod/mini';
import { Id, seconds, Words } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';

/** `nail/element/step#pass`: stable across replanning. */
export const OperationId = z
  .string()
  .check(
    z.maxLength(140),
    z.regex(
      /^[a-z]+-[a-z]+\/[a-z0-9-]+\/[a-z0-9-]+#\d+$/,
      'must be an operation such as left-ring/velvet/coat#1',
    ),
  );
export const NailNameSchema = z.enum(NAILS as [NailName, ...NailName[]]);

/** A coat over the whole nail that an artist may insert by hand; a colour says of what product. */
export const INSERTABLE_COATS = ['base', 'coat', 'top', 'matte-top'] as const;
/** What an artist may insert by hand. */
export const INSERTABLE_VERBS = [
  'wipe',
  'dust-off',
  'buff',
  'cure',
  'flash',
  'oil',
  'rest',
  ...INSERTABLE_COATS,
] as const;

export function isInsertedCoat(verb: string): verb is (typeof INSERTABLE_COATS)[number] {
  return (INSERTABLE_COATS as readonly string[]).includes(verb);
}

/**
 * The artist's own changes to the computed order, as statements over operation ids. They are followed in turn
 * on the order of the complete nail, and disturb nothing they do not name.
 * `before`: a is done before b; where it is not, a goes right before b. a and b may belong to two nails.
 * `move`: a stands right before or right after b. A coat that moves takes its flash and cure along.
 * `skip`: a is not done. `hold`: a waits as long as the craft allows.
 * `insert`: one more piece of work right after an operation, or one more coat; `held`: without letting go of the nail.
 */
export const Edit = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('before'), a: OperationId, b: OperationId }),
  z.strictObject({
    kind: z.literal('move'),
    a: OperationId,
    side: z.enum(['before', 'after']),
    b: OperationId,
  }),
  z.strictObject({ kind: z.literal('skip'), a: OperationId }),
  z.strictObject({ kind: z.literal('hold'), a: OperationId }),
  z.strictObject({
    kind: z.literal('insert'),
    id: Id,
    nail: NailNameSchema,
    after: OperationId,
    verb: z.enum(INSERTABLE_VERBS),
    seconds: seconds(1, 1800),
    words: Words,
    product: z.optional(Id),
    held: z.optional(z.literal(true)),
  }),
]);
export type Edit = z.infer<typeof Edit>;

/** The nail whose order an edit changes. */
export function editNail(edit: Edit): string {
  return edit.kind === 'insert' ? edit.nail : nailOf(edit.a);
}

/** The nail an operation id names. */
export function nailOf(id: string): string {
  return id.slice(0, id.indexOf('/'));
}

/** The operations an edit names. */
export function pointers(edit: Edit): string[] {
  if (edit.kind === 'before' || edit.kind === 'move') return [edit.a, edit.b];
  return [edit.kind === 'insert' ? edit.after : edit.a];
}

/** Whether an edit orders the work of two nails against each other. */
export function isAcrossNails(edit: Edit): boolean {
  return new Set(pointers(edit).map(nailOf)).size > 1;
}
