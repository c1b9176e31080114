import { leftOfPlate_mm, type Edge } from '../craft/build';
import { wholePlace } from '../craft/context';
import { foundSurface, type FoundOn, type OldProductOn } from '../craft/start';
import { LATTICE_X, LATTICE_Y } from '../craft/lattice';
import type { NailFrame } from '../geometry/frame';
import type { Plate } from '../model/nail';
import { encode } from '../craft/surface';
import type { Place } from '../craft/operation';
import type { Grains, Paint, PlacedPiece, Sheet, TipFrench } from '../craft/matter';
import type { Profile } from '../geometry/profiles';
import { beadShare } from '../geometry/bead';

/** Cells across and along, their middles on the lattice that the order is worked out on. */
export const CELLS_X = LATTICE_X;
export const CELLS_Y = LATTICE_Y;

export const NONE = 0;
export const WET = 1;
export const GELLED = 2;
export const CURED = 3;

/**
 * The grid over an unrolled nail, cell (i, j) at index j·CELLS_X + i. `inside` marks cells whose middle lies
 * within the outline. Heights are counted from the upper face of the plate, carried on smoothly past its end;
 * `plate_um` is the plate itself where there is one.
 */
export interface Grid {
  x: Float64Array;
  y: Float64Array;
  dx_mm: number;
  dy_mm: number;
  cell_mm2: number;
  pitch_mm: number;
  inside: Uint8Array;
  onPlate: Uint8Array;
  plate_um: Float32Array;
}

/**
 * One film, piece layer or tip, belonging to the operation that laid it. A hollow is the room below a tip that
 * nothing fills: it lifts what lies above it and is no product. Arrays run over the grid.
 */
export interface Film {
  operation: string;
  product?: string;
  kind: 'film' | 'pieces' | 'grains' | 'sheet' | 'tip' | 'hollow' | 'old';
  place: Place;
  paint?: Paint;
  /** How thick it is by place, and where it is in full. */
  profile?: Profile;
  full_um?: number;
  /** 0 gloss, 1 matte, where it is mixed otherwise than its product. */
  sheen?: number;
  /** Of a ready tip that came with a French. */
  french?: TipFrench;
  pieces?: PlacedPiece[];
  grains?: Grains;
  sheet?: Sheet;
  t_um: Float32Array;
  phase: Uint8Array;
  /** Lamp seconds that reached its bottom; for what dries or sets, the seconds that have passed. */
  dose: Float32Array;
  /** Of poured films: the height of the free surface it levelled to, and what was brought. */
  level_um?: Float32Array;
  brought_mm3?: number;
  /** Of metal pieces: how far inside their edge a cell lies, where light comes only from the side. */
  shade_mm?: Float32Array;
  /** Light comes to it from beneath, past all that lies above. */
  below?: true;
  /** Nothing in it waits to harden any more. */
  settled: boolean;
}

/** A nail as a pile of films, first laid first. */
export interface NailField {
  frame: NailFrame;
  grid: Grid;
  films: Film[];
  /** Encoded surface of each cell. */
  surface: Uint16Array;
  edge: Edge;
}

export function makeField(
  frame: NailFrame,
  edge: Edge,
  plate: Pick<Plate, 'thickness_mm' | 'free_edge_mm'>,
  found: FoundOn,
): NailField {
  const dx = frame.arc_mm / CELLS_X;
  const dy = frame.length_mm / CELLS_Y;
  const x = Float64Array.from({ length: CELLS_X }, (_, i) => (i + 0.5) * dx - frame.arc_mm / 2);
  const y = Float64Array.from({ length: CELLS_Y }, (_, j) => (j + 0.5) * dy);
  const inside = new Uint8Array(CELLS_X * CELLS_Y);
  const onPlate = new Uint8Array(CELLS_X * CELLS_Y);
  const thickness_um = new Float32Array(CELLS_X * CELLS_Y);
  const plateEnds = edge === 'plate' ? frame.length_mm : frame.bed_mm + leftOfPlate_mm(edge, plate);
  for (let j = 0; j < CELLS_Y; j += 1) {
    const half = frame.halfWidth_mm(y[j]!);
    for (let i = 0; i < CELLS_X; i += 1) {
      const cell = j * CELLS_X + i;
      if (Math.abs(x[i]!) >= half) continue;
      inside[cell] = 1;
      if (y[j]! > plateEnds) continue;
      onPlate[cell] = 1;
      thickness_um[cell] = plate.thickness_mm * 1000;
    }
  }
  const surface = new Uint16Array(CELLS_X * CELLS_Y).fill(encode(foundSurface(found)));
  const field: NailField = {
    frame,
    grid: {
      x,
      y,
      dx_mm: dx,
      dy_mm: dy,
      cell_mm2: dx * dy,
      pitch_mm: Math.max(dx, dy),
      inside,
      onPlate,
      plate_um: thickness_um,
    },
    films: [],
    surface,
    edge,
  };
  if (found.old) layOld(field, found.old);
  return field;
}

