import { lookOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import { lookShown, SHOWN_ON } from '../document/wearers';
import { seenOf, type LookProfile } from '../judge/profile';
import { planNail } from '../plan/nailPlan';

/** Looks of a set as the eye weighs them, each on one and the same nail. `plan` may remember. */
export function profilesOf(set: SetDocument, plan: typeof planNail = planNail): LookProfile[] {
  return set.looks.map((look) => {
    const { nominal, compiled } = plan(lookShown(set, look.id), SHOWN_ON);
    return {
      look: look.id,
      name: look.name,
      ...seenOf(nominal.field, look.elements, compiled.context.product),
    };
  });
}

/** The profile of what a nail wears; undefined for a nail that wears nothing. */
export function wornProfile(
  set: SetDocument,
  profiles: readonly LookProfile[],
  nail: keyof SetDocument['nails'],
): LookProfile | undefined {
  const look = lookOf(set, set.nails[nail]);
  return profiles.find((one) => one.look === look?.id);
}
