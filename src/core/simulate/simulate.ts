import { areaOf } from '../craft/context';
import {
  decode,
  flagSurfaces,
  lookup,
  REASONS,
  rowOf,
  SURFACE_COUNT,
  surfaceWords,
  type Reason,
} from '../craft/surfaces';
import { clearToCover_mm, edgeLift_mm } from '../geometry/curve';
import type { Product } from '../model/product';
import {
  CELLS_X,
  CELLS_Y,
  cellX,
  cellY,
  CURED,
  height_um,
  makeField,
  newFilm,
  NONE,
  placeWords,
  WET,
  type Film,
  type NailField,
} from './field';
import type { Compiled } from '../compile/compile';
import { isWet, shine } from './light';
import type { Operation, PlacedPiece } from '../craft/operation';
import { pieceDistance, piecesDistance } from '../craft/pieces';

/** Smaller faults are not reported: a brush is not a ruler. */
export const MIN_FAULT_MM2 = 0.4;

/** An operation that did not hold somewhere, with the area and place where it did not. */
export interface Verdict {
  operation: string;
  reason: Reason | 'filed-through';
  area_mm2: number;
  where: string;
  found: string;
  wants: string;
}

/** What a nail is like after an operation, as the scheduler needs to know it. */
export interface StateAfter {
  wet: boolean;
  tacky: boolean;
  /** The surface that most of the nail then has, in words. */
  surface: string;
}

/** An operation, or light from a load that this nail was only along for. */
export type Step = { operation: Operation; light_s?: number } | { light_s: number };

export interface Simulated {
  field: NailField;
  verdicts: Verdict[];
  /** One for each operation, in order. */
  states: StateAfter[];
}

/** Runs a nail's operations over its surface. Never throws; what goes wrong is a verdict. */
export function simulateNail(compiled: Compiled, edge: 'plate' | 'tip', steps: readonly Step[]): Simulated {
  const { context } = compiled;
  const { plate } = context.nail;
  const field = makeField(context.frame, edge, plate.thickness_mm * 1000, plate.free_edge_mm);
  const run: Run = {
    field,
    product: context.product,
    covers: new Map(),
    verdicts: [],
    tipOn: edge === 'plate',
  };
  const states: StateAfter[] = [];
  for (const step of steps) {
    if (!('operation' in step)) {
      shine(field, step.light_s, context.product);
      continue;
    }
    apply(run, step.operation, step.light_s);
    states.push(stateOf(field));
  }
  return { field, verdicts: run.verdicts, states };
}

/** The nominal run: every cure takes the seconds its operation asks for. */
export function nominalSteps(operations: readonly Operation[]): Step[] {
  return operations.map((operation) => ({ operation }));
}

/** Share of each cell that an operation covers, and the cells it covers at all and by half or more. */
interface Cover {
  share: Float32Array;
  touched: Uint16Array;
  held: Uint16Array;
}

interface Run {
  field: NailField;
  product: (id: string) => Product;
  covers: Map<string, Cover>;
  verdicts: Verdict[];
  tipOn: boolean;
}

function apply(run: Run, operation: Operation, light_s?: number): void {
  const { field } = run;
  const cover = coverOf(run, operation);
  judge(run, operation, cover);
  const leaves = lookup(operation.verb).leaves;
  if (operation.deposit) deposit(run, operation, cover);
  if (operation.removal) file(run, operation, cover);
  if (operation.verb === 'press-on') run.tipOn = true;
  for (const cell of cover.held) field.surface[cell] = leaves[field.surface[cell]!]!;
  if (operation.lamp) shine(field, light_s ?? operation.lamp.seconds, run.product);
}

/** Pieces cover their own outlines, all else its place. */
function coverOf(run: Run, operation: Operation): Cover {
  const { field } = run;
  const pieces = operation.deposit?.kind === 'pieces' ? operation.deposit.pieces : undefined;
  const key = pieces
    ? operation.id
    : `${run.tipOn || operation.verb === 'press-on'} ${JSON.stringify(operation.place)}`;
  const known = run.covers.get(key);
  if (known) return known;
  const share = new Float32Array(CELLS_X * CELLS_Y);
  const distance_mm = pieces ? piecesDistance(pieces) : areaOf(field.frame, operation.place).distance_mm;
  const { inside, onPlate, x, y, pitch_mm } = field.grid;
  // The tip is laid over bed and free edge; before it is on, there is only the plate.
  const there = run.tipOn || operation.verb === 'press-on' ? inside : onPlate;
  const touched: number[] = [];
  for (let cell = 0; cell < share.length; cell += 1) {
    if (!there[cell]) continue;
    const d = distance_mm(x[cellX(cell)]!, y[cellY(cell)]!);
    share[cell] = Math.max(0, Math.min(1, 0.5 + d / pitch_mm));
    if (share[cell]! > 0) touched.push(cell);
  }
  const cover: Cover = {
    share,
    touched: Uint16Array.from(touched),
    held: Uint16Array.from(touched.filter((cell) => share[cell]! >= 0.5)),
  };
  run.covers.set(key, cover);
  return cover;
}

