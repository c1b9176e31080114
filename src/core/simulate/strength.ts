import { curveOf } from '../geometry/curve';
import { isSelfEdged } from '../geometry/profiles';
import { evenStrips, sectionOf } from '../geometry/section';
import { rounded } from '../model/rounded';
import { CELLS_X, CELLS_Y, cellX, cellY, type Film, type NailField } from './field';
import { isSolid } from './layers';

/** A finished nail in the figures that an artist feels for: thicknesses in mm, and what it carries. */
export interface NailBody {
  /** Product over plate or tip where it is thickest along the middle, and how far from the cuticle. */
  apex_mm: number;
  apex_at_mm: number;
  /** Product a millimetre and a half from the cuticle, and as far from the sidewalls beside the apex. */
  cuticle_mm: number;
  sidewalls_mm: number;
  /** The free edge over its last third, plate or tip included. */
  edge_mm: number;
  /** What its end carries before the stress area breaks, as a multiple of the reference nail; 0 without a free edge. */
  carries: number;
  /** The same of each section from the stress area on, each under what is past it; empty without a free edge. */
  along_edge: EdgeStrength[];
  /** Where it would break: the section of the free edge that carries least. */
  weakest: EdgeStrength | null;
}

/** What a nail's end carries before it breaks so far from the cuticle, as a multiple of the reference nail. */
export interface EdgeStrength {
  y_mm: number;
  carries: number;
}

/**
 * The nail that others are measured by: a middle finger's own, 0.5 mm thick, 4 mm past the finger (from memory). One
 * stuff is taken for all: what counts is the section, and how far out the load sits.
 */
const REFERENCE = { width_mm: 12, arch_mm: 2.6, thickness_mm: 0.5, free_mm: 4 };

const reference = (() => {
  const { radius_mm, arc_mm } = curveOf(REFERENCE.width_mm, REFERENCE.arch_mm);
  const section = sectionOf(evenStrips(arc_mm, REFERENCE.thickness_mm, 0), radius_mm);
  return section.modulus_mm3 / REFERENCE.free_mm;
})();

const NEAR_EDGE_MM = 1.5;
/** What stands higher than this on a nail is a stone or a charm, and bears nothing. */
const STANDS_UM = 300;

/** Stones, charms and relief bear nothing; grains lie in the clear that covers them. */
function stands({ pieces, profile, grains, t_um }: Film, cell: number): boolean {
  if (grains || (profile && isSelfEdged(profile))) return true;
  return pieces !== undefined && t_um[cell]! > STANDS_UM;
}

const known = new WeakMap<NailField, NailBody>();

/** A finished nail in figures; worked out once for a field, which changes no more. */
export function bodyOf(field: NailField): NailBody {
  const before = known.get(field);
  if (before) return before;
  const body = measured(field);
  known.set(field, body);
  return body;
}

function measured(field: NailField): NailBody {
  const { frame, grid } = field;
  const product_mm = (cell: number) => layers_mm(field, cell);
  const middle = Math.floor(CELLS_X / 2);
  const along = Array.from({ length: CELLS_Y }, (_, j) => j * CELLS_X + middle).filter(
    (cell) => grid.inside[cell],
  );
  const apex = along.reduce(
    (best, cell) => (product_mm(cell) > product_mm(best) ? cell : best),
    along[0] ?? 0,
  );
  const nearest = (cells: readonly number[], away: (cell: number) => number) =>
    cells.reduce((best, cell) => (away(cell) < away(best) ? cell : best), cells[0] ?? 0);
  const cuticle = nearest(along, (cell) => Math.abs(grid.y[cellY(cell)]! - NEAR_EDGE_MM));
  const row = cellY(apex);
  const half = frame.halfWidth_mm(grid.y[row]!);
  const across = Array.from({ length: CELLS_X }, (_, i) => row * CELLS_X + i).filter(
    (cell) => grid.inside[cell],
  );
  const left = nearest(across, (cell) => Math.abs(grid.x[cellX(cell)]! + half - NEAR_EDGE_MM));
  const right = nearest(across, (cell) => Math.abs(grid.x[cellX(cell)]! - half + NEAR_EDGE_MM));
  const along_edge = strengthAlong(field);
  return {
    apex_mm: rounded(product_mm(apex), 2),
    apex_at_mm: rounded(grid.y[row]!, 1),
    cuticle_mm: rounded(product_mm(cuticle), 2),
    sidewalls_mm: rounded((product_mm(left) + product_mm(right)) / 2, 2),
    edge_mm: rounded(edge_mm(field), 2),
    carries: rounded(along_edge[0]?.carries ?? 0, 2),
    along_edge,
    weakest: along_edge.reduce<EdgeStrength | null>(
      (least, one) => (least && least.carries <= one.carries ? least : one),
      null,
    ),
  };
}

