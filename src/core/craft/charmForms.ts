import type { Point } from '../geometry/frame';
import type { CharmShape } from '../model/charmShapes';

/**
 * How a charm is formed, in shares of its half width and half length: x to the right and y away from the cuticle,
 * both from −1 to 1.
 */
export interface CharmForm {
  words: string;
  /** Its footprint, a closed curve without holes; the same seen in a mirror, as both hands get the same charm. */
  outline: readonly Point[];
  /**
   * Its height in shares of its full height, where `in` is how far inside its edge the place lies: 0 at the edge, 1 from
   * half its narrow half on.
   */
  height: (x: number, y: number, inside: number) => number;
  /** Where it is open, and the ground shows. */
  open?: (x: number, y: number) => boolean;
}

const STEPS = 48;

/** A curve around the middle, by angle from the right. */
export function around(at: (angle: number) => Point, steps = STEPS): Point[] {
  return Array.from({ length: steps }, (_, i) => at((2 * Math.PI * i) / steps));
}

const polar = (radius: (angle: number) => number) =>
  around((angle) => ({ x: radius(angle) * Math.cos(angle), y: radius(angle) * Math.sin(angle) }));

/** An outline stretched to −1 … 1 in both directions. */
export function filling(points: readonly Point[]): Point[] {
  const reach = (of: (point: Point) => number) => {
    const all = points.map(of);
    const [low, high] = [all.reduce((a, b) => Math.min(a, b)), all.reduce((a, b) => Math.max(a, b))];
    return (value: number) => (2 * (value - low)) / (high - low) - 1;
  };
  const [x, y] = [reach((one) => one.x), reach((one) => one.y)];
  return points.map((one) => ({ x: x(one.x), y: y(one.y) }));
}

/** Round at the edge, level in the middle. */
export const puffed = (inside: number) => Math.sqrt(Math.max(0, 1 - (1 - inside) ** 2));
const bump = (x: number, y: number, wide: number) => Math.exp(-((x / wide) ** 2) - (y / wide) ** 2);

/** A theatre mask: an oval with a dip between the brows and a soft chin. */
function maskRadius(angle: number): number {
  const up = Math.sin(angle);
  return up > 0 ? 0.86 + 0.14 * Math.abs(Math.cos(angle)) : 1 - 0.08 * Math.abs(Math.cos(angle));
}

const POINTS = 5;
/** The edge of a five-pointed star at an angle, a point upwards. */
function starRadius(angle: number): number {
  const turn = (2 * Math.PI) / POINTS;
  const off = Math.abs(((((angle - Math.PI / 2) % turn) + turn + turn / 2) % turn) - turn / 2);
  // A straight line from the tip at 1 to the notch at 0.46.
  const [tip, notch] = [1, 0.46];
  const half = turn / 2;
  return (tip * notch * Math.sin(half)) / (tip * Math.sin(off) + notch * Math.sin(half - off));
}

const FAN_RIBS = 9;
/** Where the fan's ribs meet. */
const FAN_FOOT = { x: 0, y: -1 };