/** Asks the table of surfaces at every cell and reports each reason once, with its area and middle. */
function judge(run: Run, operation: Operation, cover: Cover): void {
  const { field } = run;
  const refuses = lookup(operation.verb).refuses;
  if (cover.held.every((cell) => refuses[field.surface[cell]!] === 0)) return;
  const area = new Float64Array(REASONS.length);
  const sumX = new Float64Array(REASONS.length);
  const sumY = new Float64Array(REASONS.length);
  const found = new Int32Array(REASONS.length).fill(-1);
  let covered = 0;
  for (const cell of cover.held) {
    const share = cover.share[cell]!;
    // A tip meets the plate only where there is plate; past it, it stands free.
    if (operation.verb === 'press-on' && !field.grid.onPlate[cell]) continue;
    covered += field.grid.cell_mm2 * share;
    const reason = refuses[field.surface[cell]!]!;
    if (reason === 0) continue;
    const r = reason - 1;
    const a = field.grid.cell_mm2 * share;
    area[r]! += a;
    sumX[r]! += a * field.grid.x[cellX(cell)]!;
    sumY[r]! += a * field.grid.y[cellY(cell)]!;
    if (found[r]! < 0) found[r] = field.surface[cell]!;
  }
  REASONS.forEach((reason, r) => {
    // Small work is judged by its share: a stone has little area to lose.
    if (area[r]! < Math.min(MIN_FAULT_MM2, covered * 0.3) || area[r]! === 0) return;
    run.verdicts.push({
      operation: operation.id,
      reason,
      area_mm2: area[r]!,
      where: placeWords(field.frame, sumX[r]! / area[r]!, sumY[r]! / area[r]!),
      found: surfaceWords(decode(found[r]!)),
      wants: rowOf(operation.verb).wants,
    });
  });
}

function deposit(run: Run, operation: Operation, cover: Cover): void {
  const { field } = run;
  const what = operation.deposit!;
  if (what.kind === 'tip') {
    const fixing = newFilm(operation.id, 'film', operation.place, operation.product);
    const tip = newFilm(operation.id, 'tip', operation.place);
    for (const cell of cover.held) {
      if (field.grid.onPlate[cell]) put(fixing, cell, what.fixing_um);
      put(tip, cell, tipThickness_um(field, cell, what));
      tip.phase[cell] = CURED;
    }
    field.films.push(fixing, tip);
    return;
  }
  const film = newFilm(
    operation.id,
    what.kind === 'pieces' ? 'pieces' : 'film',
    operation.place,
    operation.product,
  );
  if (operation.paint) film.paint = operation.paint;
  if (what.kind === 'pieces') film.pieces = what.pieces;
  const height = what.kind === 'pieces' ? piecesHeight(field, what.pieces, what.pressed) : undefined;
  for (const cell of cover.touched) {
    const share = cover.share[cell]!;
    if (what.kind === 'conformal') put(film, cell, what.t_um * share);
    else if (what.kind === 'level') put(film, cell, levelThickness_um(field, cell, what.t_um) * share);
    else if (share >= 0.5 && height) {
      put(film, cell, height(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!));
      film.phase[cell] = CURED;
    }
  }
  field.films.push(film);
}

function put(film: Film, cell: number, t_um: number): void {
  if (t_um <= 0) return;
  film.t_um[cell] = t_um;
  film.phase[cell] = WET;
}

function tipThickness_um(
  field: NailField,
  cell: number,
  tip: { cuticle_um: number; apex_um: number; edge_um: number },
): number {
  const y = field.grid.y[cellY(cell)]!;
  const { bed_mm, length_mm } = field.frame;
  const apex = bed_mm * 0.85;
  return y < apex
    ? tip.cuticle_um + (tip.apex_um - tip.cuticle_um) * (y / apex)
    : tip.apex_um + (tip.edge_um - tip.apex_um) * ((y - apex) / (length_mm - apex));
}

/**
 * Share of a levelled layer's thickness at a point: full at the apex, thinner towards cuticle, sidewalls and
 * free edge, as a nail is built (common practice).
 */
export function levelShare(frame: NailField['frame'], x_mm: number, y_mm: number): number {
  const apex = frame.bed_mm * 0.9;
  const along =
    y_mm < apex
      ? 0.45 + 0.55 * Math.sin((Math.PI / 2) * Math.max(0, y_mm / apex))
      : 1 - 0.5 * ((y_mm - apex) / (frame.length_mm - apex || 1));
  const half = frame.halfWidth_mm(Math.max(0, Math.min(y_mm, frame.length_mm))) || 1;
  const across = 1 - 0.5 * Math.min(1, (x_mm / half) ** 2);
  return along * across;
}

/** What drapes over a piece that stands above the level. */
const DRAPE_SHARE = 0.1;

