import type { SpotWords } from './regionKind';

/** So near to a landmark it is meant. */
export const NEAR = 0.06;

const PARTS: readonly [number, string][] = [
  [0.1, 'a tenth'],
  [0.25, 'a quarter'],
  [1 / 3, 'a third'],
  [0.5, 'half-way'],
  [2 / 3, 'two thirds'],
  [0.75, 'three quarters'],
  [0.9, 'nine tenths'],
];

/**
 * A height on the nail by its landmarks: "half-way up the nail bed", "a third out the free edge". It is said alike on all nails,
 * however long they are; in mm it is on the map. `along`: 0 cuticle, 1 free edge, 2 tip.
 */
export function heightWords(along: number): string {
  if (along < NEAR) return 'at the cuticle';
  if (along > 2 - NEAR) return 'at the tip';
  if (Math.abs(along - 1) < NEAR) return 'where the free edge begins';
  const part = along % 1;
  const [, words] = PARTS.reduce((best, one) =>
    Math.abs(one[0] - part) < Math.abs(best[0] - part) ? one : best,
  );
  return `${words} ${along < 1 ? 'up the nail bed' : 'out the free edge'}`;
}

/** How something is turned off the nail's length: "along the nail", "across it", "turned 30°, its tip end to the thumb side". */
export function turnWords(turn_deg: number, spot: SpotWords, side: 1 | -1): string {
  const turn = ((turn_deg % 180) + 180) % 180;
  if (turn < STRAIGHT_DEG || turn > 180 - STRAIGHT_DEG) return 'along the nail';
  if (Math.abs(turn - 90) < STRAIGHT_DEG) return 'across the nail';
  // Against the clock, its far end goes to the left of a nail that lies with its tip up.
  const to = turn < 90 ? -1 : 1;
  return `turned ${Math.round(turn < 90 ? turn : 180 - turn)}°, its tip end to the ${spot(side * to)}`;
}

/** A turn that no eye tells. */
const STRAIGHT_DEG = 3;
