import type { Region } from '../regions';
import type { Product } from '../model/product';
import { bedDraft, bedHolds } from './bed';
import { hardenOf } from './drafts';
import { HAND_S } from './handwork';
import type { Draft, Place } from './operation';

/** What a new island is: an oval in the middle of a nail. */
export const FRESH_ISLAND = {
  kind: 'oval',
  across: 0,
  along: 0.75,
  width_mm: 7,
  length_mm: 10,
  turn_deg: 0,
} satisfies Region;

/** What an island is made of: its clear below and above what lies in it. */
interface Island {
  clear: Product;
  bed_um: number;
  cap_um: number;
  place: Place;
}

/**
 * Bed and cap of what lies in a part of the nail alone: hard before the build is laid about it, which is filed back until
 * its outline is clean (common practice). `filling`: what is laid into its bed.
 */
export function islandDrafts({ clear, bed_um, cap_um, place }: Island, filling: readonly Draft[]): Draft[] {
  const bed = { clear, t_um: bed_um, place, of: 'island-' } as const;
  return [
    bedDraft(
      bed,
      'The island stands by itself: its outline is drawn now, with the brush, and shown again by the file.',
      ', for the island alone',
    ),
    ...filling,
    bedHolds(bed, 'A short flash holds the pieces before they are capped.'),
    {
      step: 'island-cap',
      verb: 'cap',
      words: `Cap the island with ${clear.name}`,
      product: clear.id,
      place,
      deposit: { kind: 'conformal', t_um: cap_um },
      hand_s: HAND_S.bed,
      reason:
        'As thick as the build that is laid about it, so that the file finds its top and not its pieces.',
    },
    // What is built about it frames what is hard.
    ...hardenOf(clear, bed_um + cap_um, place, 'island-cure').map((draft) => ({ ...draft, ends: false })),
  ];
}