export const CHARM_FORMS: Record<CharmShape, CharmForm> = {
  oval: {
    words: 'Oval',
    outline: around((angle) => ({ x: Math.cos(angle), y: Math.sin(angle) }), 24),
    height: (x, y) => Math.sqrt(Math.max(0, 1 - x * x - y * y)),
  },
  rectangle: {
    words: 'Rectangle',
    outline: [
      { x: -1, y: -1 },
      { x: 1, y: -1 },
      { x: 1, y: 1 },
      { x: -1, y: 1 },
    ],
    height: (_x, _y, inside) => Math.min(1, inside * 1.6),
  },
  mask: {
    words: 'Mask',
    outline: around((angle) => ({ x: Math.cos(angle), y: Math.sin(angle) * maskRadius(angle) }), 24),
    height: (x, y, inside) =>
      0.62 * puffed(inside) +
      // Nose, brows and cheeks.
      0.38 * Math.exp(-((x / 0.13) ** 2) - ((y + 0.1) / 0.34) ** 2) +
      0.2 * Math.exp(-(((Math.abs(x) - 0.42) / 0.3) ** 2) - ((y - 0.46) / 0.12) ** 2) +
      0.16 * bump(Math.abs(x) - 0.5, y + 0.28, 0.24),
    open: (x, y) => {
      const eye = ((Math.abs(x) - 0.42) / 0.23) ** 2 + ((y - 0.2 + 0.18 * Math.abs(x)) / 0.17) ** 2;
      const smile = Math.abs(x) < 0.42 && Math.abs(y + 0.62 - 0.7 * x * x) < 0.1;
      return eye < 1 || smile;
    },
  },
  star: {
    words: 'Star',
    outline: Array.from({ length: 2 * POINTS }, (_, i) => {
      const angle = Math.PI / 2 + (i * Math.PI) / POINTS;
      return { x: starRadius(angle) * Math.cos(angle), y: starRadius(angle) * Math.sin(angle) };
    }),
    height: (x, y) => Math.max(0, 1 - Math.hypot(x, y) / starRadius(Math.atan2(y, x))),
  },
  heart: {
    words: 'Heart',
    outline: filling(
      around((t) => ({
        x: 16 * Math.sin(t) ** 3,
        y: 13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t),
      })),
    ),
    height: (x, y, inside) =>
      puffed(inside) * (1 - 0.22 * Math.exp(-((x / 0.12) ** 2)) * Math.max(0, Math.min(1, y + 0.4))),
  },
  bow: {
    words: 'Bow',
    outline: [
      { x: -0.16, y: 0.2 },
      { x: -0.55, y: 0.82 },
      { x: -0.86, y: 1 },
      { x: -1, y: 0.7 },
      { x: -0.95, y: 0 },
      { x: -1, y: -0.5 },
      { x: -0.86, y: -0.78 },
      { x: -0.5, y: -0.5 },
      { x: -0.62, y: -1 },
      { x: -0.3, y: -0.9 },
      { x: 0, y: -0.3 },
      { x: 0.3, y: -0.9 },
      { x: 0.62, y: -1 },
      { x: 0.5, y: -0.5 },
      { x: 0.86, y: -0.78 },
      { x: 1, y: -0.5 },
      { x: 0.95, y: 0 },
      { x: 1, y: 0.7 },
      { x: 0.86, y: 1 },
      { x: 0.55, y: 0.82 },
      { x: 0.16, y: 0.2 },
    ],
    // Loops with folds that run into the knot.
    height: (x, y, inside) => {
      const fold = Math.cos(9 * Math.atan2(y, Math.abs(x) + 0.1));
      const loop = puffed(inside) * (0.58 + 0.14 * fold) * Math.min(1, 0.35 + Math.abs(x));
      return Math.max(loop, Math.exp(-((x / 0.2) ** 4) - (y / 0.34) ** 4));
    },
  },
  crescent: {
    words: 'Crescent',
    // Its horns point away from the cuticle.
    outline: filling([
      ...Array.from({ length: 33 }, (_, i) => {
        const angle = Math.PI / 2 + 0.62 + ((2 * Math.PI - 1.24) * i) / 32;
        return { x: Math.cos(angle), y: Math.sin(angle) };
      }),
      ...Array.from({ length: 23 }, (_, i) => {
        const angle = Math.PI / 2 - 0.95 - ((2 * Math.PI - 1.9) * (i + 1)) / 24;
        return { x: 0.73 * Math.cos(angle), y: 0.38 + 0.73 * Math.sin(angle) };
      }),
    ]),
    height: (_x, _y, inside) => puffed(inside),
  },
  drop: {
    words: 'Drop',
    outline: filling(around((t) => ({ x: Math.sin(t) * Math.sin(t / 2) ** 1.6, y: Math.cos(t) }))),
    height: (_x, _y, inside) => puffed(inside),
  },
  ring: {
    words: 'Ring',
    outline: around((angle) => ({ x: Math.cos(angle), y: Math.sin(angle) })),
    height: (x, y) => Math.sqrt(Math.max(0, 1 - ((Math.hypot(x, y) - 0.78) / 0.22) ** 2)),
    open: (x, y) => Math.hypot(x, y) < 0.56,
  },
  leaf: {
    words: 'Leaf',
    outline: around((t) => {
      const y = Math.cos(t);
      const side = Math.sin(t) < 0 ? -1 : 1;
      return {
        x: side * Math.sqrt(Math.max(0, 1 - y * y)) * (1 - 0.28 * y) * 0.93 * (1 - Math.abs(y) ** 6),
        y,
      };
    }),
    // A rib along the middle and veins that leave it upwards.
    height: (x, y, inside) =>
      puffed(inside) * (0.78 + 0.1 * Math.cos(14 * (y - 0.75 * Math.abs(x)))) -
      0.3 * Math.exp(-((x / 0.07) ** 2)) * (inside > 0 ? 1 : 0),
  },
  fan: {
    words: 'Fan',
    outline: filling([
      FAN_FOOT,
      ...Array.from({ length: 8 * FAN_RIBS + 1 }, (_, i) => {
        const share = i / (8 * FAN_RIBS);
        const angle = 0.42 + (Math.PI - 0.84) * share;
        const radius = 1.9 + 0.08 * Math.abs(Math.sin(Math.PI * FAN_RIBS * share));
        return { x: radius * Math.cos(angle), y: -1 + radius * Math.sin(angle) };
      }),
    ]),
    height: (x, y, inside) => {
      const share = (Math.atan2(y - FAN_FOOT.y, x * 0.9) - 0.42) / (Math.PI - 0.84);
      return Math.min(1, inside * 2.2) * (0.62 + 0.32 * Math.abs(Math.sin(Math.PI * FAN_RIBS * share)));
    },
  },
  rose: {
    words: 'Rose',
    outline: polar((angle) => 0.92 + 0.08 * Math.cos(5 * (angle - Math.PI / 2))),
    // Petals wound around the middle, each higher at its rim.
    height: (x, y, inside) => {
      const [radius, angle] = [Math.hypot(x, y), Math.atan2(y, x)];
      const wound = radius * 3.4 - (angle / (2 * Math.PI)) * 1.0;
      const petal = wound - Math.floor(wound);
      return Math.min(1, inside * 2.5) * (0.45 + 0.4 * petal + 0.25 * (1 - radius));
    },
  },
};

/** What an artist chooses from. */
export const CHARM_CHOICES = Object.entries(CHARM_FORMS).map(([value, { words }]) => ({ value, words }));
