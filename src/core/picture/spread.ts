import type { SetDocument } from '../document/document';
import { mostOf } from '../model/extent';
import { fingerOf, handOf, NAILS, type Finger, type NailName } from '../model/names';
import { FINGER_SHARE } from './finger';
import { buildOf, frameOf } from '../document/nailContext';

/** Room around a nail's picture, for stones that stand over its edge. */
export const PICTURE_PAD_MM = 0.6;

/** One nail as it lies on the spread: its cuticle's middle, in mm from the upper left, and how it is turned. */
export interface LaidNail {
  name: NailName;
  x_mm: number;
  cuticle_mm: number;
  turn_deg: number;
  width_mm: number;
  length_mm: number;
  bed_mm: number;
  /** Width of the finger behind it. */
  finger_mm: number;
}

export interface Spread {
  nails: LaidNail[];
  width_mm: number;
  height_mm: number;
}

/** How far each finger's cuticle lies below the middle finger's, and how the finger is turned, on a hand at rest. */
const REST: Record<Finger, { drop_mm: number; turn_deg: number }> = {
  little: { drop_mm: 12, turn_deg: 7 },
  ring: { drop_mm: 3.5, turn_deg: 2.5 },
  middle: { drop_mm: 0, turn_deg: 0 },
  index: { drop_mm: 4, turn_deg: -2.5 },
  thumb: { drop_mm: 16, turn_deg: -10 },
};

const GAP_MM = 2.6;
const THUMB_GAP_MM = 4;
const HANDS_GAP_MM = 6;
const BELOW_MM = 9;

/** How a finger at rest is turned, clockwise. */
export function restTurn_deg(name: NailName): number {
  return (handOf(name) === 'left' ? -1 : 1) * REST[fingerOf(name)].turn_deg;
}

/** Ten nails lying as on two hands, true to scale. */
export function spreadOf(set: SetDocument): Spread {
  const frames = NAILS.map((name) => frameOf(set.nails[name], buildOf(set, set.nails[name])));
  const reach = mostOf(NAILS.map((name, i) => frames[i]!.length_mm - REST[fingerOf(name)].drop_mm)) + 1.5;
  let x = 3;
  const nails = NAILS.map((name, i): LaidNail => {
    const frame = frames[i]!;
    const finger = fingerOf(name);
    const finger_mm = frame.width_mm * FINGER_SHARE;
    const leading = finger === 'thumb' && handOf(name) === 'left' ? THUMB_GAP_MM : 0;
    const trailing = finger === 'thumb' ? (handOf(name) === 'left' ? HANDS_GAP_MM : THUMB_GAP_MM) : GAP_MM;
    x += leading + finger_mm / 2;
    const at = x;
    x += finger_mm / 2 + trailing;
    return {
      name,
      x_mm: at,
      cuticle_mm: reach + REST[finger].drop_mm,
      turn_deg: restTurn_deg(name),
      width_mm: frame.width_mm,
      length_mm: frame.length_mm,
      bed_mm: frame.bed_mm,
      finger_mm,
    };
  });
  const lowest = mostOf(nails.map((nail) => nail.cuticle_mm));
  return { nails, width_mm: x - GAP_MM + 3, height_mm: lowest + BELOW_MM };
}
