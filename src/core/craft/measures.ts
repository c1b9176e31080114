import type { Plate } from '../model/nail';
import { fail, ok, type Result } from '../model/result';
import { rounded } from '../model/rounded';

/** What a caliper is asked for at every nail, in the order it is taken. */
export type MeasureKey = 'width_mm' | 'bed_mm' | 'arch_mm';

export interface Measure {
  key: MeasureKey;
  words: string;
  /** How it is taken. */
  how: string;
  /** What the set takes. */
  min_mm: number;
  max_mm: number;
  /** What hands have: outside of it a slip of the finger is likelier (from memory). */
  usual_mm: readonly [number, number];
}

export const MEASURES: readonly Measure[] = [
  {
    key: 'width_mm',
    words: 'Width',
    how: 'between the sidewalls, straight across',
    min_mm: 4,
    max_mm: 25,
    usual_mm: [6, 19],
  },
  {
    key: 'bed_mm',
    words: 'Bed',
    how: 'from the cuticle to where the free edge begins',
    min_mm: 4,
    max_mm: 25,
    usual_mm: [6, 19],
  },
  {
    key: 'arch_mm',
    words: 'Arch',
    how: 'height of the curve over its width',
    min_mm: 0,
    max_mm: 12,
    usual_mm: [0.5, 5],
  },
];

/** Units an artist measures in; all is kept in mm. */
export const UNITS = { mm: { words: 'mm', mm: 1 }, inch32: { words: '1/32 inch', mm: 25.4 / 32 } } as const;
export type Unit = keyof typeof UNITS;

/** A measure in a unit, to the tenth of a mm or the quarter of a 1/32 inch. */
export function inUnit(value_mm: number, unit: Unit): number {
  const value = value_mm / UNITS[unit].mm;
  return unit === 'mm' ? rounded(value, 2) : Math.round(value * 4) / 4;
}

export interface Read {
  value_mm: number;
  /** It can be, but it would be unusual: what may have been meant. */
  doubt?: string;
}

/** What was typed at a measure, in the unit at hand; a comma is a point. Faults and doubts are told in that unit. */
export function readMeasure(typed: string, measure: Measure, unit: Unit): Result<Read> {
  const text = typed.trim().replace(',', '.');
  if (!/^\d+(\.\d+)?$|^\.\d+$/.test(text)) return fail('', 'a number, such as 11.5');
  const value_mm = rounded(Number(text) * UNITS[unit].mm, 2);
  const say = (mm: number) => `${inUnit(mm, unit)} ${UNITS[unit].words}`;
  const meant = [value_mm / 10, value_mm * 10, value_mm / 100].find((mm) => isUsual(mm, measure));
  const ask = meant === undefined ? '' : `: did you mean ${inUnit(meant, unit)}?`;
  if (value_mm < measure.min_mm || value_mm > measure.max_mm)
    return fail('', `${say(value_mm)} is no ${measure.words.toLowerCase()} of a nail${ask}`);
  if (isUsual(value_mm, measure)) return ok({ value_mm });
  return ok({ value_mm, doubt: `${say(value_mm)} is unusual${ask}` });
}

function isUsual(mm: number, { usual_mm }: Measure): boolean {
  return mm >= usual_mm[0] && mm <= usual_mm[1];
}

/** A curve higher than this share of its width is likelier a width taken for an arch. */
const HIGHEST_ARCH_SHARE = 0.5;
/** A nail this many times wider than its neighbours' mean is likelier two measures swapped. */
const ODD_SHARE = 1.45;

/** What is odd about a nail's measures beside each other and beside the hand's; undefined where nothing is. */
export function oddPlate(plate: Plate, hand: readonly Plate[]): string | undefined {
  if (plate.arch_mm > plate.width_mm * HIGHEST_ARCH_SHARE)
    return 'The arch is more than half the width: was it taken along the curve?';
  const mean = (key: 'width_mm' | 'bed_mm') => hand.reduce((sum, one) => sum + one[key], 0) / hand.length;
  const [width, bed] = [mean('width_mm'), mean('bed_mm')];
  const swapped =
    plate.width_mm > width * ODD_SHARE && plate.bed_mm * ODD_SHARE < bed
      ? true
      : plate.bed_mm > bed * ODD_SHARE && plate.width_mm * ODD_SHARE < width;
  return swapped ? 'Width and bed look swapped.' : undefined;
}