/** Films, tip and flat pieces over the plate, without what is hollow and what stands. */
function layers_mm(field: NailField, cell: number): number {
  let sum = 0;
  for (const film of field.films) if (isSolid(film) && !stands(film, cell)) sum += film.t_um[cell]!;
  return sum / 1000;
}

/** Mean thickness of the free edge over its last third, its rim left out. */
export function edge_mm(field: NailField): number {
  const { frame, grid } = field;
  const free = frame.length_mm - frame.bed_mm;
  let sum = 0;
  let count = 0;
  for (let cell = 0; cell < grid.inside.length; cell += 1) {
    const y = grid.y[cellY(cell)]!;
    if (!grid.inside[cell] || y < frame.length_mm - free / 3) continue;
    // The rim itself is only partly covered by the grid.
    if (frame.halfWidth_mm(y) - Math.abs(grid.x[cellX(cell)]!) < grid.pitch_mm) continue;
    if (field.films.some(({ pieces, t_um }) => pieces && t_um[cell]! > STANDS_UM)) continue;
    sum += grid.plate_um[cell]! / 1000 + layers_mm(field, cell);
    count += 1;
  }
  return count > 0 ? sum / count : 0;
}

/** So near its end nothing is left to lever on a section, and the grid covers it only in part. */
const END_MM = 1;

/**
 * Each section from the stress area to the end, over the length past it that levers on it, against the reference nail: under a load at
 * the end the bending moment falls with the distance from it (Euler and Bernoulli's beam, fixed at the bed).
 */
function strengthAlong(field: NailField): EdgeStrength[] {
  const { frame, grid } = field;
  if (frame.length_mm - frame.bed_mm < 0.5) return [];
  const stress = grid.y.reduce(
    (best, y, j) => (Math.abs(y - frame.bed_mm) < Math.abs(grid.y[best]! - frame.bed_mm) ? j : best),
    0,
  );
  const out: EdgeStrength[] = [];
  for (let row = stress; row < CELLS_Y; row += 1) {
    // The stress area itself, wherever its row lies: there all of the free edge levers on it.
    const y_mm = row === stress ? frame.bed_mm : grid.y[row]!;
    const lever_mm = frame.length_mm - y_mm;
    if (row > stress && lever_mm < END_MM) break;
    const modulus_mm3 = modulusAt(field, row);
    if (modulus_mm3 <= 0) break;
    out.push({
      y_mm: rounded(y_mm, 1),
      carries: rounded(modulus_mm3 / lever_mm / reference, 2),
    });
  }
  return out;
}

/** The modulus of the section across at a row of the grid. */
function modulusAt(field: NailField, row: number): number {
  const { frame, grid } = field;
  const strips = Array.from({ length: CELLS_X }, (_, i) => row * CELLS_X + i)
    .filter((cell) => grid.inside[cell])
    .map((cell) => ({
      x_mm: grid.x[cellX(cell)]!,
      dx_mm: grid.dx_mm,
      under_mm: grid.plate_um[cell]! / 1000,
      over_mm: layers_mm(field, cell),
    }));
  return sectionOf(strips, frame.radius_mm).modulus_mm3;
}

