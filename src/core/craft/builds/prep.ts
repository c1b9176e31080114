import type { BuildStages } from '../build';
import { wholePlace, type NailContext } from '../context';
import { dustOffDraft, LAST_DUST_OFF, wipeDraft } from '../drafts';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';

/** How the plate is prepared. */
export interface Prep {
  shapeWords: string;
  /** A peelable base takes the primer's place; what only holds on a primed plate has it whatever the practice. */
  primer?: 'never' | 'always';
}

/** What every build on a hand begins with: old product off; cuticle, shape, shine off, dust off; then primed. */
export function prepPlate(context: NailContext, { shapeWords, primer }: Prep): Start {
  const { arrive, prepare } = clearPlate(context, shapeWords);
  return { arrive, prepare: [...prepare, ...primePlate(context, primer)] };
}

type Start = Required<Pick<BuildStages, 'arrive' | 'prepare'>>;

/** The old product off; cuticle, shape, shine off, dust off. */
export function clearPlate(context: NailContext, shapeWords: string): Start {
  const { start } = context.nail;
  const place = wholePlace();
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
  prepare.push(dustOffDraft('brush', 'Dust under the base lifts it.'));
  return { arrive, prepare };
}

/** Wiped, dehydrated and primed; not touched again after this. */
export function primePlate(context: NailContext, primes?: Prep['primer']): Draft[] {
  const place = wholePlace();
  const dehydrator = context.role('dehydrator');
  const drafts: Draft[] = [
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
  ];
  const oily = context.nail.conditions.find((one) => one === 'oily' || one === 'lifted-before');
  if (oily)
    drafts.push({
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
  if (primes === 'always' || (primes !== 'never' && context.practice.primer === 'once')) {
    const primer = context.role('primer');
    drafts.push({
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
  return drafts;
}
