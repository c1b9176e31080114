import { fingerOf, handOf, NAILS, type NailName } from '../model/names';
import { WEAR_WHAT, type WearWhat, type Worn } from '../model/wear';
import type { Held } from './survival';

/** One nail as it was worn: how long it held, and what it can be grouped by. */
export interface WornNail extends Held {
  worn: Worn;
  nail: NailName;
}

/** What ends a nail’s holding; growing out is no failure, and neither is coming off as planned. */
const FAILS: ReadonlySet<WearWhat> = new Set(
  WEAR_WHAT.filter((what) => what !== 'grown-out' && what !== 'off-early'),
);

/** Whole days from one to another, by the calendar. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000);
}

/**
 * Every nail of some worn sets: to the first day something failed on it, or seen to hold to the day it came off, or to today. A note that
 * stands before its set was made, or after it came off, is left alone.
 */
export function wornNails(all: readonly Worn[], today: string): WornNail[] {
  // Made on a day that has not come, by a clock that was wrong, nothing is known of how long it is worn.
  return all
    .filter(({ made_on }) => made_on <= today)
    .flatMap((worn) =>
      NAILS.flatMap((nail): WornNail[] => {
        const one = worn.nails[nail];
        if (!one) return [];
        const until = worn.off_on ?? today;
        const dated = one.notes.filter(({ on }) => on >= worn.made_on && on <= until);
        const failed = dated
          .filter(({ what }) => FAILS.has(what))
          .map(({ on }) => on)
          .sort()[0];
        const early = dated
          .filter(({ what }) => what === 'off-early')
          .map(({ on }) => on)
          .sort()[0];
        const end = failed ?? early ?? until;
        return [
          { worn, nail, days: Math.max(0, daysBetween(worn.made_on, end)), failed: failed !== undefined },
        ];
      }),
    );
}

/** What nails can be told apart by. */
export const GROUPINGS: Record<string, { words: string; of: (one: WornNail) => string[] }> = {
  build: { words: 'Build', of: ({ worn, nail }) => [worn.nails[nail]!.facts.build_name] },
  product: { words: 'Product', of: ({ worn, nail }) => worn.nails[nail]!.facts.products },
  finger: { words: 'Finger', of: ({ nail }) => [fingerOf(nail)] },
  hand: { words: 'Hand', of: ({ nail }) => [`${handOf(nail)} hand`] },
  primer: { words: 'Primer', of: ({ worn }) => [`primer: ${worn.practice.primer ?? 'not known'}`] },
  base: { words: 'Base', of: ({ worn }) => [`base: ${worn.practice.base ?? 'not known'}`] },
  season: { words: 'Season', of: ({ worn }) => [seasonOf(worn.made_on)] },
  client: { words: 'Whose hands', of: ({ worn }) => [worn.client ?? 'nobody’s'] },
};

/** By the quarter of the year: where it is warm in which of them is the artist’s to know. */
function seasonOf(on: string): string {
  const month = Number(on.slice(5, 7));
  return ['January to March', 'April to June', 'July to September', 'October to December'][
    Math.floor((month - 1) / 3)
  ]!;
}
