import type { StartOf } from '../../model/start';
import { sanitiseDraft } from '../prepWork';
import type { StartKind } from '../start';

/** A plate that was made ready before the sitting. */
export const prepared: StartKind<StartOf<'prepared'>> = {
  kind: 'prepared',
  words: 'Prepared already',
  blurb: 'Cuticle cleared, shaped and dull: the work begins with the first product.',
  fields: () => [{ kind: 'switch', path: 'primed', words: 'Dehydrated and primed as well' }],
  fresh: () => ({ kind: 'prepared', primed: false }),
  found: ({ primed }) => ({ dull: true, prep: primed ? 'primed' : 'none' }),
  shines: () => false,
  prepared: (_start, context) => ({ arrive: [sanitiseDraft(context)], prepare: [] }),
};
