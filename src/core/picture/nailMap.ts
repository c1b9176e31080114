import { areaOf } from '../craft/area';
import { liesAllOver, RESERVED_ELEMENTS, type Operation } from '../craft/operation';
import { pieceOutline } from '../craft/pieces';
import { buildOf, frameOf } from '../document/nailContext';
import type { PlacedPiece } from '../craft/matter';
import type { SetDocument } from '../document/document';
import { outlinePolygon, type NailFrame, type Point } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import { NAILS, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { regionNoun } from '../regions';

/** Where things lie on one nail, in mm: across from its middle, along from the cuticle, on the unrolled nail. */
export interface NailMap {
  nail: NailName;
  width_mm: number;
  length_mm: number;
  bed_mm: number;
  outline: Point[];
  items: Mapped[];
  /** More of the last of them, without a mark of its own. */
  also?: Point[][];
}

interface Mapped {
  words: string;
  outline: Point[];
  size: string;
  at: string;
  x_mm: number;
  y_mm: number;
}

/** A piece as a map says it. */
export function placedAt(piece: PlacedPiece): Mapped {
  const side = piece.x_mm < -0.05 ? 'left' : piece.x_mm > 0.05 ? 'right' : 'middle';
  return {
    words: piece.words,
    outline: pieceOutline(piece),
    size: `${rounded(piece.length_mm, 1)} × ${rounded(piece.width_mm, 1)}`,
    at: `${Math.abs(rounded(piece.x_mm, 1))} ${side}, ${rounded(piece.y_mm, 1)} up`,
    x_mm: piece.x_mm,
    y_mm: piece.y_mm,
  };
}

/** A nail with nothing on it yet. */
export function emptyMap(nail: NailName, frame: NailFrame): Omit<NailMap, 'items'> {
  return {
    nail,
    width_mm: frame.arc_mm,
    length_mm: frame.length_mm,
    bed_mm: frame.bed_mm,
    outline: outlinePolygon(frame, 24),
  };
}

/** The map of a nail, and of those that have the same on them. */
export interface SharedMap extends NailMap {
  /** Nails that are as it shows; `turned`: the other way round. */
  same: { nail: NailName; turned: boolean }[];
}

export interface Maps {
  maps: SharedMap[];
  /** By operation: the numbers that what it lays has on the map of its nail, from 1. */
  numbers: ReadonlyMap<string, readonly number[]>;
}

/**
 * Maps of the nails on which something is drawn, laid or set in a part of them, in the order of the work: what is drawn in several
 * coats once. Nails that carry the same share one.
 */
export function nailMaps(set: SetDocument, operations: Record<NailName, readonly Operation[]>): Maps {
  const numbers = new Map<string, readonly number[]>();
  const maps: SharedMap[] = [];
  for (const nail of NAILS) {
    const map = mapOf(set, nail, operations[nail], numbers);
    if (map.items.length === 0) continue;
    const known = maps.find((one) => isAlike(one, map, 1) || isAlike(one, map, -1));
    if (known) known.same.push({ nail, turned: !isAlike(known, map, 1) });
    else maps.push({ ...map, same: [] });
  }
  return { maps, numbers };
}

function mapOf(
  set: SetDocument,
  nail: NailName,
  operations: readonly Operation[],
  numbers: Map<string, readonly number[]>,
): NailMap {
  const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
  const items: Mapped[] = [];
  const also: Point[][] = [];
  const drawn = new Map<string, number>();
  for (const operation of operations) {
    const { id, deposit, place, element, step } = operation;
    if (deposit?.kind === 'pieces') {
      numbers.set(
        id,
        deposit.pieces.map((_, i) => items.length + i + 1),
      );
      for (const piece of deposit.pieces) items.push(placedAt(piece));
      continue;
    }
    const isArt = !(RESERVED_ELEMENTS as readonly string[]).includes(element);
    // Beads below pieces lie where those do.
    if (!deposit || !isArt || place.around || liesAllOver(place)) continue;
    const key = `${element}/${step}`;
    const laid = drawn.has(key) ? undefined : drawnAt(set, frame, operation);
    if (laid) {
      items.push(laid.item);
      for (const outline of laid.also) also.push(outline);
      drawn.set(key, items.length);
    }
    const number = drawn.get(key);
    if (number !== undefined) numbers.set(id, [number]);
  }
  return { ...emptyMap(nail, frame), items, ...(also.length > 0 ? { also } : {}) };
}

/** What is drawn on a part of a nail, as a map says it: all its strokes as one. */
function drawnAt(
  { kit }: SetDocument,
  frame: NailFrame,
  { product, place }: Operation,
): { item: Mapped; also: Point[][] } | undefined {
  const [outline, ...also] = areaOf(frame, place).polygons.filter((one) => one.length > 2);
  if (!outline) return undefined;
  const name = kit.products.find(({ id }) => id === product)?.name ?? '';
  const noun = place.along_edge ? 'line' : regionNoun(place.region);
  const item = spanOf(frame, [outline, ...also], `${name} ${noun}`.trim() || 'drawing', outline);
  return { item, also };
}

/** What reaches so far on a nail. */
export function spanOf(
  frame: NailFrame,
  outlines: readonly (readonly Point[])[],
  words: string,
  outline: Point[],
): Mapped {
  const all = outlines.flat();
  const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)];
  const half = frame.arc_mm / 2;
  const [left, right] = [Math.max(-half, leastOf(xs)), Math.min(half, mostOf(xs))];
  const [low, high] = [Math.max(0, leastOf(ys)), Math.min(frame.length_mm, mostOf(ys))];
  return {
    words,
    outline,
    size: `${rounded(right - left, 1)} wide`,
    at: `${rounded(low, 1)} to ${rounded(high, 1)} up`,
    x_mm: (left + right) / 2,
    y_mm: (low + high) / 2,
  };
}

/** A tenth of a millimetre is no other place. */
const ALIKE_MM = 0.11;

/** Whether two nails carry the same in the same places, or `turn` −1, turned over. */
function isAlike(a: NailMap, b: NailMap, turn: 1 | -1): boolean {
  const near = (one: number, other: number) => Math.abs(one - other) < ALIKE_MM;
  return (
    near(a.width_mm, b.width_mm) &&
    near(a.length_mm, b.length_mm) &&
    a.items.length === b.items.length &&
    a.items.every((item, i) => {
      const other = b.items[i]!;
      return (
        item.words === other.words &&
        item.size === other.size &&
        near(item.x_mm, turn * other.x_mm) &&
        near(item.y_mm, other.y_mm)
      );
    })
  );
}
