import { compileNail } from '../compile/compile';
import { buildOf, frameOf } from '../document/nailContext';
import { buildKindOf } from '../craft/builds';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import type { Worn } from '../model/wear';
import { newCovers } from '../simulate/cover';
import { cellY, CELLS_X, height_um, type NailField } from '../simulate/field';
import { beginRun } from '../simulate/simulate';
import { bodyOf } from '../simulate/strength';
import type { Growth } from './growth';

/** A worn nail after so many days. */
export interface Aged {
  days: number;
  /** Bare at its cuticle. */
  gap_mm: number;
  apex_at_mm: number;
  /** What its end carries, as a multiple of a usual natural nail. */
  carries: number;
}

/** One nail as it grows out: what it carries by day, and where its thickness lies when it is new and on the last of the days. */
export interface Aging {
  nail: NailName;
  bed_mm: number;
  by_day: Aged[];
  /** Along the middle from the cuticle. */
  profile: { y_mm: number; new_mm: number; last_mm: number }[];
}

/** Days that are looked at until one: week by week, and that day itself. */
export function agingDays(until: number): number[] {
  const weeks = Array.from({ length: Math.ceil(until / 7) }, (_, week) => week * 7);
  return [...weeks.filter((day) => day < until), Math.max(1, until)];
}

/** A finished nail as it lies on its plate once so much has grown out: what was built has moved towards the tip, whole. */
export function fieldGrownBy(set: SetDocument, name: NailName, gap_mm: number): NailField {
  const start = { kind: 'infill' as const, weeks: 1, gap_mm, mend: 'no' as const, stones: false };
  const grown: SetDocument = { ...set, nails: { ...set.nails, [name]: { ...set.nails[name], start } } };
  const { edge } = buildKindOf(buildOf(grown, grown.nails[name]).kind);
  return beginRun(compileNail(grown, name), edge, newCovers()).field;
}

/** Product over the plate along the middle, from the cuticle on, in mm. */
export function profileOf(field: NailField): { y_mm: number; over_mm: number }[] {
  const middle = Math.floor(CELLS_X / 2);
  return [...field.grid.y.keys()].flatMap((j) => {
    const cell = j * CELLS_X + middle;
    return field.grid.inside[cell]
      ? [{ y_mm: field.grid.y[cellY(cell)]!, over_mm: height_um(field, cell) / 1000 }]
      : [];
  });
}

/**
 * How each nail ages over some days, the first of which is 0: its section at the stress area is that of what has come to lie there, and its free
 * edge, which nobody files meanwhile, levers on it longer by what has grown. What it carried when it was made is what its plan says. Nails
 * without a free edge have nothing to lever on, and are left out.
 */
export function agingOf(
  set: SetDocument,
  { nails }: Pick<Worn, 'nails'>,
  days: readonly number[],
  { mm_a_day }: Growth,
): Aging[] {
  return NAILS.flatMap((nail): Aging[] => {
    const made = nails[nail]?.facts;
    if (!made?.carries || !set.nails[nail].in_work) return [];
    const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
    const free_mm = frame.length_mm - frame.bed_mm;
    const fields = days.map((day) => fieldGrownBy(set, nail, day * mm_a_day));
    const first = fields[0] && bodyOf(fields[0]).carries;
    const last = fields.at(-1);
    if (!first || !last || free_mm <= 0) return [];
    const late = profileOf(last);
    return [
      {
        nail,
        bed_mm: frame.bed_mm,
        by_day: fields.map((field, i): Aged => {
          const { carries, apex_at_mm } = bodyOf(field);
          const gap_mm = days[i]! * mm_a_day;
          const share = (carries / first) * (free_mm / (free_mm + gap_mm));
          return {
            days: days[i]!,
            gap_mm: rounded(gap_mm, 1),
            apex_at_mm,
            carries: rounded(made.carries! * share, 2),
          };
        }),
        profile: profileOf(fields[0]!).map(({ y_mm, over_mm }, i) => ({
          y_mm: rounded(y_mm, 2),
          new_mm: rounded(over_mm, 3),
          last_mm: rounded(late[i]?.over_mm ?? 0, 3),
        })),
      },
    ];
  });
}

/** The nail that carries least on the last of the days; undefined where none has a free edge. */
export function weakestOf(all: readonly Aging[]): Aging | undefined {
  const atLast = ({ by_day }: Aging) => by_day.at(-1)!.carries;
  return all.toSorted((a, b) => atLast(a) - atLast(b))[0];
}
