import type { Triple } from '../colour/film';
import { difference } from '../colour/space';
import { lookOf } from '../compile/prepare';
import { techniqueOf, type Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { planNail } from '../plan/nailPlan';
import { cellX, cellY } from '../simulate/field';
import { pileColours } from '../simulate/pile';

/** What a look is to the eye at arm's length. */
export interface LookProfile {
  look: string;
  name: string;
  /** Mean of what is seen, in linear light. */
  mean: Triple;
  /** 0 a plain quiet nail, 1 as much as one nail carries. */
  weight: number;
}

/** A nail of middle size shows a look as it is meant. */
const SHOWN_ON = 'left-middle';
/** Every so many cells of the nail's grid are looked at. */
const STRIDE = 3;
/** Mean difference (CIEDE2000) to a nail's middle colour that is as much as colour alone can shout (common practice). */
const LOUD = 55;

/** Looks of a set as the eye weighs them: contrast within the nail first, then how much stands on it. `plan` may remember. */
export function profilesOf(set: SetDocument, plan: typeof planNail = planNail): LookProfile[] {
  return set.looks.map((look) => {
    const nail = { ...set.nails[SHOWN_ON], look: look.id, changes: [] };
    const trial = { ...set, nails: { ...set.nails, [SHOWN_ON]: nail }, edits: [] };
    const { nominal, compiled } = plan(trial, SHOWN_ON);
    const { field } = nominal;
    const colourAt = pileColours(field, compiled.context.product);
    const seen: Triple[] = [];
    for (let cell = 0; cell < field.grid.inside.length; cell += STRIDE)
      if (field.grid.inside[cell])
        seen.push(colourAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!));
    const mean = meanOf(seen);
    const contrast = seen.reduce((sum, one) => sum + difference(one, mean), 0) / Math.max(1, seen.length);
    const { stands, inlaid } = countOf(look.elements);
    const weight = Math.min(
      1,
      0.04 + contrast / LOUD + 0.4 * stands + 0.35 * inlaid + 0.03 * look.elements.length,
    );
    return { look: look.id, name: look.name, mean, weight: Math.round(weight * 100) / 100 };
  });
}

/** Elements that stand out of the nail, and pieces that lie in it. */
function countOf(elements: readonly Element[]): { stands: number; inlaid: number } {
  const having = (what: 'stands' | 'inlaid') => elements.filter((one) => techniqueOf(one.kind)[what]).length;
  return { stands: having('stands'), inlaid: having('inlaid') };
}

function meanOf(colours: readonly Triple[]): Triple {
  const count = Math.max(1, colours.length);
  return [0, 1, 2].map((c) => colours.reduce((sum, one) => sum + one[c]!, 0) / count) as unknown as Triple;
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
