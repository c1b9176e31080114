import { linearOf } from '../colour/space';
import type { Triple } from '../colour/film';
import type { NailFrame } from '../geometry/frame';
import { encode, type Raster } from './raster';
import { KEY, turned } from './lighting';
import { noise } from '../geometry/noise';

/** A finger is so much wider than its nail (common practice). */
export const FINGER_SHARE = 1.26;
/** Room beside and above the finger in its picture. */
const FINGER_PAD_MM = 0.4;

export interface FingerLike {
  frame: NailFrame;
  /** Colour of the skin, `#rrggbb`. */
  skin: string;
  /** How much of the finger is shown below the cuticle; it fades out towards its end. */
  below_mm: number;
  turn_deg: number;
}

/** Width of a finger's picture in mm, with the room beside it. */
export function fingerWidth_mm(frame: NailFrame): number {
  return frame.width_mm * FINGER_SHARE * WAIST + 2 * FINGER_PAD_MM;
}

/** How far above the cuticle a finger's picture begins, in mm. */
export function fingerTop_mm(frame: NailFrame): number {
  return padTop_mm(frame) + FINGER_PAD_MM;
}

/** The pad ends a little short of the bed. */
function padTop_mm(frame: NailFrame): number {
  return frame.bed_mm * 0.97;
}

/** Over so much of what is shown below the cuticle a finger ends: short, or on a dark page it looks charred. */
const FADES_OVER = 0.22;
/** The joint is wider than the fingertip. */
const WAIST = 1.06;
/** The walls beside a plate stand about so far from it, and the fold at the cuticle reaches over about so much. */
const WALL_MM = 0.9;
const FOLD_MM = 1.5;
/** Skin takes light in and gives it back redder in the shade. */
const SHADE_TINT: Triple = [1, 0.72, 0.6];

/**
 * A fingertip from its back, as the nail's picture lies on it: a rounded pad, walls beside the plate, the fold at the
 * cuticle, creases before the joint; lit by the lamp of the nails. Its middle is the nail's, its lower end `below_mm`
 * under the cuticle; the picture ends where the pad does.
 */
export function drawFinger({ frame, skin, below_mm, turn_deg }: FingerLike, px_per_mm: number): Raster {
  const half = (frame.width_mm * FINGER_SHARE) / 2;
  const top_mm = padTop_mm(frame);
  const width_mm = fingerWidth_mm(frame);
  const width = Math.ceil(width_mm * px_per_mm);
  const height = Math.ceil((top_mm + FINGER_PAD_MM + below_mm) * px_per_mm);
  const data = new Uint8ClampedArray(width * height * 4);
  const tone = linearOf(skin);
  const turn = turned(-turn_deg);
  // The lamp as the turned finger sees it.
  const lamp: Triple = [
    KEY[0] * turn.cos + KEY[1] * turn.sin,
    -KEY[0] * turn.sin + KEY[1] * turn.cos,
    KEY[2],
  ];
  const edgeAt = (y: number) => {
    if (y <= 0) return half * (1 + (WAIST - 1) * Math.min(1, -y / 7));
    const t = Math.min(1, y / top_mm);
    return half * Math.max(0, 1 - t ** 3.6) ** 0.5;
  };
  for (let row = 0; row < height; row += 1) {
    const y = top_mm + FINGER_PAD_MM - (row + 0.5) / px_per_mm;
    const edge = edgeAt(y);
    const fade = Math.min(1, (y + below_mm) / (below_mm * FADES_OVER));
    for (let column = 0; column < width; column += 1) {
      const x = (column + 0.5) / px_per_mm - width_mm / 2;
      const cover = Math.min(1, 0.5 + (edge - Math.abs(x)) * px_per_mm);
      if (cover <= 0 || y > top_mm) continue;
      const across = Math.max(-1, Math.min(1, x / Math.max(edge, 0.01)));
      // A flattened round across, and rounded off towards its end.
      let nx = 0.82 * Math.sign(across) * Math.abs(across) ** 2.2;
      let ny = 0.75 * Math.max(0, y / top_mm - 0.35) ** 2 - 0.05;
      const off = offPlate(frame, x, y);
      const walled = y < 0 ? 1 : Math.max(0, 1 - (y / (frame.bed_mm * 0.9)) ** 4);
      // Beside the plate the wall rises and turns over; at the cuticle it is a thin fold that lies on the plate.
      const wide = WALL_MM + (FOLD_MM - WALL_MM) * Math.max(0, -off.toY);
      const rise = off.mm < wide ? 1 - Math.max(0, off.mm) / wide : 0;
      const past = Math.exp(-(((off.mm - wide * 1.2) / (wide * 0.55)) ** 2));
      const slope = (0.2 * past - 0.75 * rise * rise) * walled;
      nx += slope * off.toX;
      ny += slope * off.toY;
      let hollow = walled * Math.exp(-((Math.max(0, off.mm) / 0.42) ** 2));
      for (const [crease, deep] of CREASES) {
        const from = y + crease - 0.5 * across * across;
        const near = Math.exp(-((from / 0.2) ** 2)) * deep * (1 - across ** 4);
        ny += near * from * 3;
        hollow = Math.max(hollow, near * 0.35);
      }
      const length = Math.hypot(nx, ny, 1);
      const facing = Math.max(0, (nx * lamp[0] + ny * lamp[1] + lamp[2]) / length);
      const open = 1 / length;
      const grain = 1 + 0.035 * (noise(x * 5, y * 5) - 0.5) + 0.03 * (noise(x * 17, y * 14) - 0.5);
      const light = (0.26 + 0.2 * open + 0.62 * facing) * grain * (1 - 0.62 * hollow);
      const shade = Math.max(0, Math.min(1, 1.05 - light));
      const sheen = 0.05 * Math.max(0, facing) ** 14;
      const at = (row * width + column) * 4;
      for (let c = 0; c < 3; c += 1)
        data[at + c] = encode(tone[c]! * light * (1 + (SHADE_TINT[c]! - 1) * shade) + sheen);
      data[at + 3] = Math.round(255 * cover * Math.max(0, fade) ** 1.2);
    }
  }
  return { width, height, px_per_mm, data };
}

/** How far off the plate a point lies in mm, and the way that leads from it; the plate a U that goes on upwards. */
function offPlate(frame: NailFrame, x: number, y: number): { mm: number; toX: number; toY: number } {
  const w = frame.width_mm / 2;
  const round = w * 0.84;
  const qx = Math.abs(x) - w + round;
  const qy = round - y;
  const side = x < 0 ? -1 : 1;
  if (qx > 0 && qy > 0) {
    const length = Math.hypot(qx, qy);
    return { mm: length - round, toX: (side * qx) / length, toY: -qy / length };
  }
  return qx > qy ? { mm: qx - round, toX: side, toY: 0 } : { mm: qy - round, toX: 0, toY: -1 };
}

/** Creases before the joint: so far below the cuticle, so deep. */
const CREASES: readonly (readonly [number, number])[] = [
  [7.6, 0.5],
  [8.7, 0.7],
  [9.7, 0.4],
];