function levelThickness_um(field: NailField, cell: number, t_um: number): number {
  const x = field.grid.x[cellX(cell)]!;
  const y = field.grid.y[cellY(cell)]!;
  let standing = 0;
  for (const film of field.films) if (film.kind === 'pieces') standing += film.t_um[cell]!;
  return Math.max(t_um * DRAPE_SHARE, t_um * levelShare(field.frame, x, y) - standing);
}

/**
 * Clear needed over the ground to reach a piece's worst corner, in mm. A stiff piece stands off the C-curve
 * and the curve along the nail; a soft or pressed one only by the share of its stiffness.
 */
export function pieceStands_mm(frame: NailField['frame'], piece: PlacedPiece, pressed: boolean): number {
  const turn = (piece.turn_deg * Math.PI) / 180;
  const across = Math.abs(piece.width_mm * Math.cos(turn)) + Math.abs(piece.length_mm * Math.sin(turn));
  const along = Math.abs(piece.width_mm * Math.sin(turn)) + Math.abs(piece.length_mm * Math.cos(turn));
  const lift =
    clearToCover_mm(across, piece.height_mm, frame.radius_mm) -
    piece.height_mm +
    edgeLift_mm(0, frame.radius_mm, along, frame.radiusAlong_mm);
  return piece.height_mm + lift * (pressed ? piece.stiffness : Math.max(0.5, piece.stiffness));
}

/** Height in µm of the pieces over a point: what they are thick, and how far they stand off the curve there. */
function piecesHeight(
  field: NailField,
  pieces: readonly PlacedPiece[],
  pressed: boolean,
): (x: number, y: number) => number {
  const all = pieces.map((piece) => ({
    piece,
    distance_mm: pieceDistance(piece),
    lift_mm: piece.kind === 'inlay' ? pieceStands_mm(field.frame, piece, pressed) - piece.height_mm : 0,
    reach_mm: Math.hypot(piece.width_mm, piece.length_mm) / 2,
  }));
  return (x, y) => {
    let height = 0;
    for (const { piece, distance_mm, lift_mm, reach_mm } of all) {
      if (distance_mm(x, y) < -field.grid.pitch_mm / 2) continue;
      // The lift grows with the square of the distance from the piece's middle.
      const off = Math.min(1, Math.hypot(x - piece.x_mm, y - piece.y_mm) / reach_mm);
      height = Math.max(height, (piece.height_mm + lift_mm * off * off) * 1000);
    }
    return height;
  };
}

/** Takes the allowance off the surface and thins the free edge; what is filed into is bared. */
function file(run: Run, operation: Operation, cover: Cover): void {
  const { field } = run;
  const { allowance_um, edge_um } = operation.removal!;
  const { bed_mm, length_mm } = field.frame;
  let area = 0;
  let sumX = 0;
  let sumY = 0;
  for (const cell of cover.held) {
    const y = field.grid.y[cellY(cell)]!;
    let off = allowance_um;
    if (y > bed_mm + (length_mm - bed_mm) * 0.4) {
      off = Math.max(off, height_um(field, cell) + field.grid.ground_um[cell]! - edge_um);
    }
    for (let f = field.films.length - 1; f >= 0 && off > 0; f -= 1) {
      const film = field.films[f]!;
      const t = film.t_um[cell]!;
      if (t <= 0) continue;
      // A file stops at a stone and at the films below the build.
      if (film.kind === 'pieces') {
        area += field.grid.cell_mm2;
        sumX += field.grid.cell_mm2 * field.grid.x[cellX(cell)]!;
        sumY += field.grid.cell_mm2 * y;
        film.t_um[cell] = Math.max(0, t - off);
        if (film.t_um[cell] === 0) film.phase[cell] = NONE;
        break;
      }
      const taken = Math.min(t, off);
      film.t_um[cell] = t - taken;
      if (film.t_um[cell]! <= 0) film.phase[cell] = NONE;
      off -= taken;
    }
  }
  if (area >= MIN_FAULT_MM2) {
    run.verdicts.push({
      operation: operation.id,
      reason: 'filed-through',
      area_mm2: area,
      where: placeWords(field.frame, sumX / area, sumY / area),
      found: 'pieces under the file',
      wants: 'clear over every piece, thicker than the file takes',
    });
  }
}

/** By surface code: a sticky layer that the lamp leaves. */
const STICKY = flagSurfaces((s) => s.finish === 'tacky' && (s.phase === 'cured' || s.phase === 'gelled'));

function stateOf(field: NailField): StateAfter {
  let tacky = 0;
  const counts = new Uint16Array(SURFACE_COUNT);
  let most = field.surface[0]!;
  for (let cell = 0; cell < field.surface.length; cell += 1) {
    if (!field.grid.inside[cell]) continue;
    const code = field.surface[cell]!;
    counts[code]! += 1;
    if (counts[code]! > counts[most]!) most = code;
    tacky += STICKY[code]!;
  }
  return {
    wet: isWet(field),
    tacky: tacky * field.grid.cell_mm2 >= MIN_FAULT_MM2,
    surface: surfaceWords(decode(most)),
  };
}
