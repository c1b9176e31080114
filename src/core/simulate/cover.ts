import { distancesTo, OUTSIDE_MM } from '../craft/lattice';
import type { Operation } from '../craft/operation';
import type { PlacedPiece } from '../craft/matter';
import { pieceDistance } from '../craft/pieces';
import { perFrame } from '../geometry/perFrame';
import { CELLS_X, CELLS_Y, cellX, cellY, type NailField } from './field';

/** An even coat runs out over this width at the edge of its region (common practice). */
export const RUN_OUT_MM = 0.3;

/** What an operation covers: its share of each cell, the cells it touches, and those it covers by half or more. */
export interface Cover {
  share: Float32Array;
  touched: Uint16Array;
  held: Uint16Array;
  /** Distance of touched cells to the edge of the region, positive inside. */
  distance_mm: Float32Array;
}

/** Covers of one nail's operations, worked out once for all runs over it. */
export interface Covers {
  byOperation: Map<string, Cover>;
  byPlace: Map<string, Cover>;
}

const covered = perFrame<Cover>();

export function newCovers(): Covers {
  return { byOperation: new Map(), byPlace: new Map() };
}

/** Pieces cover their own outlines, all else its place; before a tip or form is on, there is only the plate. */
export function coverOf(covers: Covers, field: NailField, operation: Operation, lengthened: boolean): Cover {
  const key = `${lengthened} ${operation.id}`;
  const known = covers.byOperation.get(key);
  if (known) return known;
  const pieces = operation.deposit?.kind === 'pieces' ? operation.deposit.pieces : undefined;
  const placeKey = pieces ? key : `${lengthened} ${JSON.stringify(operation.place)}`;
  let cover = covers.byPlace.get(placeKey);
  if (!cover) {
    const there = lengthened ? field.grid.inside : field.grid.onPlate;
    const make = () =>
      coverWith(field, pieces ? overPieces(field, pieces, there) : overPlace(field, operation, there));
    // The whole nail depends on its frame alone, and is the same for every plan of it.
    cover = lengthened && !pieces ? covered(field.frame, placeKey, make) : make();
    covers.byPlace.set(placeKey, cover);
  }
  covers.byOperation.set(key, cover);
  return cover;
}

/** Distances to the edge of an operation's place, positive inside; far outside where there is no nail. */
function overPlace(field: NailField, operation: Operation, there: Uint8Array): Float32Array {
  const inside_mm = distancesTo(field.frame, operation.place);
  return Float32Array.from(there, (is, cell) => (is ? inside_mm[cell]! : OUTSIDE_MM));
}

/** The same to the edges of pieces, each looked for only around itself. */
function overPieces(field: NailField, pieces: readonly PlacedPiece[], there: Uint8Array): Float32Array {
  const { grid } = field;
  const out = new Float32Array(CELLS_X * CELLS_Y).fill(OUTSIDE_MM);
  for (const piece of pieces) {
    const distance_mm = pieceDistance(piece);
    const reach_mm = Math.hypot(piece.width_mm, piece.length_mm) / 2 + grid.pitch_mm;
    for (const cell of cellsNear(field, piece, reach_mm)) {
      if (there[cell])
        out[cell] = Math.max(out[cell]!, distance_mm(grid.x[cellX(cell)]!, grid.y[cellY(cell)]!));
    }
  }
  return out;
}

function coverWith({ grid }: NailField, distance_mm: Float32Array): Cover {
  const share = new Float32Array(CELLS_X * CELLS_Y);
  const touched: number[] = [];
  // A cell wider than the run-out holds the share of it that is covered.
  const width_mm = Math.max(RUN_OUT_MM, grid.pitch_mm);
  distance_mm.forEach((d, cell) => {
    if (d <= -width_mm / 2) return;
    share[cell] = Math.min(1, 0.5 + d / width_mm);
    touched.push(cell);
  });
  return {
    share,
    distance_mm,
    touched: Uint16Array.from(touched),
    held: Uint16Array.from(touched.filter((cell) => share[cell]! >= 0.5)),
  };
}

/** The cells of the square around a piece. */
export function cellsNear({ grid, frame }: NailField, piece: PlacedPiece, reach_mm: number): number[] {
  const range = (at: number, pitch: number, size: number) => [
    Math.max(0, Math.floor((at - reach_mm) / pitch)),
    Math.min(size - 1, Math.ceil((at + reach_mm) / pitch)),
  ];
  const [left, right] = range(piece.x_mm + frame.arc_mm / 2, grid.dx_mm, CELLS_X) as [number, number];
  const [low, high] = range(piece.y_mm, grid.dy_mm, CELLS_Y) as [number, number];
  const cells: number[] = [];
  for (let j = low; j <= high; j += 1) for (let i = left; i <= right; i += 1) cells.push(j * CELLS_X + i);
  return cells;
}
