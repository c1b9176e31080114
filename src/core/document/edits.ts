import * as z from 'zod';
import { Id, seconds, Words } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';

/** `nail/element/step#pass`: stable across replanning. */
export const OperationId = z
  .string()
  .regex(
    /^[a-z]+-[a-z]+\/[a-z0-9-]+\/[a-z0-9-]+#\d+$/,
    'must be an operation such as left-ring/velvet/coat#1',
  );

export const NailNameSchema = z.enum(NAILS as [NailName, ...NailName[]]);

/** What an artist may insert by hand: work that lays no film of its own. */
export const INSERTABLE_VERBS = ['wipe', 'dust-off', 'buff', 'cure', 'flash', 'oil', 'rest'] as const;

/**
 * The artist's own changes to the computed order, as statements over operation ids.
 * `before`: a is done before b. `skip`: a is not done. `hold`: a waits as long as the craft allows.
 * `insert`: one more piece of work right after an operation.
 */
export const Edit = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('before'), a: OperationId, b: OperationId }),
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
  }),
]);
export type Edit = z.infer<typeof Edit>;

/** The nail an edit is about, from the operation it names first. */
export function editNail(edit: Edit): string {
  return pointers(edit)[0]!.split('/')[0]!;
}

/** The operations an edit names. */
export function pointers(edit: Edit): string[] {
  if (edit.kind === 'before') return [edit.a, edit.b];
  return [edit.kind === 'insert' ? edit.after : edit.a];
}
