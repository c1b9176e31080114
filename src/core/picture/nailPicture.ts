import { seenFromAbove_mm, type NailFrame } from '../geometry/frame';
import type { Product } from '../model/product';
import type { NailField } from '../simulate/field';
import type { Box } from './changed';
import { leansOf, turned, type Spot } from './lighting';
import type { Raster } from './raster';
import {
  layGround,
  layPlaces,
  laySheens,
  layStanding,
  lightRow,
  measure,
  newRow,
  shadeUnder,
  stand,
  writeRow,
  type Row,
} from './row';
import { sceneOf, type Scene } from './scene';
import { PICTURE_PAD_MM } from './spread';

/** A nail seen from straight above, tip up. */
export interface NailPicture extends Raster {
  /** Room around the nail, in mm, for stones that stand over the edge. */
  pad_mm: number;
}

/** A picture that was drawn before at the same scale, and the part of it that is drawn anew. */
export interface Patch {
  onto: Uint8ClampedArray;
  box: Box;
}

/**
 * Draws a nail from its columns: Kubelka–Munk colour of the pile, inlays at their depth in it, the lamp mirrored in
 * its curve, its apex and its rounded edge, gloss against matte, stones and charms standing out of it. `turn_deg`:
 * how its finger lies under the lamp.
 */
export function drawNail(
  field: NailField,
  product: (id: string) => Product,
  px_per_mm: number,
  turn_deg = 0,
  patch?: Patch,
): NailPicture {
  const { frame } = field;
  const width = Math.ceil((frame.width_mm + 2 * PICTURE_PAD_MM) * px_per_mm);
  const height = Math.ceil((frame.length_mm + 2 * PICTURE_PAD_MM) * px_per_mm);
  const data = patch ? new Uint8ClampedArray(patch.onto) : new Uint8ClampedArray(width * height * 4);
  const whole = { left: 0, right: width, top: 0, bottom: height };
  const { left, right, top, bottom } = patch ? pixelsOf(frame, patch.box, px_per_mm, width, height) : whole;
  const scene = sceneOf(field, product, px_per_mm);
  const row = newRow(frame, px_per_mm, width, PICTURE_PAD_MM, scene.places.length);
  const leanAt = leansOf(field);
  const turn = turned(turn_deg);
  // One for all pixels: nothing is made anew for any of them.
  const spot: Spot = { lean: [0, 0], under: [0, 0], matte: 0, metal: 0, grain: 1, x: 0, y: 0 };

  for (let r = top; r < bottom; r += 1) {
    measure(row, frame, frame.length_mm + PICTURE_PAD_MM - (r + 0.5) / px_per_mm, left, right);
    // Of the first row and column of a patch nothing is known yet of how the outline runs.
    if (r === top && r > 0) continue;
    const first = left > 0 ? left + 1 : 0;
    const stands = stand(row, scene.standing, first, right);
    const [from, to] = covered(row, stands, first, right);
    if (from < to) {
      layGround(row, field, scene.bareMatte, from, to);
      layPlaces(row, scene.places, from, to);
      layPile(row, scene, from, to);
      laySheens(row, scene.sheens, from, to);
      lightRow(row, leanAt, spot, turn, from, to);
      if (scene.standing.length > 0) shadeUnder(row, scene.standing, from, to);
      if (stands) layStanding(row, from, to);
    }
    writeRow(row, frame, data, r * width * 4, first, right);
  }
  return { width, height, px_per_mm, pad_mm: PICTURE_PAD_MM, data };
}

function layPile(row: Row, scene: Scene, from: number, to: number): void {
  for (const lay of scene.pile) lay(row, from, to);
}

/** The stretch of a row that shows anything of the nail or of what stands on it. */
function covered(row: Row, stands: boolean, left: number, right: number): [number, number] {
  const shows = (i: number) => row.cover[i]! > 0 || (stands && row.standing[i]! > 0);
  let [from, to] = [left, right];
  while (from < to && !shows(from)) from += 1;
  while (to > from && !shows(to - 1)) to -= 1;
  return [from, to];
}

/** The pixels of a part of the nail, and one more on each side. */
function pixelsOf(frame: NailFrame, box: Box, px_per_mm: number, width: number, height: number) {
  const half = frame.arc_mm / 2;
  const column = (x: number) =>
    Math.abs(x) < half
      ? (seenFromAbove_mm(frame, x) + frame.width_mm / 2 + PICTURE_PAD_MM) * px_per_mm
      : x < 0
        ? 0
        : width;
  const row = (y: number) => (frame.length_mm + PICTURE_PAD_MM - y) * px_per_mm;
  return {
    left: Math.max(0, Math.floor(column(box.left)) - 1),
    right: Math.min(width, Math.ceil(column(box.right)) + 1),
    top: Math.max(0, Math.floor(row(box.high)) - 1),
    bottom: Math.min(height, Math.ceil(row(box.low)) + 1),
  };
}
