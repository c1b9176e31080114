import { areaOf } from '../craft/area';
import { overChannel, type Layer, type Pigment, type Triple } from '../colour/film';
import type { Place } from '../craft/operation';
import { outlineDistance_mm, type NailFrame } from '../geometry/frame';
import type { Product } from '../model/product';
import { groundAt, layerCache, pigmentAlong } from '../simulate/pile';
import type { Film, NailField } from '../simulate/field';
import { encode, type Raster } from './raster';
import { PICTURE_PAD_MM } from './spread';
import { drawPiece, mix, times, type Drawn } from './hardware';
import { edgeLean, leansOf, light, turned, type Spot } from './lighting';

/** A nail seen from straight above, tip up. */
export interface NailPicture extends Raster {
  /** Room around the nail, in mm, for stones that stand over the edge. */
  pad_mm: number;
}

const SHADOW_MM = 0.45;

/** A colour that films are laid over in place. */
type Mutable = [number, number, number];

interface Coat {
  place: number;
  pigmentAt: (x: number, y: number) => Pigment;
  t_um: number;
  metallic: boolean;
}

interface Sheen {
  place: number;
  matte: boolean;
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
): NailPicture {
  const { frame } = field;
  const width = Math.ceil((frame.width_mm + 2 * PICTURE_PAD_MM) * px_per_mm);
  const height = Math.ceil((frame.length_mm + 2 * PICTURE_PAD_MM) * px_per_mm);
  const data = new Uint8ClampedArray(width * height * 4);
  const scene = sceneOf(field, product, px_per_mm);
  const distances = new Float64Array(scene.places.length);
  const layerFor = layerCache();
  const R = frame.radius_mm;
  const round = Number.isFinite(R);
  const half = frame.arc_mm / 2;
  const leanAt = leansOf(field);
  const turn = turned(turn_deg);
  const lean: [number, number] = [0, 0];
  // One for all pixels: nothing is made anew for any of them.
  const spot: Spot = { lean, matte: 0, metal: 0, grain: scene.grain, x: 0, y: 0 };
  // Distances of the row above, for the way the outline runs.
  const above = new Float64Array(width).fill(-1);

  for (let row = 0; row < height; row += 1) {
    const y = frame.length_mm + PICTURE_PAD_MM - (row + 0.5) / px_per_mm;
    let before = -1;
    for (let column = 0; column < width; column += 1) {
      const seen = (column + 0.5) / px_per_mm - PICTURE_PAD_MM - frame.width_mm / 2;
      const beyond = round && Math.abs(seen) >= R;
      const x = round ? (beyond ? Math.sign(seen) * (half + 0.3) : R * Math.asin(seen / R)) : seen;
      const d = outlineDistance_mm(frame, x, y);
      // Edges foreshorten towards the sidewalls: sharpness is judged in pixels on the screen.
      const slant = round ? Math.max(0.25, Math.cos(Math.min(1.45, Math.abs(x) / R))) : 1;
      const cover = clamp01(0.5 + d * px_per_mm * (Math.abs(x) > half * 0.6 ? slant : 1));
      const standing = scene.standing.length > 0 ? topmost(scene.standing, x, y, px_per_mm) : undefined;
      const [inX, inY] = [d - before, above[column]! - d];
      above[column] = before = d;
      if (cover <= 0 && !standing) {
        // A soft shadow on what lies beneath, cast like the rest to the lower right.
        const up = y + SHADOW_MM;
        const under =
          outlineDistance_mm(frame, x - SHADOW_MM * 0.4, Math.max(up, 0.3)) - Math.max(0, 0.3 - up);
        data[(row * width + column) * 4 + 3] = 70 * clamp01(1 + under / SHADOW_MM) ** 2;
        continue;
      }

      for (let p = 0; p < scene.places.length; p += 1) distances[p] = scene.places[p]!(x, y, d);
      const [red, green, blue] = groundAt(field, x, y);
      let colour: Mutable = [red, green, blue];
      let glint = 0;
      for (const item of scene.pile) {
        if ('pieces' in item) {
          for (const drawn of item.pieces) {
            if (
              Math.abs(x - drawn.piece.x_mm) > drawn.reach_mm ||
              Math.abs(y - drawn.piece.y_mm) > drawn.reach_mm
            )
              continue;
            const share = clamp01(0.5 + drawn.distance_mm(x, y) * px_per_mm);
            if (share > 0) colour = [...mix(colour, drawn.shade(x, y, colour), share)];
          }
          continue;
        }
        const share = clamp01(0.5 + distances[item.place]! * px_per_mm);
        if (share <= 0) continue;
        coat(colour, layerFor(item.pigmentAt(x, y), item.t_um), share);
        if (item.metallic) glint = Math.max(glint, share);
        else glint *= 1 - share;
      }
      let matte = scene.bareMatte;
      for (const sheen of scene.sheens) {
        const share = clamp01(0.5 + distances[sheen.place]! * px_per_mm);
        matte += ((sheen.matte ? 1 : 0) - matte) * share;
      }
      leanAt(x, y, lean);
      const edge = edgeLean(d);
      if (edge > 0) {
        const steep = Math.hypot(inX, inY) || 1;
        lean[0] -= (edge * inX) / steep;
        lean[1] += (edge * inY) / steep;
      }
      spot.matte = matte;
      spot.metal = glint;
      spot.x = x;
      spot.y = y;
      light(colour, round ? x / R : 0, spot, turn);
      let shown = scene.standing.length > 0 ? shadowed(colour, scene.standing, x, y) : colour;
      let alpha = cover;
      if (standing) {
        shown = mix(shown, standing.drawn.shade(x, y, shown), standing.share);
        alpha = Math.max(alpha, standing.share);
      }
      const at = (row * width + column) * 4;
      data[at] = encode(shown[0]);
      data[at + 1] = encode(shown[1]);
      data[at + 2] = encode(shown[2]);
      data[at + 3] = Math.round(alpha * 255);
    }
  }
  return { width, height, px_per_mm, pad_mm: PICTURE_PAD_MM, data };
}

