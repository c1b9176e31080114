import type { StartOf } from '../../model/start';
import { sizedTip } from '../builds/readyTip';
import { keyedDrafts } from '../drafts';
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
      ...keyedDrafts(context, 'practice tip', 'first layer', 'Nothing grips the shine of a tip.'),
    ],
  }),
};
