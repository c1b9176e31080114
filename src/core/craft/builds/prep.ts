import type { BuildStages } from '../build';
import { wholePlace, type NailContext } from '../context';
import { dustOffDraft, LAST_DUST_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';

/** What every build begins with: old product off; cuticle, shape, shine off, dust off, wipe, dehydrate, prime. */
export function prepPlate(
  context: NailContext,
  shapeWords: string,
): Required<Pick<BuildStages, 'arrive' | 'prepare'>> {
  const { start } = context.nail;
  const place = wholePlace();
  const dehydrator = context.role('dehydrator');
  const arrive: Draft[] = [
    {
      step: 'sanitise',
      verb: 'sanitise',
      words: 'Sanitise both people’s hands',
      place,
      hand_s: HAND_S.sanitise,
      scope: 'set',
      reason: 'Before anything touches a nail.',
    },
  ];
  if (start.kind === 'removal') {
    arrive.push({
      step: 'soak',
      verb: 'soak',
      words: 'Soak the old product off',
      place,
      hand_s: HAND_S.soak,
      wait_s: start.soak_s,
      scope: 'hand',
      reason: 'The old product comes off first; nothing is forced off the plate.',
    });
  }
  const prepare: Draft[] = [
    {
      step: 'push-back',
      verb: 'push-back',
      words: 'Push back and clear the cuticle',
      place,
      hand_s: HAND_S['push-back'],
      reason: 'Product over cuticle lifts within days.',
    },
    {
      step: 'shape',
      verb: 'shape',
      words: shapeWords,
      place,
      hand_s: HAND_S.shape,
      reason: 'Sides in turns so that the tip stays straight.',
    },
  ];
  if (start.kind === 'removal' || !start.dull) {
    prepare.push({
      step: 'buff',
      verb: 'buff',
      words: 'Take the shine off',
      place,
      hand_s: HAND_S.buff,
      reason: 'Where shine is left, the base lifts.',
    });
  }
  prepare.push(
    dustOffDraft('brush', 'Dust under the base lifts it.'),
    wipeDraft(context, 'wipe', LAST_DUST_OFF, 'Clean and lint-free; not touched again after this.'),
    {
      step: 'dehydrate',
      verb: 'dehydrate',
      words: `Dehydrate with ${dehydrator.name}`,
      product: dehydrator.id,
      place,
      hand_s: HAND_S.dehydrate,
      wait_s: dehydrator.dry_s,
      reason: 'Moisture and oil in the plate keep the base from gripping.',
    },
  );
  const oily = context.nail.conditions.find((one) => one === 'oily' || one === 'lifted-before');
  if (oily)
    prepare.push({
      step: 'dehydrate',
      pass: 2,
      verb: 'dehydrate',
      words: `Dehydrate again with ${dehydrator.name}`,
      product: dehydrator.id,
      place,
      hand_s: HAND_S.dehydrate,
      wait_s: dehydrator.dry_s,
      reason:
        oily === 'oily' ? 'An oily plate gives off oil again within minutes.' : 'It lifted here before.',
    });
  if (context.practice.primer === 'once') {
    const primer = context.role('primer');
    prepare.push({
      step: 'prime',
      verb: 'prime',
      words: `Prime with ${primer.name}`,
      product: primer.id,
      place,
      hand_s: HAND_S.prime,
      wait_s: primer.dry_s,
      reason: 'Acid-free primer on the dehydrated plate; left to dry.',
    });
  }
  return { arrive, prepare };
}
