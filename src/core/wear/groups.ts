import { GROUPINGS, type WornNail } from './held';
import { medianDays, productLimit, type SurvivalStep } from './survival';

/** Nails that are alike in something, and how they hold. */
export interface WornGroup {
  name: string;
  nails: WornNail[];
  failed: number;
  steps: SurvivalStep[];
  median_days: number | undefined;
}

/** Nails by what they are told apart by, the most first. */
export function groupsOf(all: readonly WornNail[], by: string): WornGroup[] {
  const grouping = GROUPINGS[by];
  if (!grouping) return [];
  const found = new Map<string, WornNail[]>();
  for (const one of all)
    for (const name of grouping.of(one)) {
      const known = found.get(name);
      if (known) known.push(one);
      else found.set(name, [one]);
    }
  return [...found]
    .map(([name, nails]): WornGroup => {
      const steps = productLimit(nails);
      return {
        name,
        nails,
        failed: nails.filter(({ failed }) => failed).length,
        steps,
        median_days: medianDays(steps),
      };
    })
    .sort((a, b) => b.nails.length - a.nails.length || (a.name < b.name ? -1 : 1));
}

/** The step that holds on a day; undefined before the first failure: all hold. */
export function stepOn(steps: readonly SurvivalStep[], days: number): SurvivalStep | undefined {
  return steps.findLast((step) => step.days <= days);
}
