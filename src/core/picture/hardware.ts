import { linearOf } from '../colour/space';
import type { Triple } from '../colour/film';
import { hash, noise } from '../geometry/noise';
import type { BodyShape, PlacedPiece } from '../craft/matter';
import { formOf } from '../craft/bodyForms';
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

/** What keeps of its facets below gel, which is as smooth as they are sharp (by the look of it). */
const FIRE_UNDER_GEL = 0.5;

/** The same under a film that was run over it. */
export function dulled(drawn: Drawn): Drawn {
  const even = times(linearOf(drawn.piece.colour), 0.85);
  return { ...drawn, shade: (x, y, ground) => mix(even, drawn.shade(x, y, ground), FIRE_UNDER_GEL) };
}

type Shader = (
  piece: PlacedPiece,
  colour: Triple,
  distance_mm: (x: number, y: number) => number,
) => (x: number, y: number, ground: Triple) => Triple;

const SHADERS: Record<PlacedPiece['kind'], Shader> = {
  piece: (piece, colour) => {
    if (!piece.metallic) return (x, y) => times(colour, 0.94 + 0.1 * noise(x * 5, y * 5));
    const steep = SLOPES[piece.shape] ?? STAMPED_SLOPE;
    const [u, v] = [piece.x_mm * 7.3, piece.y_mm * 5.9];
    // Each lies at a slant of its own, and so one flashes where its neighbour is dull.
    const leans = SLOPES[piece.shape] === undefined ? LEANS : 0;
    const at = [Math.round(piece.x_mm * 50), Math.round(piece.y_mm * 50)] as const;
    const [leanX, leanY] = [leans * (hash(...at) - 0.5), leans * (hash(at[1], at[0]) - 0.5)];
    return (x, y) => {
      const h = 0.03;
      const dx = (crinkled(x + u + h, y + v) - crinkled(x + u - h, y + v)) / (2 * h);
      const dy = (crinkled(x + u, y + v + h) - crinkled(x + u, y + v - h)) / (2 * h);
      const [sx, sy] = [leanX - steep * dx, leanY - steep * dy];
      const nz = 1 / Math.sqrt(1 + sx * sx + sy * sy);
      return lit(colour, sx * nz, sy * nz, nz, true);
    };
  },
  stone: (piece, colour) => {
    const r = piece.width_mm / 2;
    return (x, y, ground) => {
      const px = (x - piece.x_mm) / r;
      const py = (y - piece.y_mm) / r;
      const radius = Math.sqrt(px * px + py * py);
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
    const { height, open } = formOf(piece);
    const turn = (piece.turn_deg * Math.PI) / 180;
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const [wide, long] = [piece.width_mm / 2, piece.length_mm / 2];
    const narrow_mm = Math.min(wide, long) / 2;
    const share = (x: number, y: number) => ({
      x: ((x - piece.x_mm) * cos + (y - piece.y_mm) * sin) / wide,
      y: (-(x - piece.x_mm) * sin + (y - piece.y_mm) * cos) / long,
    });
    const height_mm = (x: number, y: number) => {
      const at = share(x, y);
      const inside = Math.max(0, Math.min(1, distance_mm(x, y) / narrow_mm));
      return piece.height_mm * height(at.x, at.y, inside);
    };
    return (x, y, ground) => {
      const at = share(x, y);
      if (open?.(at.x, at.y)) return times(ground, 0.42);
      const h = SLOPE_OVER_MM;
      const dx = (height_mm(x + h, y) - height_mm(x - h, y)) / (2 * h);
      const dy = (height_mm(x, y + h) - height_mm(x, y - h)) / (2 * h);
      const nz = 1 / Math.sqrt(1 + dx * dx + dy * dy);
      return lit(colour, -dx * nz, -dy * nz, nz, piece.metallic);
    };
  },
};

const LEAF_SLOPE = 0.34;
/** How steeply foil lies: leaf is crinkled, cut slivers are nearly level, what is stamped from a sheet is flat. */
const SLOPES: Partial<Record<BodyShape, number>> = { oval: LEAF_SLOPE, rectangle: 0.1 };
const STAMPED_SLOPE = 0.025;
const LEANS = 0.5;

/** A crumpled sheet: folds of three sizes, each at an angle of its own, so that no grid shows. */
function crinkled(x: number, y: number): number {
  let height = 0;
  for (let i = 0, size = 1; i < 3; i += 1, size *= 0.48) {
    const [cos, sin] = [Math.cos(0.7 + i * 1.9), Math.sin(0.7 + i * 1.9)];
    const wave = noise((x * cos - y * sin) / (0.9 * size), (x * sin + y * cos) / (0.9 * size));
    // Folds have ridges.
    height += size * Math.abs(2 * wave - 1);
  }
  return height;
}

/** How a sheet of leaf leans at a place, as tangents. */
export function crinkleLean(x: number, y: number): [number, number] {
  const h = 0.03;
  return [
    (-LEAF_SLOPE * (crinkled(x + h, y) - crinkled(x - h, y))) / (2 * h),
    (-LEAF_SLOPE * (crinkled(x, y + h) - crinkled(x, y - h))) / (2 * h),
  ];
}

/** A slope is read over so much: finer than a cast edge is. */
const SLOPE_OVER_MM = 0.05;
/** Where the one lamp stands: to the left and beyond the tip, over the nail. */
const LAMP: Triple = [-0.48, 0.62, 0.62];

/** A face of metal or of enamel under the lamp, looked at from above. */
function lit(colour: Triple, nx: number, ny: number, nz: number, metallic: boolean): Triple {
  const facing = Math.max(0, nx * LAMP[0] + ny * LAMP[1] + nz * LAMP[2]);
  // What the face mirrors to an eye straight above it.
  const [rx, ry, rz] = [2 * nz * nx, 2 * nz * ny, 2 * nz * nz - 1];
  const mirrored = Math.max(0, rx * LAMP[0] + ry * LAMP[1] + rz * LAMP[2]);
  if (!metallic) {
    const spark = 0.42 * mirrored ** 26;
    const body = times(colour, 0.42 + 0.68 * facing);
    return [body[0] + spark, body[1] + spark, body[2] + spark];
  }
  // Metal mirrors a room: bright above, dark where the table is.
  const room = 0.34 + 0.5 * mirrored ** 2 + 0.22 * rz + 0.16 * ry;
  const spark = 0.5 * mirrored ** 18;
  const body = times(colour, Math.max(0.14, room + 0.35 * facing));
  return [body[0] + spark, body[1] + 0.94 * spark, body[2] + 0.8 * spark];
}

export function times(colour: Triple, factor: number): Triple {
  return [colour[0] * factor, colour[1] * factor, colour[2] * factor];
}

export function mix(a: Triple, b: Triple, t: number): Triple {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}