/** Signed distance into a place, in mm, at a point that is `d` inside the nail's outline. */
type PlaceDistance = (x: number, y: number, d: number) => number;

interface Scene {
  places: PlaceDistance[];
  pile: (Coat | { pieces: Drawn[] })[];
  sheens: Sheen[];
  standing: Drawn[];
  bareMatte: number;
  /** How coarse the metal is: flakes, or a mirror. */
  grain: number;
}

/** What of the pile shows: coloured coats and inlays in order, the finish, and what stands out of it. */
function sceneOf(field: NailField, product: (id: string) => Product, px_per_mm: number): Scene {
  const places: Scene['places'] = [];
  const index = new Map<string, number>();
  const placeOf = (film: Film) => {
    const key = JSON.stringify(film.place);
    if (!index.has(key)) {
      index.set(key, places.length);
      places.push(placeDistance(field.frame, film.place, 1 / px_per_mm));
    }
    return index.get(key)!;
  };
  const scene: Scene = {
    places,
    pile: [],
    sheens: [],
    standing: [],
    bareMatte: field.films.length === 0 ? 0.6 : 0,
    grain: 1,
  };
  for (const film of field.films) {
    if (film.kind === 'hollow') continue;
    if (film.pieces) {
      const drawn = film.pieces.map(drawPiece);
      const inlaid = drawn.filter((one) => one.piece.kind === 'inlay');
      if (inlaid.length > 0) scene.pile.push({ pieces: inlaid });
      scene.standing.push(...drawn.filter((one) => one.piece.kind !== 'inlay'));
      continue;
    }
    const made = film.product ? product(film.product) : undefined;
    if (film.paint) {
      scene.pile.push({
        place: placeOf(film),
        pigmentAt: pigmentAlong(film, field.frame, product),
        t_um: film.t_um.reduce((most, t) => Math.max(most, t), 0),
        metallic: made?.effect === 'metallic',
      });
    }
    if (made?.family === 'mirror-powder') scene.grain = 0.04;
    // Powder keeps the gloss of the top it is burnished on.
    if (made?.family !== 'mirror-powder')
      scene.sheens.push({ place: placeOf(film), matte: made?.family === 'top-matte' });
  }
  return scene;
}

/** The distance into a place, spared where the place is the whole nail or more than a pixel away. */
function placeDistance(frame: NailFrame, place: Place, pixel_mm: number): PlaceDistance {
  if (coversNail(place)) return (_x, _y, d) => d;
  const { polygons, distance_mm } = areaOf(frame, place);
  const points = polygons.flat();
  const xs = points.map((point) => point.x);
  const ys = points.map((point) => point.y);
  const [left, right] = [Math.min(...xs) - pixel_mm, Math.max(...xs) + pixel_mm];
  const [low, high] = [Math.min(...ys) - pixel_mm, Math.max(...ys) + pixel_mm];
  return (x, y) => (x < left || x > right || y < low || y > high ? -Infinity : distance_mm(x, y));
}

function coversNail(place: Place): boolean {
  return (
    place.region.kind === 'whole' && place.margin_mm === 0 && !place.around?.length && !place.free?.length
  );
}

/** Lays a coat over a colour, in place: a picture does this for every film under every pixel. */
function coat(colour: Mutable, layer: Layer, share: number): void {
  for (let i = 0; i < 3; i += 1) {
    const ground = colour[i]!;
    colour[i] = ground + share * (overChannel(layer.R[i]!, layer.T[i]!, ground) - ground);
  }
}

function topmost(standing: readonly Drawn[], x: number, y: number, px_per_mm: number) {
  for (let i = standing.length - 1; i >= 0; i -= 1) {
    const drawn = standing[i]!;
    if (Math.abs(x - drawn.piece.x_mm) > drawn.reach_mm || Math.abs(y - drawn.piece.y_mm) > drawn.reach_mm)
      continue;
    const share = clamp01(0.5 + drawn.distance_mm(x, y) * px_per_mm);
    if (share > 0) return { drawn, share };
  }
  return undefined;
}

/** What stands out throws a soft shadow down and to the right. */
function shadowed(colour: Triple, standing: readonly Drawn[], x: number, y: number): Triple {
  let dark = 0;
  for (const drawn of standing) {
    const off = Math.min(0.5, 0.18 + drawn.piece.height_mm * 0.15);
    const reach = drawn.reach_mm + 1;
    if (Math.abs(x - drawn.piece.x_mm) > reach || Math.abs(y - drawn.piece.y_mm) > reach) continue;
    dark = Math.max(dark, clamp01(1 + drawn.distance_mm(x - off, y + off) / 0.45) * 0.5);
  }
  return dark > 0 ? times(colour, 1 - dark) : colour;
}

function clamp01(value: number): number {
  return value < 0 ? 0 : value > 1 ? 1 : value;
}
