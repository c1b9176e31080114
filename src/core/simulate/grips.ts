import { SKIN_MARGIN_MM } from '../craft/context';
import { FAMILIES, settingOf } from '../craft/families';
import { laidBy, type Operation } from '../craft/operation';
import { decode, surfaceWords, type Surface } from '../craft/surface';
import { lookup, REASONS, rowOf, wantsFor, type Reason } from '../craft/surfaces';
import { outlineDistance_mm } from '../geometry/frame';
import type { Product } from '../model/product';
import type { Cover } from './cover';
import { cellX, cellY, extentWords, NONE, spotWords, type Film, type NailField } from './field';
import { LAYER_FACTS } from './layers';
import { isFixed } from './mount';

/** Smaller faults are not reported: a brush is not a ruler. */
export const MIN_FAULT_MM2 = 0.4;
/** A stone is held by at least this much wet clear (common practice). */
const HOLDS_STONE_UM = 40;
/** Instant glue bonds by touch: a film of it that is thinner holds better (common practice). */
const GLUE_HOLDS_UM = 10;

/** An operation that did not hold somewhere, with the area and place where it did not. */
export interface Verdict {
  operation: string;
  reason: Reason | 'filed-through';
  area_mm2: number;
  where: string;
  found: string;
  wants: string;
  /** What it met where it does not hold. */
  met?: Surface;
}

/** Things that are set into what is wet, and held by it as far as it reaches. */
const SET_WET: readonly Operation['verb'][] = ['set-in-top', 'set-in-colour', 'set-in-bead'];
const NEEDS_WET = REASONS.indexOf('needs-wet') + 1;

/** Asks the table of surfaces at every cell and reports each reason once, with its area and middle. */
export function judgeGrip(
  field: NailField,
  operation: Operation,
  cover: Cover,
  product: (id: string) => Product,
): Verdict[] {
  const laid = laidBy(operation, product);
  const { refuses } = lookup(operation.verb, laid);
  const setInWet = laid === 'stone' && SET_WET.includes(operation.verb);
  if (!setInWet && cover.held.every((cell) => refuses[field.surface[cell]!] === 0)) return [];
  const area = new Float64Array(REASONS.length);
  const sumX = new Float64Array(REASONS.length);
  const sumY = new Float64Array(REASONS.length);
  const found: string[] = REASONS.map(() => '');
  const met: (Surface | undefined)[] = REASONS.map(() => undefined);
  let covered = 0;
  const onTip = rowOf(operation.verb).lengthens === 'tip';
  for (const cell of cover.held) {
    if (onTip && !isFixed(field, cover, cell)) continue;
    // Nothing is bedded in the strip kept off the skin: what overhangs it is judged for its size.
    if (setInWet && isAtSkin(field, cell)) continue;
    const a = field.grid.cell_mm2 * cover.share[cell]!;
    covered += a;
    const code = field.surface[cell]!;
    let reason = refuses[code]!;
    let thin = '';
    if (reason === 0 && setInWet && topFilm_um(field, cell) < holdsStone_um(code)) {
      reason = NEEDS_WET;
      thin = `, only ${Math.round(topFilm_um(field, cell))} µm thick`;
    }
    if (reason === 0) continue;
    const r = reason - 1;
    area[r]! += a;
    sumX[r]! += a * field.grid.x[cellX(cell)]!;
    sumY[r]! += a * field.grid.y[cellY(cell)]!;
    met[r] ??= decode(code);
    found[r] ||= surfaceWords(decode(code)) + thin;
  }
  return REASONS.flatMap((reason, r): Verdict[] => {
    // Small work is judged by its share: a stone has little area to lose.
    if (area[r]! < Math.min(MIN_FAULT_MM2, covered * 0.3) || area[r]! === 0) return [];
    return [
      {
        operation: operation.id,
        reason,
        area_mm2: area[r]!,
        where: extentWords(field, {
          x_mm: sumX[r]! / area[r]!,
          y_mm: sumY[r]! / area[r]!,
          area_mm2: area[r]!,
          of_mm2: covered,
        }),
        found: found[r]!,
        wants: wantsFor(operation.verb, laid),
        ...(met[r] ? { met: met[r] } : {}),
      },
    ];
  });
}

/** What is set into a bead, or laid into a bed. */
const GOES_IN: readonly Operation['verb'][] = [...SET_WET, 'place'];
/** A hand that is this much late has hardly begun with the last one. */
const LATE_S = 1;

/** Where what is set into goes dull by itself before the last of it is in. */
export function goneDull(
  field: NailField,
  operation: Operation,
  cover: Cover,
  product: (id: string) => Product,
): Verdict[] {
  if (!GOES_IN.includes(operation.verb)) return [];
  const cell = cover.held.find((one) => decode(field.surface[one]!).phase === 'wet');
  const film = cell === undefined ? undefined : topFilm(field, cell);
  const made = film?.product === undefined ? undefined : product(film.product);
  const setting = made && settingOf(made);
  if (cell === undefined || !film || !setting || FAMILIES[made.family].held) return [];
  const late_s = film.dose[cell]! + operation.hand_s - setting.working_s;
  if (late_s <= LATE_S) return [];
  return [
    {
      operation: operation.id,
      reason: 'needs-wet',
      area_mm2: cover.held.length * field.grid.cell_mm2,
      where: spotWords(field.frame, field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!),
      found: `${made.name}, dull ${setting.working_s} s after its first touch and ${Math.round(late_s)} s before the last is in`,
      wants: rowOf(operation.verb).wants,
    },
  ];
}

/** The film on top at a cell, of what hardens. */
function topFilm({ films }: NailField, cell: number): Film | undefined {
  return films.findLast(({ kind, phase }) => LAYER_FACTS[kind].hardens && phase[cell] !== NONE);
}

function holdsStone_um(surface: number): number {
  return decode(surface).material === 'glue' ? GLUE_HOLDS_UM : HOLDS_STONE_UM;
}

function isAtSkin(field: NailField, cell: number): boolean {
  const { frame, grid } = field;
  return outlineDistance_mm(frame, grid.x[cellX(cell)]!, grid.y[cellY(cell)]!) < SKIN_MARGIN_MM;
}

/** Thickness of the film on top at a cell. */
function topFilm_um(field: NailField, cell: number): number {
  return topFilm(field, cell)?.t_um[cell] ?? 0;
}
