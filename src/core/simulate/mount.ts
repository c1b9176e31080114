import { SKIN_MARGIN_MM } from '../craft/context';
import type { Deposit } from '../craft/matter';
import type { Cover } from './cover';
import { CELLS_X, CELLS_Y, cellX, cellY, height_um, type NailField } from './field';
import { smoothed } from './pour';

/** A ready tip pressed on: the fixing gel below it, the room that stays hollow, and the tip itself. */
export interface Mounted {
  fixing_um: Float32Array;
  hollow_um: Float32Array;
  tip_um: Float32Array;
}

/** Fixing gel begins this far from the cuticle (common practice: none of it at the skin). */
const CUTICLE_FREE_MM = 1;

/** Whether fixing gel holds a tip at a cell: where there is plate, off the skin. Elsewhere the tip stands free. */
export function isFixed(field: NailField, cover: Cover, cell: number): boolean {
  return field.grid.onPlate[cell] === 1 && cover.distance_mm[cell]! >= SKIN_MARGIN_MM;
}

/**
 * The tip has a smooth underside of its own. Fixing gel fills what lies between it and the pile, thickest along
 * the middle and thinning to nothing at the sidewalls; past the plate's end the underside runs straight on over
 * a hollow.
 */
export function mount(field: NailField, cover: Cover, tip: Extract<Deposit, { kind: 'tip' }>): Mounted {
  const { grid, frame } = field;
  const cells = CELLS_X * CELLS_Y;
  const below = new Float32Array(cells);
  const plated = Uint16Array.from(cover.touched.filter((cell) => grid.onPlate[cell]));
  for (const cell of plated) below[cell] = height_um(field, cell);
  const underside = smoothed(field, below, plated);
  for (const cell of plated) underside[cell]! += tip.fixing_um * fixingShare(field, cell);
  carryOn(field, underside, cover.touched);
  const fixing_um = new Float32Array(cells);
  const hollow_um = new Float32Array(cells);
  const tip_um = new Float32Array(cells);
  for (const cell of cover.touched) {
    // The rim is part of the tip too: it is cut to the outline, not thinned to it.
    tip_um[cell] = thickness_um(frame, grid.y[cellY(cell)]!, tip);
    const room = Math.max(0, underside[cell]! - below[cell]!);
    (isFixed(field, cover, cell) ? fixing_um : hollow_um)[cell] = room;
  }
  return { fixing_um, hollow_um, tip_um };
}

/** A half tip over its film of glue: as thick from its seam to its end as it came. */
export function glueOn(
  field: NailField,
  cover: Cover,
  tip: Extract<Deposit, { kind: 'half-tip' }>,
): Pick<Mounted, 'tip_um'> & { glue_um: Float32Array } {
  const glue_um = new Float32Array(CELLS_X * CELLS_Y);
  const tip_um = new Float32Array(CELLS_X * CELLS_Y);
  for (const cell of cover.held) {
    tip_um[cell] = tip.tip_um;
    if (field.grid.onPlate[cell]) glue_um[cell] = tip.glue_um;
  }
  return { glue_um, tip_um };
}

function fixingShare(field: NailField, cell: number): number {
  const y = field.grid.y[cellY(cell)]!;
  const half = field.frame.halfWidth_mm(y) || 1;
  const across = Math.sqrt(Math.max(0, 1 - (field.grid.x[cellX(cell)]! / half) ** 2));
  return across * Math.max(0, Math.min(1, (y - CUTICLE_FREE_MM / 2) / CUTICLE_FREE_MM));
}

/** Past the plate's end the underside keeps the height it has there; a column without plate takes its neighbour's. */
function carryOn(field: NailField, underside: Float32Array, cells: Uint16Array): void {
  const ends = new Float32Array(CELLS_X).fill(-1);
  for (const cell of cells) if (field.grid.onPlate[cell]) ends[cellX(cell)] = underside[cell]!;
  const middle = Math.floor(CELLS_X / 2);
  for (let i = middle - 1; i >= 0; i -= 1) if (ends[i]! < 0) ends[i] = ends[i + 1]!;
  for (let i = middle; i < CELLS_X; i += 1) if (ends[i]! < 0) ends[i] = ends[i - 1]!;
  for (const cell of cells) {
    if (!field.grid.onPlate[cell]) underside[cell] = Math.max(0, ends[cellX(cell)]!);
  }
}

function thickness_um(
  frame: NailField['frame'],
  y: number,
  tip: { cuticle_um: number; apex_um: number; edge_um: number },
): number {
  const { bed_mm, length_mm } = frame;
  const apex = bed_mm * 0.85;
  return y < apex
    ? tip.cuticle_um + (tip.apex_um - tip.cuticle_um) * (y / apex)
    : tip.apex_um + (tip.edge_um - tip.apex_um) * ((y - apex) / (length_mm - apex || 1));
}