/** Under this share of the reference nail a free edge is lost at ordinary work (common practice). */
export const WEAK = 0.4;

/** What a multiple of the reference nail means at work. */
export function carriesWords(times: number): string {
  if (times === 0) return 'no free edge to lever on it';
  if (times < WEAK) return 'weak for its length: it breaks at ordinary work';
  if (times < 0.8) return 'carries less than a usual natural nail: with care';
  if (times < 1.3) return 'carries what a usual natural nail does';
  return 'carries more than a usual natural nail';
}

/** A nail breaks at its stress area, unless a section further out carries less than this share of it. */
const OUT_SHARE = 0.95;
const STRESS_AREA_MM = 1.5;

/** What a nail carries at its weakest, and where it would break: "…; it would break 4 mm past the nail bed". */
export function strengthWords(
  { weakest, carries }: Pick<NailBody, 'weakest' | 'carries'>,
  bed_mm: number,
): string {
  if (!weakest) return carriesWords(0);
  const past_mm = weakest.y_mm - bed_mm;
  if (past_mm < STRESS_AREA_MM || weakest.carries > OUT_SHARE * carries)
    return `${carriesWords(carries)}; it would break where the bed ends`;
  if (carries >= WEAK && weakest.carries < WEAK)
    return `${carriesWords(carries)}; its thin end would break ${rounded(past_mm, 1)} mm past the bed`;
  return `${carriesWords(weakest.carries)}; it would break ${rounded(past_mm, 1)} mm past the bed`;
}

/** One thickness of a nail beside what is wanted of it. */
export interface Thickness {
  words: string;
  found: string;
  wanted: string;
  kept: boolean;
}

/** A body thinner than this at its apex is polish: it has no structure to speak of. */
const STRUCTURE_FROM_MM = 0.35;
/** Over or just behind the stress area, as shares of the bed (common practice). */
const APEX_FROM = 0.65;
const APEX_TO = 1.05;
/**
 * Of the free edge: thinner it bends and cracks, thicker it is clumsy (a bank card's 0.76 mm: ISO/IEC 7810, ID-1); past a
 * medium length it carries more and may be thicker (common practice).
 */
export const EDGE_MM = { least: 0.3, most: 0.76, mostLong: 1, longFrom: 10 } as const;

/** The thicknesses of a nail's body against what the craft asks of them; none where there is no structure. */
export function thicknesses(body: NailBody, bed_mm: number, free_mm: number): Thickness[] {
  if (body.apex_mm < STRUCTURE_FROM_MM) return [];
  const [from, to] = [bed_mm * APEX_FROM, bed_mm * APEX_TO];
  const edgeMost = free_mm > EDGE_MM.longFrom ? EDGE_MM.mostLong : EDGE_MM.most;
  const under = (mm: number) => mm < body.apex_mm;
  const rows: Thickness[] = [
    {
      words: 'Apex',
      found: `${body.apex_mm.toFixed(2)} mm, at ${body.apex_at_mm.toFixed(1)}`,
      wanted: `at ${from.toFixed(0)}–${to.toFixed(0)} mm`,
      kept: body.apex_at_mm >= from - 0.5 && body.apex_at_mm <= to + 0.5,
    },
    {
      words: 'Cuticle',
      found: `${body.cuticle_mm.toFixed(2)} mm`,
      wanted: 'under the apex',
      kept: under(body.cuticle_mm),
    },
    {
      words: 'Sidewalls',
      found: `${body.sidewalls_mm.toFixed(2)} mm`,
      wanted: 'under the apex',
      kept: under(body.sidewalls_mm),
    },
  ];
  if (free_mm >= 0.5)
    rows.push({
      words: 'Free edge',
      found: `${body.edge_mm.toFixed(2)} mm`,
      wanted: `${EDGE_MM.least}–${edgeMost} mm`,
      kept: body.edge_mm >= EDGE_MM.least && body.edge_mm <= edgeMost,
    });
  return rows;
}
