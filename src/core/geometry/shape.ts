import type { Shape } from '../model/shapes';

/** A shape of the free edge: the half width, as a share of the full one, along the taper. */
interface ShapeDefinition {
  words: string;
  /** Length of the taper as a multiple of the half width; limited by the free edge and part of the bed. */
  taper: number;
  /** Half width (0–1) at `t`, from 0 where the taper starts to 1 at the tip. */
  profile: (t: number) => number;
}

const roundOff = (t: number, power: number) => Math.max(0, 1 - t ** power) ** (1 / power);

export const SHAPE_DEFINITIONS: Record<Shape, ShapeDefinition> = {
  square: { words: 'Square', taper: 0.22, profile: (t) => 1 - 0.18 * t ** 6 },
  squoval: { words: 'Squoval', taper: 0.5, profile: (t) => 0.52 + 0.48 * roundOff(t, 2.4) },
  round: { words: 'Round', taper: 0.95, profile: (t) => roundOff(t, 2) },
  oval: { words: 'Oval', taper: 1.5, profile: (t) => roundOff(t, 1.85) },
  almond: { words: 'Almond', taper: 2.3, profile: (t) => Math.max(0, 1 - t ** 2) ** 0.72 },
  coffin: { words: 'Coffin', taper: 2.6, profile: (t) => (t > 0.985 ? 0.47 : 1 - 0.52 * t ** 1.12) },
  stiletto: { words: 'Stiletto', taper: 3.4, profile: (t) => Math.max(0, 1 - t ** 1.28) ** 0.98 },
  // Seen from above a pointed almond; its ridge runs along the middle.
  edge: { words: 'Edge', taper: 2.9, profile: (t) => Math.max(0, 1 - t ** 1.6) ** 0.9 },
};
