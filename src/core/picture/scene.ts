import type { Layer } from '../colour/film';
import { isStanding, liesInside } from '../craft/bodies';
import { areaOf } from '../craft/area';
import { shimmerAt } from '../craft/shimmer';
import type { Place } from '../craft/operation';
import type { NailFrame } from '../geometry/frame';
import { append, leastOf, mostOf } from '../model/extent';
import type { Product } from '../model/product';
import { layerCache, pigmentAlong } from '../simulate/pile';
import type { Film, NailField } from '../simulate/field';
import { drawPiece, type Drawn } from './hardware';

/** Where a film lies: signed distance into it, in mm, at a point that is `d` inside the nail's outline; and between which y. */
export interface Lies {
  distance_mm: (x: number, y: number, d: number) => number;
  low_mm: number;
  high_mm: number;
}

/** A coloured film, as a layer at each of its points. */
export interface Coat {
  place: number;
  layerAt: (x: number, y: number) => Layer;
  /** How much of it mirrors as metal does; nothing, where it is no metal. */
  metalAt?: (x: number, y: number) => number;
  /** How coarse its metal is: 1 flakes, towards 0 a mirror. */
  grain: number;
}

export interface Sheen {
  place: number;
  matte: boolean;
}

/** What of a pile shows: coloured coats and inlays in order, the finish, and what stands out of it. */
export interface Scene {
  places: Lies[];
  pile: ({ coat: Coat } | { inlays: Drawn[] })[];
  sheens: Sheen[];
  standing: Drawn[];
  bareMatte: number;
}

export function sceneOf(field: NailField, product: (id: string) => Product, px_per_mm: number): Scene {
  const places: Lies[] = [];
  const index = new Map<string, number>();
  const layer = layerCache();
  const placeOf = (film: Film) => {
    const key = JSON.stringify(film.place);
    if (!index.has(key)) {
      index.set(key, places.length);
      places.push(liesOn(field.frame, film.place, 1 / px_per_mm));
    }
    return index.get(key)!;
  };
  const scene: Scene = {
    places,
    pile: [],
    sheens: [],
    standing: [],
    bareMatte: field.films.length === 0 ? 0.6 : 0,
  };
  for (const film of field.films) {
    if (film.kind === 'hollow') continue;
    if (film.pieces) {
      const drawn = film.pieces.map(drawPiece);
      const inlays = drawn.filter((one) => liesInside(one.piece));
      if (inlays.length > 0) scene.pile.push({ inlays });
      append(
        scene.standing,
        drawn.filter((one) => isStanding(one.piece)),
      );
      continue;
    }
    const made = film.product ? product(film.product) : undefined;
    if (film.paint) {
      const pigmentAt = pigmentAlong(film, field.frame, product);
      const t_um = film.t_um.reduce((most, t) => Math.max(most, t), 0);
      const layerAt =
        film.paint.kind !== 'product'
          ? (x: number, y: number) => layer(pigmentAt(x, y), t_um)
          : always(layer(pigmentAt(0, 0), t_um));
      const metal =
        film.paint.kind === 'shimmer'
          ? { metalAt: shimmerAt(film.paint) }
          : made?.effect === 'metallic'
            ? { metalAt: always(1) }
            : {};
      const grain = made?.family === 'mirror-powder' ? MIRROR_GRAIN : 1;
      scene.pile.push({ coat: { place: placeOf(film), layerAt, ...metal, grain } });
    }
    // Powder keeps the gloss of the top it is burnished on.
    if (made?.family !== 'mirror-powder')
      scene.sheens.push({ place: placeOf(film), matte: made?.family === 'top-matte' });
  }
  return scene;
}

/** Burnished powder is too fine for its flakes to be told apart (by the look of it). */
const MIRROR_GRAIN = 0.04;

function always<T>(value: T): () => T {
  return () => value;
}

/** Spared where the place is the whole nail or more than a pixel away. */
function liesOn(frame: NailFrame, place: Place, pixel_mm: number): Lies {
  if (coversNail(place)) return { distance_mm: (_x, _y, d) => d, low_mm: -Infinity, high_mm: Infinity };
  const { polygons, distance_mm } = areaOf(frame, place);
  const points = polygons.flat();
  const xs = points.map((point) => point.x);
  const ys = points.map((point) => point.y);
  const [left, right] = [leastOf(xs) - pixel_mm, mostOf(xs) + pixel_mm];
  return {
    distance_mm: (x, y) => (x < left || x > right ? -Infinity : distance_mm(x, y)),
    low_mm: leastOf(ys) - pixel_mm,
    high_mm: mostOf(ys) + pixel_mm,
  };
}

function coversNail(place: Place): boolean {
  return (
    place.region.kind === 'whole' && place.margin_mm === 0 && !place.around?.length && !place.free?.length
  );
}
