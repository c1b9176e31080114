import { linearOf } from '../colour/space';
import type { Triple } from '../colour/film';
import type { PlacedPiece } from '../craft/operation';
import { pieceDistance } from '../craft/pieces';

/** A piece, stone or charm ready to be drawn: where it reaches, and its colour at a point over a ground. */
export interface Drawn {
  piece: PlacedPiece;
  reach_mm: number;
  distance_mm: (x: number, y: number) => number;
  shade: (x: number, y: number, ground: Triple) => Triple;
}

export function drawPiece(piece: PlacedPiece): Drawn {
  const distance_mm = pieceDistance(piece);
  const reach_mm = Math.hypot(piece.width_mm, piece.length_mm) / 2;
  const colour = linearOf(piece.colour);
  const shade = SHADERS[piece.kind](piece, colour, distance_mm);
  return { piece, reach_mm, distance_mm, shade };
}

type Shader = (
  piece: PlacedPiece,
  colour: Triple,
  distance_mm: (x: number, y: number) => number,
) => (x: number, y: number, ground: Triple) => Triple;

const SHADERS: Record<PlacedPiece['kind'], Shader> = {
  inlay: (piece, colour) => {
    if (!piece.metallic) return (x, y) => times(colour, 0.94 + 0.1 * noise(x * 5, y * 5));
    // Leaf is crinkled: small planes that catch the light or do not.
    return (x, y) => times(colour, 0.55 + 0.85 * noise(x * 3.1 + piece.x_mm * 7, y * 3.1) ** 1.5);
  },
  stone: (piece, colour) => {
    const r = piece.width_mm / 2;
    return (x, y, ground) => {
      const px = (x - piece.x_mm) / r;
      const py = (y - piece.y_mm) / r;
      const radius = Math.hypot(px, py);
      const facet = Math.floor(((Math.atan2(py, px) + Math.PI) / (2 * Math.PI)) * 8 + 0.5);
      const angle = (facet / 8) * 2 * Math.PI - Math.PI;
      const toLight = Math.cos(angle - 2.2);
      // The table in the middle mirrors the sky; crown facets alternate around it.
      const table = radius < 0.48;
      const spark = table
        ? px + py < -0.1
          ? 1.25
          : 0.62
        : 0.62 + 0.55 * toLight + (facet % 2 ? 0.14 : -0.1);
      const rim = radius > 0.88 ? 0.7 : 1;
      const body = times(colour, Math.max(0.12, spark) * rim);
      const through: Triple = [ground[0] * 1.4, ground[1] * 1.4, ground[2] * 1.4];
      return mix(body, through, table ? 0.12 : 0.26);
    };
  },
  charm: (piece, colour, distance_mm) => {
    const turn = (piece.turn_deg * Math.PI) / 180;
    const cos = Math.cos(turn);
    const sin = Math.sin(turn);
    return (x, y, ground) => {
      const px = ((x - piece.x_mm) * cos + (y - piece.y_mm) * sin) / (piece.width_mm / 2);
      const py = (-(x - piece.x_mm) * sin + (y - piece.y_mm) * cos) / (piece.length_mm / 2);
      if (piece.shape === 'mask' && maskOpening(px, py)) return times(ground, 0.35);
      const h = 0.06;
      const slopeX = distance_mm(x + h, y) - distance_mm(x - h, y);
      const slopeY = distance_mm(x, y + h) - distance_mm(x, y - h);
      const bevel = Math.max(0, 1 - distance_mm(x, y) / 0.7) / (2 * h);
      const light = (slopeX * 0.55 - slopeY * 0.75) * bevel;
      const dome = 0.18 * (py - px * 0.6);
      const metal = piece.metallic ? 0.16 * Math.cos((px * 0.8 + py * 1.7) * 5.5) : 0;
      return times(colour, Math.max(0.18, 0.82 + 0.5 * light + dome + metal));
    };
  },
};

/** Eyes and mouth of a theatre mask, in shares of its half width and half length. */
function maskOpening(px: number, py: number): boolean {
  const eye = ((Math.abs(px) - 0.42) / 0.23) ** 2 + ((py - 0.2 + 0.18 * Math.abs(px)) / 0.17) ** 2;
  const smile = Math.abs(px) < 0.42 && Math.abs(py + 0.62 - 0.7 * px * px) < 0.1;
  return eye < 1 || smile;
}

export function times(colour: Triple, factor: number): Triple {
  return [colour[0] * factor, colour[1] * factor, colour[2] * factor];
}

export function mix(a: Triple, b: Triple, t: number): Triple {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

/** Smooth value noise, 0–1, the same everywhere and always. */
export function noise(x: number, y: number): number {
  const xi = Math.floor(x);
  const yi = Math.floor(y);
  const fx = x - xi;
  const fy = y - yi;
  const sx = fx * fx * (3 - 2 * fx);
  const sy = fy * fy * (3 - 2 * fy);
  const top = hash(xi, yi) + (hash(xi + 1, yi) - hash(xi, yi)) * sx;
  const bottom = hash(xi, yi + 1) + (hash(xi + 1, yi + 1) - hash(xi, yi + 1)) * sx;
  return top + (bottom - top) * sy;
}

function hash(x: number, y: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}
