import { wholePlace, type NailContext } from './context';
import { LAST_DUST_OFF, wipeDraft } from './drafts';
import { HAND_S } from './handwork';
import type { Draft } from './operation';
import { hasPlate, isPrimedAlready } from './start';

/** A peelable base takes the primer's place; what only holds on a primed plate has it whatever the practice. */
export type Primes = 'never' | 'always';

/** Wiped, dehydrated and primed; not touched again after this. Nothing where that was done before the sitting. */
export function primePlate(context: NailContext, primes?: Primes): Draft[] {
  return isPrimedAlready(context.nail.start) ? [] : primeFiled(context, primes);
}

/** The same of a plate that a file has been on since, whatever it was before; nothing where there is no plate. */
export function primeFiled(context: NailContext, primes?: Primes): Draft[] {
  if (!hasPlate(context.nail.start)) return [];
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

/** The second primer of a school, wet: after form or tip is on, just before the first bead. */
export function wetPrimer(context: NailContext): Draft[] {
  if (context.practice.acrylic_primer !== 'dry-and-wet') return [];
  const primer = context.role('primer');
  return [
    {
      step: 'prime',
      pass: 2,
      verb: 'prime',
      words: `Prime again with ${primer.name}, and bead into it while it is wet`,
      product: primer.id,
      place: wholePlace(),
      hand_s: HAND_S.prime,
      reason: 'The first coat is drawn into the plate; the bead takes hold in the second.',
    },
  ];
}
