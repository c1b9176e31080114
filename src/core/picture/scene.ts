import { isStanding, liesInside } from '../craft/bodies';
import { areaOf, profileOn } from '../craft/area';
import { FAMILIES } from '../craft/families';
import type { Triple } from '../colour/film';
import { linearOf } from '../colour/space';
import type { Grains } from '../craft/matter';
import type { Place } from '../craft/operation';
import type { NailFrame } from '../geometry/frame';
import { boundsOf } from '../geometry/regions';
import { seedOf } from '../model/chance';
import { append, mostOf } from '../model/extent';
import type { PotGrains } from '../model/grains';
import type { Product } from '../model/product';
import { paintedWith } from '../simulate/paints';
import { frenchOfTip, layerCache } from '../simulate/pile';
import type { Film, NailField } from '../simulate/field';
import { strewn } from './grains';
import { drawPiece, dulled, type Drawn } from './hardware';
import { layCoat, layInlays, type Coat, type LayRow, type Lies, type Sheen } from './row';
import { sheeted } from './sheets';

/** What of a pile shows: coloured coats and inlays in order, the finish, and what stands out of it. */
export interface Scene {
  places: (Lies | undefined)[];
  pile: LayRow[];
  sheens: Sheen[];
  standing: Drawn[];
  bareMatte: number;
}

/** What a layer is drawn with. */
interface On {
  field: NailField;
  product: (id: string) => Product;
  scene: Scene;
  layer: ReturnType<typeof layerCache>;
  placeOf: (film: Film) => number;
  /** How thick the coats before this one are that lie just as it does, of the same: they are one with it. */
  below_um: number;
  /** Whether the next film lies as this one does, of the same. */
  goesOn: boolean;
}

/** How each kind of layer shows: what it adds to the scene. */
const SHOWN: Record<Film['kind'], (film: Film, on: On) => void> = {
  film: (film, { field, product, scene, layer, placeOf, below_um, goesOn }) => {
    const made = film.product ? product(film.product) : undefined;
    scene.standing = scene.standing.map((one) =>
      liesUnder(one, scene.places[placeOf(film)]) ? dulled(one) : one,
    );
    if (film.paint && !goesOn) {
      const coat = coatOf(film, { field, product, layer, made, place: placeOf(film), below_um });
      scene.pile.push((row, from, to) => layCoat(row, coat, from, to));
    }
    // A mirror keeps the gloss of the top it is burnished on; other powder is dull until it is topped.
    const powder = made && FAMILIES[made.family].powder;
    if (!powder?.gloss)
      scene.sheens.push({
        place: placeOf(film),
        matte: film.sheen ?? (powder !== undefined || made?.family === 'top-matte' ? 1 : 0),
      });
    if (made?.grains) {
      const grains = fromPot(film, made, made.grains, scene.pile.length);
      scene.pile.push(strewn(film, grains, field.frame, placeOf(film)));
    }
  },
  pieces: (film, { scene }) => {
    const drawn = film.pieces!.map(drawPiece);
    const inlays = drawn.filter((one) => liesInside(one.piece));
    if (inlays.length > 0) scene.pile.push((row, from, to) => layInlays(row, inlays, from, to));
    append(
      scene.standing,
      drawn.filter((one) => isStanding(one.piece)),
    );
  },
  grains: (film, { field, scene, placeOf }) => {
    scene.pile.push(strewn(film, film.grains!, field.frame, placeOf(film)));
    // Open grains scatter the lamp; what is laid over them shines again.
    scene.sheens.push({ place: placeOf(film), matte: 1 });
  },
  sheet: (film, { field, scene, placeOf }) => {
    scene.pile.push(sheeted(film, field.frame, (place) => placeOf({ ...film, place })));
  },
  tip: (film, { scene, placeOf }) => {
    const { french } = film;
    if (french) {
      const place = placeOf({ ...film, place: frenchOfTip(film.place, french) });
      const solid = { R: linearOf(french.colour), T: [0, 0, 0] as Triple };
      scene.pile.push((row, from, to) => layCoat(row, { place, layerAt: () => solid, grain: 1 }, from, to));
    }
    scene.sheens.push({ place: placeOf(film), matte: 0 });
  },
  hollow: () => undefined,
  old: (film, { scene, placeOf }) => {
    scene.sheens.push({ place: placeOf(film), matte: 0 });
  },
};

