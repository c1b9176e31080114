import * as z from 'zod';
import { mm } from '../../model/primitives';
import type { Draft } from '../operation';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace } from '../context';
import { coatOf } from '../cure';
import { baseDraft, flashOf, hardenOf, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import { prepPlate } from './prep';
import { FULL_TIP_UM, keyedTip } from './readyTip';

const schema = z.strictObject({ ...BUILD_BASE, kind: z.literal('soft-gel-tip'), length_mm: mm(1, 30) });

/** Full-cover soft-gel tips fixed with gel under the lamp. */
export const softGelTip = defineBuild({
  kind: 'soft-gel-tip',
  words: 'Full-cover soft-gel tip',
  blurb: 'A ready tip from sidewall to sidewall, fixed with gel through the light.',
  schema,
  fields: [],
  fresh: (id) => ({
    id,
    kind: 'soft-gel-tip' as const,
    name: 'Soft-gel tips',
    shape: 'almond' as const,
    length_mm: 9,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'tip',
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (_build, context) => {
    const fixing = context.role('fixing');
    const place = wholePlace();
    const fixing_um = coatOf(fixing);
    const { arrive, prepare } = prepPlate(context, { shapeWords: 'Shorten the free edge' });
    const ready: Draft = {
      step: 'ready-tip',
      verb: 'ready-tip',
      words: `Size, shape (${context.frame.shape}) and etch the tip, prime its inside`,
      place,
      hand_s: HAND_S['ready-tip'],
      reason:
        'Sized sidewall to sidewall; shaping before fixing is much quicker, and an etched inside holds.',
    };
    const press: Draft = {
      step: 'press-on',
      verb: 'press-on',
      words: `Press the tip on with ${fixing.name}`,
      product: fixing.id,
      // The tip is as wide as its nail; only the gel below it keeps off the skin.
      place: { ...place, margin_mm: 0 },
      deposit: { kind: 'tip', fixing_um, ...FULL_TIP_UM },
      hand_s: HAND_S['press-on'],
      reason: 'A bead inside the tip, rolled down from the cuticle so that no air stays in.',
    };
    return {
      arrive,
      prepare: [ready, ...prepare],
      foundation: [
        ...baseDraft(context, 'The tip is fixed to the base, not to the plate.'),
        press,
        {
          ...flashOf(
            fixing,
            fixing_um,
            place,
            'Held by hand while a flash fixes it; finger by finger.',
            'flash-tip',
          ),
          held: true,
        },
        wipeDraft(
          context,
          'spill',
          'Wipe the spill off',
          'A flashed spill wipes off cleanly; a cured one lifts.',
          place,
        ),
        ...hardenOf(fixing, fixing_um, place, 'cure-tip'),
        ...keyedTip(context),
      ],
    };
  },
});
