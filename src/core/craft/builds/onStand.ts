import * as z from 'zod/mini';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace } from '../context';
import { HAND_S } from '../handwork';
import { pastBed } from '../lengths';
import { FULL_TIP_UM, keyedTip, sizedTip } from './readyTip';

const schema = z.strictObject({ ...BUILD_BASE, kind: z.literal('on-stand'), length_mm: mm(1, 30) });

/** A tip painted on a stand with nobody's hand at the table: to be worn later, or to practise on. */
export const onStand = defineBuild({
  kind: 'on-stand',
  words: 'Off the hand, on a stand',
  blurb: 'A full tip worked on a stand, to be worn later or to practise on.',
  schema,
  fields: [],
  fresh: (id) => ({
    id,
    kind: 'on-stand' as const,
    name: 'On stands',
    shape: 'almond' as const,
    length_mm: 8,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'tip',
  offHand: true,
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (_build, context) => {
    return {
      prepare: [
        sizedTip(context, 'tip', {
          words: `Size the tip, shape it ${context.frame.shape}, ${pastBed(context.frame)}`,
          hand_s: HAND_S['ready-tip'],
          reason: 'Sized for its wearer from sidewall to sidewall; its inside is etched when it is put on.',
        }),
      ],
      foundation: [
        {
          step: 'stand',
          verb: 'stick-on-stand',
          words: 'Stick the tip to its stand',
          place: { ...wholePlace(), margin_mm: 0 },
          deposit: { kind: 'tip', fixing_um: 0, ...FULL_TIP_UM },
          hand_s: HAND_S['stick-on-stand'],
          reason: 'With tack that peels off again; marked with its finger.',
        },
        ...keyedTip(context),
      ],
    };
  },
});
