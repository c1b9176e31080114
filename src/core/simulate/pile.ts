import { liesInside } from '../craft/bodies';
import { shimmerAt } from '../craft/shimmer';
import { blend, layerOf, over, type Layer, type Pigment, type Triple } from '../colour/film';
import { CLEAR, pigmentOf } from '../colour/pigments';
import { linearOf } from '../colour/space';
import { along_mm, type NailFrame } from '../geometry/frame';
import { smooth } from '../geometry/smooth';
import type { Product } from '../model/product';
import { cellAt, type Film, type NailField } from './field';
import type { Paint } from '../craft/matter';

/** What shows through clear product: the bed over the finger, the plate's own free edge, and light behind a tip. */
const BED = linearOf('#e6b3a2');
const LUNULA = linearOf('#f0d3c6');
const FREE_EDGE = linearOf('#f0e6d8');
const BEHIND_TIP = linearOf('#efe7de');

/** The ground under the films at a point. The half moon is a soft oval at the cuticle. */
export function groundAt(field: NailField, x_mm: number, y_mm: number): Triple {
  const { frame } = field;
  // The free edge begins along a soft curve, the natural smile.
  const half = frame.arc_mm / 2;
  const line = frame.bed_mm - frame.bed_mm * 0.14 * (x_mm / half) ** 2;
  const beyond = smooth((y_mm - line) / 0.8 + 0.5);
  const moon = smooth((1 - Math.hypot(x_mm / (half * 0.52), y_mm / (frame.bed_mm * 0.26))) * 2.5);
  const edge = field.edge === 'plate' ? FREE_EDGE : BEHIND_TIP;
  return mix(mix(BED, LUNULA, moon * 0.8), edge, beyond);
}

function mix(a: Triple, b: Triple, t: number): Triple {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

const BLEND_STEPS = 96;

/** A film's pigment by place. Blends are quantised along their run, finely enough not to band. */
export function pigmentAlong(
  film: Pick<Film, 'paint' | 'product'>,
  frame: NailFrame,
  product: (id: string) => Product,
): (x_mm: number, y_mm: number) => Pigment {
  if (film.paint?.kind === 'blend') {
    const paint = film.paint;
    const steps = Array.from({ length: BLEND_STEPS + 1 }, (_, i) => blendAt(paint, i / BLEND_STEPS, product));
    return (x, y) => steps[Math.round(blendShare(paint, frame, x, y) * BLEND_STEPS)]!;
  }
  const pigment = film.paint && film.product ? pigmentOf(product(film.product)) : CLEAR;
  if (film.paint?.kind === 'shimmer') {
    const shareAt = shimmerAt(film.paint);
    const steps = Array.from({ length: BLEND_STEPS + 1 }, (_, i) =>
      drawnTogether(pigment, (i / BLEND_STEPS) ** 2),
    );
    // Finer where there is little of it: there each step would be seen.
    return (x, y) => steps[Math.round(Math.sqrt(shareAt(x, y)) * BLEND_STEPS)]!;
  }
  return () => pigment;
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

function blendShare(
  paint: Extract<Paint, { kind: 'blend' }>,
  frame: NailFrame,
  x: number,
  y: number,
): number {
  const share =
    paint.direction === 'along' ? y / along_mm(frame, 2) : 0.5 + ((paint.mirror ? -1 : 1) * x) / frame.arc_mm;
  return Math.max(0, Math.min(1, share));
}

/** The blended pigment at a share of the run: each colour weighted by its distance to its neighbours. */
export function blendAt(
  paint: Extract<Paint, { kind: 'blend' }>,
  share: number,
  product: (id: string) => Product,
): Pigment {
  const { stops } = paint;
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

/** Free-standing layers by pigment and thickness, so that a picture works each out once. */
export function layerCache(): (pigment: Pigment, t_um: number) => Layer {
  const known = new Map<Pigment, Map<number, Layer>>();
  return (pigment, t_um) => {
    let byThickness = known.get(pigment);
    if (!byThickness) known.set(pigment, (byThickness = new Map()));
    const key = Math.round(t_um);
    let layer = byThickness.get(key);
    if (!layer) byThickness.set(key, (layer = layerOf(pigment, key)));
    return layer;
  };
}

/** What to leave out of a pile when its colour is asked for. */
export interface Seen {
  /** Only what lies below this film. */
  until?: number;
  /** Without the films of this element. */
  without?: (film: Film) => boolean;
  /** Another ground than the nail's own. */
  ground?: Triple;
}

type ColourAt = (x_mm: number, y_mm: number, seen?: Seen) => Triple;

const known = new WeakMap<NailField, { films: number; colourAt: ColourAt }>();

/**
 * The colour of a nail's pile at any point, seen from above, in linear sRGB. Films are prepared once for a pile, which
 * many judgements ask; `product` is that of the field's own kit.
 */
export function pileColours(field: NailField, product: (id: string) => Product): ColourAt {
  const before = known.get(field);
  if (before && before.films === field.films.length) return before.colourAt;
  const colourAt = prepared(field, product);
  known.set(field, { films: field.films.length, colourAt });
  return colourAt;
}

function prepared(field: NailField, product: (id: string) => Product): ColourAt {
  const layer = layerCache();
  const pigments = field.films.map((film) =>
    film.kind === 'film' && film.paint ? pigmentAlong(film, field.frame, product) : undefined,
  );
  const inlaid = field.films.map((film) =>
    (film.pieces ?? []).filter(liesInside).map((piece) => ({
      x: piece.x_mm,
      y: piece.y_mm,
      reach2: (Math.max(piece.width_mm, piece.length_mm) / 2) ** 2,
      colour: linearOf(piece.colour),
    })),
  );
  return (x, y, { until = field.films.length, without, ground } = {}) => {
    const cell = cellAt(field, x, y);
    let colour = ground ?? groundAt(field, x, y);
    if (cell < 0) return colour;
    for (let f = 0; f < until; f += 1) {
      const film = field.films[f]!;
      if (film.t_um[cell]! <= 0 || without?.(film)) continue;
      if (film.kind === 'pieces') {
        const piece = inlaid[f]!.find((p) => (p.x - x) ** 2 + (p.y - y) ** 2 < p.reach2);
        if (piece) colour = piece.colour;
        continue;
      }
      const pigmentAt = pigments[f];
      if (pigmentAt) colour = over(layer(pigmentAt(x, y), film.t_um[cell]!), colour);
    }
    return colour;
  };
}
