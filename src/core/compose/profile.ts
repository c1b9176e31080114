import { lookOf } from '../compile/prepare';
import type { SetDocument } from '../document/document';
import { seenOf, type LookProfile } from '../judge/profile';
import { planNail } from '../plan/nailPlan';

/** A nail of middle size shows a look as it is meant. */
const SHOWN_ON = 'left-middle';

/** Looks of a set as the eye weighs them, each on one and the same nail. `plan` may remember. */
export function profilesOf(set: SetDocument, plan: typeof planNail = planNail): LookProfile[] {
  return set.looks.map((look) => {
    const nail = { ...set.nails[SHOWN_ON], look: look.id, changes: [] };
    const trial = { ...set, nails: { ...set.nails, [SHOWN_ON]: nail }, edits: [] };
    const { nominal, compiled } = plan(trial, SHOWN_ON);
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