const OLD = encode({ material: 'old', phase: 'cured', finish: 'shine', soil: 'clean', prep: 'none' });

/** A free edge that was filed when its set was made, plate and all (common practice). */
const WORN_EDGE_UM = 500;

/** What lies on the nail before the work: as it was built, and moved on by what has grown out. */
function layOld(field: NailField, { from_mm, apex_um, stays }: OldProductOn): void {
  const { grid, frame, surface } = field;
  const film = newFilm('old', 'old', wholePlace());
  const there = stays ? grid.inside : grid.onPlate;
  for (let cell = 0; cell < there.length; cell += 1) {
    const y = grid.y[cellY(cell)]!;
    if (!there[cell] || y < from_mm) continue;
    const x = grid.x[cellX(cell)]!;
    const built_um = (at_mm: number) => apex_um * beadShare(frame, x, at_mm - from_mm);
    film.t_um[cell] = built_um(y);
    if (y > frame.bed_mm) {
      // From what stands where the bed ends it runs out to the edge that was filed.
      const edge_um = Math.max(0, WORN_EDGE_UM - grid.plate_um[cell]!);
      const out = (y - frame.bed_mm) / Math.max(0.1, frame.length_mm - frame.bed_mm);
      const bed_um = built_um(frame.bed_mm);
      film.t_um[cell] = Math.min(built_um(y), edge_um + Math.max(0, bed_um - edge_um) * (1 - out));
    }
    film.phase[cell] = CURED;
    surface[cell] = OLD;
  }
  field.films.push(film);
}

export function newFilm(operation: string, kind: Film['kind'], place: Place, product?: string): Film {
  const cells = CELLS_X * CELLS_Y;
  return {
    operation,
    kind,
    place,
    ...(product ? { product } : {}),
    t_um: new Float32Array(cells),
    phase: new Uint8Array(cells),
    dose: new Float32Array(cells),
    settled: kind !== 'film',
  };
}

/** Height of the pile over the plate's upper face at a cell, in µm; `until` stops below that film. */
export function height_um(field: NailField, cell: number, until = field.films.length): number {
  let height = 0;
  for (let f = 0; f < until; f += 1) height += field.films[f]!.t_um[cell]!;
  return height;
}

/** The cell that a point lies in, or −1 outside the grid. */
export function cellAt(field: NailField, x_mm: number, y_mm: number): number {
  const i = Math.floor((x_mm / field.frame.arc_mm + 0.5) * CELLS_X);
  const j = Math.floor((y_mm / field.frame.length_mm) * CELLS_Y);
  return i < 0 || j < 0 || i >= CELLS_X || j >= CELLS_Y ? -1 : j * CELLS_X + i;
}

export function cellX(cell: number): number {
  return cell % CELLS_X;
}

export function cellY(cell: number): number {
  return Math.floor(cell / CELLS_X);
}

/** A fault over more than this share of what it is about lies all over it. */
const ALL_OVER = 0.7;
const MOST_OF_A_NAIL = 0.5;

/** "at the tip, left", or how far it reaches: where on the nail a fault of some area has its middle. */
export function extentWords(
  { frame, grid }: Pick<NailField, 'frame' | 'grid'>,
  fault: { x_mm: number; y_mm: number; area_mm2: number; of_mm2: number },
): string {
  const inside = grid.inside.reduce((sum, one) => sum + one, 0) * grid.cell_mm2;
  if (fault.area_mm2 > ALL_OVER * fault.of_mm2 && fault.area_mm2 > MOST_OF_A_NAIL * inside)
    return 'over the whole nail';
  return spotWords(frame, fault.x_mm, fault.y_mm);
}

/** "at the tip, left": where on the nail a point lies, as one says it. */
export function spotWords(frame: NailFrame, x_mm: number, y_mm: number): string {
  const free = frame.length_mm - frame.bed_mm;
  const along =
    y_mm < frame.bed_mm * 0.3
      ? 'at the cuticle'
      : y_mm < frame.bed_mm * 0.8
        ? 'on the bed'
        : y_mm < frame.bed_mm + free * 0.4
          ? 'at the free edge'
          : 'at the tip';
  const share = x_mm / (frame.arc_mm / 2);
  return share < -0.3 ? `${along}, left` : share > 0.3 ? `${along}, right` : along;
}
