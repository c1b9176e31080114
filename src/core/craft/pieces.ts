import { clearToCover_mm, edgeLift_mm } from '../geometry/curve';
import type { NailFrame, Point } from '../geometry/frame';
import { polygonDistance_mm } from '../geometry/regions';
import { manyOf } from './pieceCuts';
import { formOf } from './bodyForms';
import { rounded } from '../model/rounded';
import type { PlacedPiece } from './matter';

/** The footprint of a piece, stone or charm as a closed curve in mm. */
export function pieceOutline(piece: PlacedPiece): Point[] {
  const { x_mm, y_mm, width_mm, length_mm, turn_deg } = piece;
  const turn = (turn_deg * Math.PI) / 180;
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  return formOf(piece).outline.map((one) => {
    const px = (width_mm / 2) * one.x;
    const py = (length_mm / 2) * one.y;
    return { x: x_mm + px * cos - py * sin, y: y_mm + px * sin + py * cos };
  });
}

/** A circle, whose distances are known without its curve. */
export function isRound({ shape, outline, width_mm, length_mm }: PlacedPiece): boolean {
  return !outline && (shape === 'oval' || shape === 'disc') && width_mm === length_mm;
}

/** Signed distance to a piece's edge in mm, positive inside; far off it is only known to be far. */
export function pieceDistance(piece: PlacedPiece): (x: number, y: number) => number {
  const { x_mm, y_mm } = piece;
  if (isRound(piece)) {
    const r = piece.width_mm / 2;
    return (x, y) => r - Math.sqrt((x - x_mm) * (x - x_mm) + (y - y_mm) * (y - y_mm));
  }
  const reach = Math.hypot(piece.width_mm, piece.length_mm);
  const outline = pieceOutline(piece);
  return (x, y) =>
    Math.abs(x - x_mm) > reach || Math.abs(y - y_mm) > reach ? FAR : polygonDistance_mm(outline, x, y);
}

const FAR = -1e3;
/** Beyond this a piece's edge is nobody's neighbour. */
const NEAR_MM = 2;

/** The same for several pieces: to the nearest edge of whichever is under the point. */
export function piecesDistance(pieces: readonly PlacedPiece[]): (x: number, y: number) => number {
  const all = pieces.map((piece) => ({
    x: piece.x_mm,
    y: piece.y_mm,
    reach: Math.hypot(piece.width_mm, piece.length_mm) / 2 + NEAR_MM,
    distance_mm: pieceDistance(piece),
  }));
  return (x, y) => {
    let nearest = FAR;
    for (const piece of all) {
      const dx = x - piece.x;
      const dy = y - piece.y;
      if (dx > piece.reach || -dx > piece.reach || dy > piece.reach || -dy > piece.reach) continue;
      nearest = Math.max(nearest, piece.distance_mm(x, y));
    }
    return nearest;
  };
}

/** A piece as it lies turned on a nail, as far as its height goes. */
export type LyingPiece = Pick<PlacedPiece, 'width_mm' | 'length_mm' | 'height_mm' | 'stiffness' | 'turn_deg'>;

/**
 * How far the worst corner of a piece stands off the nail, in mm. A stiff piece stands off the C-curve and the
 * curve along the nail; a soft or pressed one only by the share of its stiffness.
 */
export function pieceLift_mm(frame: NailFrame, piece: LyingPiece, pressed: boolean): number {
  const turn = (piece.turn_deg * Math.PI) / 180;
  const across = Math.abs(piece.width_mm * Math.cos(turn)) + Math.abs(piece.length_mm * Math.sin(turn));
  const along = Math.abs(piece.width_mm * Math.sin(turn)) + Math.abs(piece.length_mm * Math.cos(turn));
  const lift =
    clearToCover_mm(across, piece.height_mm, frame.radius_mm) -
    piece.height_mm +
    edgeLift_mm(0, frame.radius_mm, along, frame.radiusAlong_mm);
  return lift * (pressed ? piece.stiffness : Math.max(0.5, piece.stiffness));
}

/** Clear needed over the ground to reach a piece's worst corner, in mm. */
export function pieceStands_mm(frame: NailFrame, piece: LyingPiece, pressed: boolean): number {
  return piece.height_mm + pieceLift_mm(frame, piece, pressed);
}

/** More kinds than this are read from the map. */
const MOST_KINDS = 3;

/** "5 slivers and 2 leaves": like with like, in the order they are listed; `size` tells kinds apart where it matters. */
export function countWords(pieces: readonly PlacedPiece[], size: (piece: PlacedPiece) => string): string {
  const kinds = countedBy(pieces, (piece) => [piece.words, size(piece)].filter(Boolean).join(' '));
  if (kinds.length <= MOST_KINDS) return joined(kinds.map(({ one, count }) => said(one, count, size(one))));
  const words = countedBy(pieces, (piece) => piece.words);
  return `${joined(words.map(({ one, count }) => said(one, count, '')))} of ${kinds.length} sizes, as on the map`;
}

/** "4 × 1 mm". */
export function sizeOf({ length_mm, width_mm }: PlacedPiece): string {
  return `${rounded(length_mm, 1)} × ${rounded(width_mm, 1)} mm`;
}

function countedBy(pieces: readonly PlacedPiece[], key: (piece: PlacedPiece) => string) {
  const counts = new Map<string, { one: PlacedPiece; count: number }>();
  for (const one of pieces) {
    const known = counts.get(key(one));
    if (known) known.count += 1;
    else counts.set(key(one), { one, count: 1 });
  }
  return [...counts.values()];
}

function said({ words }: PlacedPiece, count: number, size: string): string {
  return `${count} ${count === 1 ? words : manyOf(words)}${size ? ` ${size}` : ''}`;
}

function joined(parts: readonly string[]): string {
  return parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}`;
}
