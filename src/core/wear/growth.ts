import { BUILDS } from '../craft/builds';
import { WORN } from '../craft/build';
import { dayAfter } from '../model/days';
import { grown_mm } from '../model/growth';
import { NAILS } from '../model/names';
import { rounded } from '../model/rounded';
import type { Worn } from '../model/wear';
import { daysBetween } from './held';

/** How fast a nail grows, in mm a day, and whether it was measured on these hands. */
export interface Growth {
  mm_a_day: number;
  measured: boolean;
}

/** The published mean (see model/growth.ts). */
export const PUBLISHED: Growth = { mm_a_day: grown_mm(1) / 7, measured: false };
/** In fewer days a caliper’s tenth is half of what has grown. */
const LEAST_DAYS = 7;

/** A client’s own rate, of every gap that was measured at the cuticle of what they wore; the published one until then. */
export function growthOf(all: readonly Pick<Worn, 'made_on' | 'nails'>[]): Growth {
  let mm = 0;
  let days = 0;
  for (const worn of all)
    for (const nail of NAILS)
      for (const note of worn.nails[nail]?.notes ?? []) {
        const age = daysBetween(worn.made_on, note.on);
        if (note.grown_mm === undefined || note.grown_mm === null || age < LEAST_DAYS) continue;
        mm += note.grown_mm;
        days += age;
      }
  return days > 0 ? { mm_a_day: mm / days, measured: true } : PUBLISHED;
}

/** The rate of the hands that a set is on, of all that is known of what they wore. */
export function growthOn(worn: Worn, all: readonly Worn[]): Growth {
  const own = all.filter(({ client }) => client !== null && client === worn.client);
  return growthOf(own.length > 0 ? own : [worn]);
}

/** When a set is to be seen again, and why: by what is on it, at the first that is due. */
export interface Due {
  from: string;
  to: string;
  why: string;
  gap_mm: number;
}

/** Undefined for nails that nobody wears. */
export function dueOf({ made_on, nails }: Pick<Worn, 'made_on' | 'nails'>, growth: Growth): Due | undefined {
  // By what was built: the set itself may be gone, or changed since.
  const kinds = NAILS.flatMap((name) => {
    const build = nails[name]?.facts.build;
    return BUILDS.find(({ kind }) => kind === build) ?? [];
  });
  const [first] = kinds
    .filter(({ offHand }) => !offHand)
    .map((kind) => kind.worn ?? WORN)
    .toSorted((a, b) => a.from_days - b.from_days || a.to_days - b.to_days);
  if (!first) return undefined;
  const gap_mm = rounded(growth.mm_a_day * first.to_days, 1);
  return {
    from: dayAfter(made_on, first.from_days),
    to: dayAfter(made_on, first.to_days),
    why: `${first.then}: by then ${gap_mm} mm have grown out${growth.measured ? ', at the rate measured on these hands' : ', at the usual rate'}.`,
    gap_mm,
  };
}
