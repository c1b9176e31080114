import type { NailContext } from './context';
import { coatOf } from './cure';
import { cureOf } from './drafts';
import { HAND_S } from './handwork';
import type { Draft, Place } from './operation';

/** Share of its direction that a top is cured before what is burnished on it, by a school (common practice). */
const SHORT = 0.5;

/** A slick top under what is burnished: `what` it is for, and whether it is cured short, so that it takes more. */
export function slickTop(context: NailContext, place: Place, what: string, short: boolean): Draft[] {
  const top = context.role('top');
  const cure = cureOf(top, coatOf(top), place, 'cure-ground');
  return [
    {
      step: 'ground',
      verb: 'top',
      words: `${top.name} for the ${what}${short ? ', cured short' : ''}`,
      product: top.id,
      place,
      deposit: { kind: 'conformal', t_um: coatOf(top) },
      hand_s: HAND_S.top,
      reason: `Slick and warm it takes the ${what}; where there is none, the mirror is broken.`,
    },
    short ? cutShort(cure, what) : cure,
  ];
}

/** A top that is not quite hard takes it deeper; the seal's own cure reaches it through so thin a film. */
function cutShort(cure: Draft, what: string): Draft {
  const seconds = Math.round((cure.lamp?.seconds ?? 0) * SHORT);
  return {
    ...cure,
    lamp: { mode: 'cure', seconds },
    reason: `Half its time, ${seconds} s: not quite hard it takes the ${what} deeper, and the seal cures it to the end.`,
  };
}
