import { linearOf } from '../colour/space';
import { profileOn } from '../craft/area';
import type { Place } from '../craft/operation';
import type { NailFrame } from '../geometry/frame';
import type { Film } from '../simulate/field';
import { noise } from '../geometry/noise';
import { crinkleLean } from './hardware';
import type { LayRow } from './row';

/** A sheet as it lies in its place: whole, or broken into shreds; of metal, crinkled and mirroring. */
export function sheeted(film: Film, frame: NailFrame, placeOf: (place: Place) => number): LayRow {
  const { colour, print = [], clear } = film.sheet!;
  const parts = clear ? [] : [sheetPart(film, frame, placeOf(film.place), colour)];
  for (const { colour: ink, region } of print) {
    const place = { ...film.place, region, scale: 1, keep: false };
    parts.push(sheetPart(film, frame, placeOf(place), ink));
  }
  return (row, from, to) => {
    for (const part of parts) part(row, from, to);
  };
}

/** One colour of it, in its place. */
function sheetPart(film: Film, frame: NailFrame, place: number, shade: string): LayRow {
  const sheet = film.sheet!;
  const { whole, shred_mm, seed, mirror, metallic } = sheet;
  const colour = linearOf(shade);
  const side = mirror ? -1 : 1;
  const [u0, v0] = [(seed % 809) * 2.3, (seed % 571) * 3.1];
  // Where it thins out, less and less of it is left.
  const share = film.profile && profileOn(frame, film.place, film.profile);
  const there = (x: number, y: number) => {
    const left = share ? whole * share(side * x, y) : whole;
    if (left >= 1 || left <= 0) return left;
    const u = x / shred_mm + u0;
    const v = y / shred_mm + v0;
    const torn = 0.62 * noise(u, v) + 0.26 * noise(2.3 * u + 9, 2.3 * v) + 0.12 * noise(6 * u, 6 * v + 4);
    // Sums of noise crowd about the middle: spread out, as much is left as the share says.
    const even = 1 / (1 + Math.exp(-(torn - 0.5) * 11));
    return Math.max(0, Math.min(1, 0.5 + (left - even) * 14));
  };
  return (row, from, to) => {
    const shares = row.shares[place]!;
    const [red, green, blue] = row.colour;
    for (let i = from; i < to; i += 1) {
      if (shares[i]! <= 0) continue;
      const x = side * row.x[i]!;
      const part = shares[i]! * there(x, row.y);
      if (part <= 0) continue;
      red[i] = red[i]! + (colour[0] - red[i]!) * part;
      green[i] = green[i]! + (colour[1] - green[i]!) * part;
      blue[i] = blue[i]! + (colour[2] - blue[i]!) * part;
      if (!metallic) {
        row.metal[i] = row.metal[i]! * (1 - part);
        continue;
      }
      const [leanX, leanY] = crinkleLean(x + u0, row.y + v0);
      row.underX[i] = side * leanX * sheet.crinkle * part;
      row.underY[i] = leanY * sheet.crinkle * part;
      row.crinkles = true;
      row.metal[i] = row.metal[i]! + part * (1 - row.metal[i]!);
      row.grain[i] = row.grain[i]! + part * (LEAF_GRAIN - row.grain[i]!);
    }
  };
}

/** Leaf mirrors in planes, not in flakes (by the look of it). */
const LEAF_GRAIN = 0.15;
