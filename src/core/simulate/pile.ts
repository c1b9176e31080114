import { areaOf } from '../craft/area';
import { liesInside } from '../craft/bodies';
import type { TipFrench } from '../craft/matter';
import type { Place } from '../craft/operation';
import { layerOf, over, type Layer, type Pigment, type Triple } from '../colour/film';
import { linearOf } from '../colour/space';
import { smooth } from '../geometry/smooth';
import { regionKindOf } from '../regions';
import type { Product } from '../model/product';
import { cellAt, type Film, type NailField } from './field';
import { paintedWith } from './paints';

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
  const [mx, my] = [x_mm / (half * 0.52), y_mm / (frame.bed_mm * 0.26)];
  const moon = smooth((1 - Math.sqrt(mx * mx + my * my)) * 2.5);
  const own =
    field.edge === 'plate' ||
    (field.edge === 'lengthened' && field.grid.onPlate[cellAt(field, x_mm, y_mm)] === 1);
  const edge = own ? FREE_EDGE : BEHIND_TIP;
  return mix(mix(BED, LUNULA, moon * 0.8), edge, beyond);
}

function mix(a: Triple, b: Triple, t: number): Triple {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

const THIN_UM = 16;
const FINE = 8;

/** Free-standing layers by pigment and thickness, so that a picture works each out once. */
export function layerCache(): (pigment: Pigment, t_um: number) => Layer {
  const known = new Map<Pigment, Map<number, Layer>>();
  return (pigment, t_um) => {
    let byThickness = known.get(pigment);
    if (!byThickness) known.set(pigment, (byThickness = new Map()));
    // Where a film runs out to nothing the eye sees each step of a whole micrometre.
    const key = t_um < THIN_UM ? Math.round(t_um * FINE) / FINE : Math.round(t_um);
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

/** What a layer makes of the colour below it, at a point and its cell. */
type SeenOver = (x: number, y: number, cell: number, below: Triple) => Triple;

interface Prepared {
  frame: NailField['frame'];
  product: (id: string) => Product;
  layer: ReturnType<typeof layerCache>;
}

const unseen = () => undefined;

/** Where the coloured edge of a ready tip lies: the same tip for either hand. */
export function frenchOfTip(place: Place, { smile }: TipFrench): Place {
  return { ...place, region: { kind: 'tip', smile }, margin_mm: 0 };
}

/** How each kind of layer is seen from above; one that is clear, not at all. */
const SEEN: Record<Film['kind'], (film: Film, on: Prepared) => SeenOver | undefined> = {
  film: (film, { frame, product, layer }) => {
    if (!film.paint) return undefined;
    const { pigmentAt } = paintedWith(film, frame, product);
    // Strokes finer than a cell cover part of it in full, and are not thinner all over it.
    if (!film.profile && regionKindOf(film.place.region.kind).stroke_mm) {
      const full_um = film.t_um.reduce((most, t) => Math.max(most, t), 0);
      return (x, y, cell, below) =>
        mix(below, over(layer(pigmentAt(x, y), full_um), below), film.t_um[cell]! / full_um);
    }
    return (x, y, cell, below) => over(layer(pigmentAt(x, y), film.t_um[cell]!), below);
  },
  pieces: (film) => {
    const inlaid = film.pieces!.filter(liesInside).map((piece) => ({
      x: piece.x_mm,
      y: piece.y_mm,
      reach2: (Math.max(piece.width_mm, piece.length_mm) / 2) ** 2,
      colour: linearOf(piece.colour),
    }));
    return (x, y, _cell, below) =>
      inlaid.find((p) => (p.x - x) ** 2 + (p.y - y) ** 2 < p.reach2)?.colour ?? below;
  },
  // From further off than one grain: as much of their colour as they cover.
  grains: ({ t_um, grains }) => {
    const colour = linearOf(grains!.colour);
    return (_x, _y, cell, below) => mix(below, colour, t_um[cell]! / grains!.thickness_um);
  },
  sheet: ({ t_um, sheet }) => {
    const colour = linearOf(sheet!.colour);
    return (_x, _y, cell, below) => mix(below, colour, t_um[cell]! / sheet!.thickness_um);
  },
  tip: ({ french, place }, { frame }) => {
    if (!french) return undefined;
    const colour = linearOf(french.colour);
    const { distance_mm } = areaOf(frame, frenchOfTip(place, french));
    return (x, y, _cell, below) => (distance_mm(x, y) > 0 ? colour : below);
  },
  hollow: unseen,
  old: unseen,
};

function prepared(field: NailField, product: (id: string) => Product): ColourAt {
  const on = { frame: field.frame, product, layer: layerCache() };
  const seen = field.films.map((film) => SEEN[film.kind](film, on));
  return (x, y, { until = field.films.length, without, ground } = {}) => {
    const cell = cellAt(field, x, y);
    let colour = ground ?? groundAt(field, x, y);
    if (cell < 0) return colour;
    for (let f = 0; f < until; f += 1) {
      const film = field.films[f]!;
      if (film.t_um[cell]! <= 0 || without?.(film)) continue;
      colour = seen[f]?.(x, y, cell, colour) ?? colour;
    }
    return colour;
  };
}
