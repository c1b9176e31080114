import { areaOf } from '../craft/area';
import type { Operation } from '../craft/operation';
import { piecesDistance } from '../craft/pieces';
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

export function newCovers(): Covers {
  return { byOperation: new Map(), byPlace: new Map() };
}

/** Pieces cover their own outlines, all else its place; before a tip is on, there is only the plate. */
export function coverOf(covers: Covers, field: NailField, operation: Operation, tipOn: boolean): Cover {
  const key = `${tipOn} ${operation.id}`;
  const known = covers.byOperation.get(key);
  if (known) return known;
  const pieces = operation.deposit?.kind === 'pieces' ? operation.deposit.pieces : undefined;
  const placeKey = pieces ? key : `${tipOn} ${JSON.stringify(operation.place)}`;
  let cover = covers.byPlace.get(placeKey);
  if (!cover) {
    const distance_mm = pieces ? piecesDistance(pieces) : areaOf(field.frame, operation.place).distance_mm;
    cover = sample(field, distance_mm, tipOn ? field.grid.inside : field.grid.onPlate);
    covers.byPlace.set(placeKey, cover);
  }
  covers.byOperation.set(key, cover);
  return cover;
}

function sample(
  { grid }: NailField,
  distanceAt_mm: (x: number, y: number) => number,
  there: Uint8Array,
): Cover {
  const share = new Float32Array(CELLS_X * CELLS_Y);
  const distance_mm = new Float32Array(CELLS_X * CELLS_Y).fill(-1);
  const touched: number[] = [];
  // A cell wider than the run-out holds the share of it that is covered.
  const width_mm = Math.max(RUN_OUT_MM, grid.pitch_mm);
  for (let cell = 0; cell < share.length; cell += 1) {
    if (!there[cell]) continue;
    const d = distanceAt_mm(grid.x[cellX(cell)]!, grid.y[cellY(cell)]!);
    if (d <= -width_mm / 2) continue;
    share[cell] = Math.min(1, 0.5 + d / width_mm);
    distance_mm[cell] = d;
    touched.push(cell);
  }
  return {
    share,
    distance_mm,
    touched: Uint16Array.from(touched),
    held: Uint16Array.from(touched.filter((cell) => share[cell]! >= 0.5)),
  };
}
