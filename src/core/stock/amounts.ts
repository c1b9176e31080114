import { rounded } from '../model/rounded';

/** What is counted in whole numbers, so that what is taken and put back always comes out even: µL, mg, pieces, mm². */
export const UNITS = ['ul', 'mg', 'pieces', 'mm2'] as const;
export type Unit = (typeof UNITS)[number];

/** "0.4 mL", "a drop", "35 mg", "1.2 g", "20", "3.5 cm²". */
export function amountWords(amount: number, unit: Unit): string {
  return WORDS[unit](amount);
}

/** Less than this is a drop (common practice: twenty drops a mL). */
const DROP_UL = 50;
/** Less is taken between two fingers, and weighed by nobody (common practice). */
const PINCH_MG = 10;

const WORDS: Record<Unit, (amount: number) => string> = {
  ul: (ul) => {
    if (ul > 0 && ul < DROP_UL) return 'less than a drop';
    return `${rounded(ul / 1000, Math.abs(ul) < 1000 ? 2 : 1)} mL`;
  },
  mg: (mg) => {
    if (mg > 0 && mg < PINCH_MG) return 'a pinch';
    return Math.abs(mg) < 1000 ? `${Math.round(mg)} mg` : `${rounded(mg / 1000, 1)} g`;
  },
  pieces: (pieces) => `${rounded(pieces, 1)}`,
  mm2: (mm2) => `${rounded(mm2 / 100, 1)} cm²`,
};

/** How much of the smallest unit one is as people tell it: a mL, a g, a piece, a cm². */
export const IN_ONE: Record<Unit, number> = { ul: 1000, mg: 1000, pieces: 1, mm2: 100 };

/** The unit as a column of a file calls it. */
export const UNIT_WORDS: Record<Unit, string> = { ul: 'mL', mg: 'g', pieces: 'pieces', mm2: 'cm2' };
