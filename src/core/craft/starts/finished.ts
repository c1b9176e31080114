import type { StartOf } from '../../model/start';
import { sanitiseDraft } from '../prepWork';
import { keyedDrafts } from '../drafts';
import type { StartKind } from '../start';

/** A finished nail that stays as it is: a ground for art, once its shine is off. */
export const finished: StartKind<StartOf<'finished'>> = {
  kind: 'finished',
  words: 'Built or finished already',
  blurb: 'An extension or a finished nail is there and stays: only art comes on it.',
  fields: () => [],
  fresh: () => ({ kind: 'finished' }),
  found: (_start, worn_um) => ({ dull: false, old: { from_mm: 0, apex_um: worn_um, stays: true } }),
  shines: () => false,
  keeps: (_start, _build, context) => ({
    stages: {
      arrive: [sanitiseDraft(context)],
      prepare: keyedDrafts(context, 'finished nail', 'art', 'Gel does not grip the shine of a finished top.'),
    },
  }),
};
