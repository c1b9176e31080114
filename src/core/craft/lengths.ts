import type { NailFrame } from '../geometry/frame';
import { rounded } from '../model/rounded';

/** How long a nail is said to be, by its length past the free edge (common practice). */
export const LENGTHS = [
  { words: 'Short', free_mm: 3, below_mm: 4.5 },
  { words: 'Medium', free_mm: 6, below_mm: 8 },
  { words: 'Long', free_mm: 10, below_mm: 13 },
  { words: 'Extra long', free_mm: 16, below_mm: Infinity },
] as const;

/** The length that so many mm past the free edge are called. */
export function lengthOf(free_mm: number): (typeof LENGTHS)[number] {
  return LENGTHS.find(({ below_mm }) => free_mm < below_mm) ?? LENGTHS[3];
}

/** How far a nail reaches: "9 mm past the nail bed". */
export function pastBed({ length_mm, bed_mm }: Pick<NailFrame, 'length_mm' | 'bed_mm'>): string {
  return `${rounded(length_mm - bed_mm, 1)} mm past the nail bed`;
}
