import { blend, type Pigment, type Triple } from '../colour/film';
import { CLEAR, pigmentOf } from '../colour/pigments';
import { FAMILIES } from '../craft/families';
import type { Paint } from '../craft/matter';
import type { Run } from '../craft/paints';
import { shimmerAt } from '../craft/shimmer';
import { wayShare, type NailFrame } from '../geometry/frame';
import { noise } from '../geometry/noise';
import { smooth } from '../geometry/smooth';
import type { Product } from '../model/product';
import { marbling } from './marbling';

/** What a film of some paint is seen by: its pigment and how much of it mirrors as metal does, by place. */
export interface Painted {
  pigmentAt: (x_mm: number, y_mm: number) => Pigment;
  /** The same everywhere. */
  even: boolean;
  /** 0–1; nothing, where it is no metal. */
  metalAt?: (x_mm: number, y_mm: number) => number;
}

interface On {
  own: Pigment;
  frame: NailFrame;
  product: (id: string) => Product;
}

/** Runs and shimmer are quantised, finely enough not to band. */
const STEPS = 96;
/** The veins of a marble have sharp edges: finer. */
const MARBLE_STEPS = 1024;

const PAINTED: { [K in Paint['kind']]: (paint: Extract<Paint, { kind: K }>, on: On) => Painted } = {
  product: (_paint, { own }) => ({ pigmentAt: () => own, even: true }),
  diluted: ({ strength }, { own }) => {
    const thinned = blend([
      { pigment: own, share: strength },
      { pigment: CLEAR, share: 1 - strength },
    ]);
    return { pigmentAt: () => thinned, even: true };
  },
  blend: (paint, { frame, product }) => {
    const steps = mixedOnce(paint, frame, pigmentsOf(paint.stops, product), () =>
      Array.from({ length: STEPS + 1 }, (_, i) => blendAt(paint, i / STEPS, product)),
    );
    const shareAt = paint.dabbed ? dabbedShare(paint, frame) : runShare(paint, frame);
    return { pigmentAt: (x, y) => steps[Math.round(shareAt(x, y) * STEPS)]!, even: false };
  },
  shimmer: (paint, { own }) => {
    const shareAt = shimmerAt(paint);
    const steps = Array.from({ length: STEPS + 1 }, (_, i) => drawnTogether(own, (i / STEPS) ** 2));
    return {
      // Finer where there is little of it: there each step would be seen.
      pigmentAt: (x, y) => steps[Math.round(Math.sqrt(shareAt(x, y)) * STEPS)]!,
      even: false,
      metalAt: shareAt,
    };
  },
  marble: (paint, { frame, product }) => {
    const { veinAt, sharesAt } = marbling(paint, frame);
    const pigments = pigmentsOf(paint.parts, product);
    const steps = mixedOnce(paint, frame, pigments, () => veined(pigments, sharesAt));
    return { pigmentAt: (x, y) => steps[Math.round(veinAt(x, y) * MARBLE_STEPS)]!, even: false };
  },
};

function veined(pigments: readonly Pigment[], sharesAt: (height: number) => number[]): Pigment[] {
  let before: { shares: number[]; pigment: Pigment } | undefined;
  return Array.from({ length: MARBLE_STEPS + 1 }, (_, i) => {
    const shares = sharesAt(i / MARBLE_STEPS);
    // Within a vein all is one colour, and is told to be.
    if (before?.shares.every((share, k) => share === shares[k])) return before.pigment;
    const pigment = blend(pigments.map((one, k) => ({ pigment: one, share: shares[k]! })));
    before = { shares, pigment };
    return pigment;
  });
}

function pigmentsOf(parts: readonly { product: string }[], product: On['product']): Pigment[] {
  return parts.map((part) => pigmentOf(product(part.product)));
}

interface Mixed {
  frame: NailFrame;
  pigments: readonly Pigment[];
  steps: Pigment[];
}
const mixed = new WeakMap<Paint, Mixed>();

/** The steps of a paint on a nail, mixed once for all that look at it: judgements and the eye's weight. */
function mixedOnce(paint: Paint, frame: NailFrame, pigments: Pigment[], mix: () => Pigment[]): Pigment[] {
  const before = mixed.get(paint);
  if (before?.frame === frame && before.pigments.every((one, i) => one === pigments[i])) return before.steps;
  const steps = mix();
  mixed.set(paint, { frame, pigments, steps });
  return steps;
}

/** How a film looks by place. `product` is that of the film's own kit. */
export function paintedWith(
  film: { paint?: Paint; product?: string },
  frame: NailFrame,
  product: (id: string) => Product,
): Painted {
  const made = film.product === undefined ? undefined : product(film.product);
  const own = film.paint && made ? pigmentOf(made) : CLEAR;
  if (!film.paint) return { pigmentAt: () => own, even: true };
  const how = PAINTED[film.paint.kind] as (paint: Paint, on: On) => Painted;
  const painted = how(film.paint, { own, frame, product });
  const mirrors = made && (FAMILIES[made.family].powder?.mirrors ?? (made.effect === 'metallic' ? 1 : 0));
  return mirrors && !painted.metalAt ? { ...painted, metalAt: () => mirrors } : painted;
}

/** Where the flakes of a magnetic gel stand on edge, most light goes past them to what lies below (by the look of it). */
const ON_EDGE = { absorbs: 0.5, scatters: 0.015 } as const;

function drawnTogether({ S, K }: Pigment, share: number): Pigment {
  const edge = 1 - share;
  const scaled = (of: Triple, factor: number): Triple => [of[0] * factor, of[1] * factor, of[2] * factor];
  return {
    S: scaled(S, 1 + (ON_EDGE.scatters - 1) * edge),
    K: scaled(K, 1 + (ON_EDGE.absorbs - 1) * edge),
  };
}

/** How far along its run a point of the nail lies, 0–1. */
export function runShare({ direction, mirror }: Run, frame: NailFrame): (x: number, y: number) => number {
  const way = wayShare(frame, direction, mirror ? -1 : 1);
  return (x, y) => Math.max(0, Math.min(1, way(x, y)));
}

/** The pores of a sponge, coarse and fine: how many there are in a mm, and how far each puts a colour before or back (by the look of it). */
const PORES = [
  { per_mm: 0.9, by: 0.12, turn: 0.5 },
  { per_mm: 2.3, by: 0.1, turn: 1.2 },
] as const;

function dabbedShare(run: Run, frame: NailFrame): (x: number, y: number) => number {
  const even = runShare(run, frame);
  return (x, y) => {
    const share = PORES.reduce(
      (sum, { per_mm, by, turn }) => {
        // Turned, so that no rows and columns are seen.
        const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
        return sum + by * (noise(u * per_mm, v * per_mm) - 0.5);
      },
      even(x, y),
    );
    return Math.max(0, Math.min(1, share));
  };
}

/** The blended pigment at a share of the run: each colour weighted by its distance to its neighbours. */
export function blendAt({ stops }: Run, share: number, product: (id: string) => Product): Pigment {
  const last = stops[stops.length - 1]!;
  if (share <= stops[0]!.at) return pigmentOf(product(stops[0]!.product));
  if (share >= last.at) return pigmentOf(product(last.product));
  const next = stops.findIndex((stop) => stop.at >= share);
  const a = stops[next - 1]!;
  const b = stops[next]!;
  const t = smooth((share - a.at) / (b.at - a.at || 1));
  return blend([
    { pigment: pigmentOf(product(a.product)), share: 1 - t },
    { pigment: pigmentOf(product(b.product)), share: t },
  ]);
}
