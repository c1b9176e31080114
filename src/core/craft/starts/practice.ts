import type { StartOf } from '../../model/start';
import { sizedTip } from '../builds/readyTip';
import { wholePlace } from '../context';
import { dustOffDraft, LAST_DUST_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import type { StartKind } from '../start';

/** A tip to practise on, in any build, with nobody's hand at the table. */
export const practice: StartKind<StartOf<'practice'>> = {
  kind: 'practice',
  words: 'A practice tip',
  blurb: 'On a stand or a practice hand, in any build: nothing of a plate is prepared.',
  fields: () => [],
  fresh: () => ({ kind: 'practice' }),
  found: () => ({ dull: false, tip: true }),
  shines: () => false,
  offHand: true,
  prepared: (_start, context) => ({
    arrive: [],
    prepare: [
      sizedTip(context, 'practice tip', {
        words: `Size the practice tip, shape it ${context.frame.shape}, stick it to its stand`,
        hand_s: HAND_S['ready-tip'] / 2,
        reason: 'Marked with its finger; it stands still for all that follows.',
      }),
      {
        step: 'key',
        verb: 'buff',
        words: 'Key the practice tip with a fine buffer',
        place: { ...wholePlace(), margin_mm: 0 },
        hand_s: HAND_S.buff,
        reason: 'Nothing grips the shine of a tip.',
      },
      dustOffDraft('brush', 'Dust under the first layer lifts it.'),
      wipeDraft(context, 'clean', LAST_DUST_OFF, 'Clean before the first layer.'),
    ],
  }),
};
