import type { StartOf } from '../../model/start';
import { sanitiseDraft } from '../prepWork';
import { wholePlace } from '../context';
import { dustOffDraft, LAST_DUST_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
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
      prepare: [
        {
          step: 'key',
          verb: 'buff',
          words: 'Key the finished nail with a fine buffer',
          place: { ...wholePlace(), margin_mm: 0 },
          hand_s: HAND_S.buff,
          reason: 'Gel does not grip the shine of a finished top.',
        },
        dustOffDraft('brush', 'Dust under the art lifts it.'),
        wipeDraft(context, 'clean', LAST_DUST_OFF, 'Clean before the art.'),
      ],
    },
  }),
};
