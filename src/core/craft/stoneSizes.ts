/** Stone sizes in SS to mm (from memory; makers differ by a few hundredths). */
export const STONE_SIZES_MM = {
  SS3: 1.35,
  SS5: 1.75,
  SS7: 2.15,
  SS9: 2.55,
  SS12: 3.1,
  SS16: 3.9,
  SS20: 4.7,
} as const;
export type StoneSize = keyof typeof STONE_SIZES_MM;
export const STONE_SIZES = Object.keys(STONE_SIZES_MM) as StoneSize[];