export function sceneOf(field: NailField, product: (id: string) => Product, px_per_mm: number): Scene {
  const scene: Scene = {
    places: [],
    pile: [],
    sheens: [],
    standing: [],
    bareMatte: field.films.length === 0 ? 0.6 : 0,
  };
  const index = new Map<string, number>();
  const placeOf = (film: Film) => {
    const key = JSON.stringify(film.place);
    if (!index.has(key)) {
      index.set(key, scene.places.length);
      scene.places.push(liesOn(field.frame, film.place, 1 / px_per_mm));
    }
    return index.get(key)!;
  };
  const on: On = { field, product, scene, layer: layerCache(), placeOf, below_um: 0, goesOn: false };
  field.films.forEach((film, i) => {
    on.goesOn = isCoatOn(film, field.films[i + 1], product);
    SHOWN[film.kind](film, on);
    on.below_um = on.goesOn ? on.below_um + thickest_um(film) : 0;
  });
  // Where all is gloss, gloss over it changes nothing.
  if (scene.bareMatte === 0 && scene.sheens.every(({ matte }) => matte === 0)) scene.sheens = [];
  return scene;
}

/** Whether a coat is one of several of the same, with nothing between: to the eye they are one, as thick as all of them. */
function isCoatOn(film: Film, next: Film | undefined, product: (id: string) => Product): boolean {
  if (!next || film.kind !== 'film' || next.kind !== 'film' || !film.paint || film.profile || next.profile)
    return false;
  if (film.product === undefined || film.product !== next.product || product(film.product).grains)
    return false;
  return (
    JSON.stringify(film.paint) === JSON.stringify(next.paint) &&
    JSON.stringify(film.place) === JSON.stringify(next.place)
  );
}

function thickest_um({ t_um }: Film): number {
  return t_um.reduce((most, t) => Math.max(most, t), 0);
}

/** The grains of a product as they lie in one film of it: as many as it is thick, each coat's elsewhere. */
function fromPot(film: Film, { id, coat_um }: Product, grains: PotGrains, nth: number): Grains {
  const full_um = film.full_um ?? mostOf(film.t_um);
  return {
    ...grains,
    words: '',
    thickness_um: 0,
    per_cm2: Math.min(MOST_GRAINS, (grains.per_cm2 * full_um) / (coat_um ?? USUAL_COAT_UM)),
    seed: seedOf({ id, nth }) % 100_000,
    mirror: film.place.mirror,
  };
}

/** More are no longer told apart. */
const MOST_GRAINS = 10_000;
const USUAL_COAT_UM = 50;

/** A coloured film at each of its points: its layer, its metal, and where it is shaped, its height. */
function coatOf(
  film: Film,
  {
    field: { frame },
    product,
    layer,
    made,
    place,
    below_um,
  }: Pick<On, 'field' | 'product' | 'layer' | 'below_um'> & { made: Product | undefined; place: number },
): Coat {
  const { pigmentAt, even, metalAt } = paintedWith(film, frame, product);
  const t_um = below_um + thickest_um(film);
  const share = film.profile && profileOn(frame, film.place, film.profile);
  // Finer than a cell of the grid, the middle of what is shaped may lie in none.
  const full_um = film.full_um ?? t_um;
  let last = pigmentAt(0, 0);
  let laid = layer(last, t_um);
  const flat = laid;
  const layerAt = share
    ? (x: number, y: number, thick: number) => layer(pigmentAt(x, y), full_um * thick)
    : even
      ? () => flat
      : (x: number, y: number) => {
          // Where it is one colour, the next point is as this one was.
          const pigment = pigmentAt(x, y);
          if (pigment !== last) [last, laid] = [pigment, layer(pigment, t_um)];
          return laid;
        };
  return {
    place,
    layerAt,
    ...(metalAt ? { metalAt } : {}),
    // Powder is too fine for its flakes to be told apart.
    grain: (made && FAMILIES[made.family].powder?.grain) ?? 1,
    ...(share
      ? { shaped: { shareAt: share, height_mm: t_um > STANDS_UP_UM ? full_um / 1000 : 0, known: [] } }
      : {}),
  };
}

/** Lower than this nothing is felt, nor throws a light of its own (common practice). */
const STANDS_UP_UM = 60;

/** A film that was laid over something that stands, and not around it. */
function liesUnder({ piece }: Drawn, film: Lies | undefined): boolean {
  if (!film) return true;
  const { x_mm: x, y_mm: y } = piece;
  const { left_mm, right_mm, low_mm, high_mm } = film;
  return y > low_mm && y < high_mm && x >= left_mm && x <= right_mm && film.distance_mm(x, y) > 0;
}

/** Spared where the place is the whole nail or more than a pixel away. */
function liesOn(frame: NailFrame, place: Place, pixel_mm: number): Lies | undefined {
  if (coversNail(place)) return undefined;
  const area = areaOf(frame, place);
  const { left, right, low, high } = boundsOf(area);
  return {
    distance_mm: area.distance_mm,
    left_mm: left - pixel_mm,
    right_mm: right + pixel_mm,
    low_mm: low - pixel_mm,
    high_mm: high + pixel_mm,
  };
}

function coversNail(place: Place): boolean {
  return (
    place.region.kind === 'whole' &&
    place.margin_mm === 0 &&
    !place.around?.length &&
    !place.free?.length &&
    !place.within?.length
  );
}
