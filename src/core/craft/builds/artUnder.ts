import * as z from 'zod/mini';
import type { Field } from '../technique';

/** Colour and films over the build, or on the plate with clear built over them. */
export const ART = z.enum(['over', 'under']);

export const ART_FIELD: Field = {
  kind: 'choice',
  path: 'art',
  words: 'Colour and films',
  choices: [
    { value: 'over', words: 'Over the build' },
    { value: 'under', words: 'Under it: clear is built over them' },
  ],
};

/** What a look lists with no seat of its own goes under the clear. */
export function artSits({ art }: { art: z.infer<typeof ART> }): 'under' | undefined {
  return art === 'under' ? 'under' : undefined;
}
