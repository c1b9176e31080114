import { perFrame } from '../geometry/perFrame';
import { FAMILIES } from '../craft/families';
import type { Deposit } from '../craft/matter';
import type { Operation } from '../craft/operation';
import { profileOn } from '../craft/area';
import { isSelfEdged, profileShare, type Profile } from '../geometry/profiles';
import type { Product } from '../model/product';
import type { Cover } from './cover';
import { CELLS_X, CELLS_Y, cellX, cellY, CURED, newFilm, WET, type Film, type NailField } from './field';
import { stuckShare } from './grains';
import { layOnNail } from './laid';
import { glueOn, mount } from './mount';
import { pour } from './pour';
import { fillHollow, turnedOver } from './tipInside';

/** What an operation lays, and on what. */
export interface Laying {
  field: NailField;
  operation: Operation;
  cover: Cover;
  product: (id: string) => Product;
  /** A ready tip that was worked on from inside. */
  tip?: NailField;
}

type Lay<K extends Deposit['kind']> = (what: Extract<Deposit, { kind: K }>, laying: Laying) => Film[];

/** How each kind of deposit lies on a nail: the layers that it adds, lowest first. */
const LAYINGS: { [K in Deposit['kind']]: Lay<K> } = {
  conformal: ({ t_um, profile, sheen }, laying) => {
    const { operation, product } = laying;
    const made = operation.product ? product(operation.product) : undefined;
    const film = filmOf(laying, 'film');
    if (operation.paint) film.paint = operation.paint;
    if (profile) Object.assign(film, { profile, full_um: t_um });
    if (sheen !== undefined) film.sheen = sheen;
    const hardens = made && FAMILIES[made.family].hardens !== 'never';
    if (!hardens) film.settled = true;
    return [filled(film, spread(t_um, profile, laying), hardens ? WET : CURED)];
  },
  level: ({ t_um }, laying) => {
    const { field, cover, operation } = laying;
    const poured = pour(field, cover, t_um);
    const film = filmOf(laying, 'film');
    if (operation.paint) film.paint = operation.paint;
    film.level_um = poured.level_um;
    film.brought_mm3 = poured.brought_mm3;
    return [filled(film, poured.t_um, WET)];
  },
  pieces: ({ pieces, pressed }, laying) => {
    const { t_um, gap_um, shade_mm } = layOnNail(laying.field, laying.cover, pieces, pressed);
    const laid = filled(filmOf(laying, 'pieces'), t_um, CURED);
    laid.pieces = pieces;
    if (shade_mm) laid.shade_mm = shade_mm;
    const lifted = gap_um.some((gap) => gap > 1);
    return lifted ? [filled(filmOf(laying, 'hollow'), gap_um, CURED), laid] : [laid];
  },
  grains: ({ grains, profile }, laying) => {
    const film = filmOf(laying, 'grains');
    film.grains = grains;
    if (profile) film.profile = profile;
    // Thickness by place is the mean: what is not covered is bare.
    const brought = spread(1, profile, laying);
    const t_um = brought.map((share) => stuckShare(grains, share) * grains.thickness_um);
    return [filled(film, t_um, CURED)];
  },
  sheet: ({ sheet, profile }, laying) => {
    const film = filmOf(laying, 'sheet');
    film.sheet = sheet;
    if (profile) film.profile = profile;
    return [filled(film, spread(sheet.thickness_um * sheet.whole, profile, laying), CURED)];
  },
  tip: (what, laying) => {
    const { fixing_um, hollow_um, tip_um } = mount(laying.field, laying.cover, what);
    const tip = filled(filmOf(laying, 'tip'), tip_um, CURED);
    if (what.french) tip.french = what.french;
    return [
      filled(filmOf(laying, 'film'), fixing_um, WET),
      filled(filmOf(laying, 'hollow'), hollow_um, CURED),
      ...turnedOver(laying.tip),
      tip,
    ];
  },
  'half-tip': (what, laying) => {
    const { glue_um, tip_um } = glueOn(laying.field, laying.cover, what);
    const tip = filled(filmOf(laying, 'tip'), tip_um, CURED);
    if (what.french) tip.french = what.french;
    return [filled(filmOf(laying, 'film'), glue_um, WET), tip];
  },
  // Goes below what is there already.
  fill: (_what, laying) => {
    fillHollow(laying.field, filmOf(laying, 'film'), laying.operation.paint);
    return [];
  },
};

/** The layers that an operation adds to the pile. */
export function layersOf(laying: Laying): Film[] {
  const what = laying.operation.deposit;
  if (!what) return [];
  return (LAYINGS[what.kind] as Lay<Deposit['kind']>)(what as never, laying);
}

function filmOf({ operation }: Laying, kind: Film['kind']): Film {
  return newFilm(operation.id, kind, operation.place, operation.product);
}

/** Of what is finer than a cell: the mean of its share by cell. */
const shaped = perFrame<Float64Array>();

/** `full` by cell, run out at the edge of the place, and by its profile. */
function spread(
  full: number,
  profile: Profile | undefined,
  { field: { grid, frame }, cover, operation }: Laying,
): Float32Array {
  const out = new Float32Array(CELLS_X * CELLS_Y);
  if (profile && isSelfEdged(profile)) {
    const shares = shaped(frame, JSON.stringify([operation.place, profile]), () => {
      const at = profileOn(frame, operation.place, profile);
      const means = new Float64Array(CELLS_X * CELLS_Y);
      for (const cell of cover.touched)
        means[cell] = meanOver(grid.x[cellX(cell)]!, grid.y[cellY(cell)]!, grid, at);
      return means;
    });
    for (const cell of cover.touched) out[cell] = full * shares[cell]!;
    return out;
  }
  const shareAt = profile && profileShare(profile, frame);
  for (const cell of cover.touched) {
    const share = shareAt ? shareAt(grid.x[cellX(cell)]!, grid.y[cellY(cell)]!, cover.distance_mm[cell]!) : 1;
    out[cell] = full * cover.share[cell]! * share;
  }
  return out;
}

/** So many spots of a cell, across and along: what is shaped is finer than a cell. */
const SPOTS = 5;

/** The mean of a share over the cell around a point, so that what is laid keeps its volume. */
function meanOver(
  x_mm: number,
  y_mm: number,
  { dx_mm, dy_mm }: { dx_mm: number; dy_mm: number },
  at: (x: number, y: number) => number,
): number {
  let sum = 0;
  for (let j = 0; j < SPOTS; j += 1)
    for (let i = 0; i < SPOTS; i += 1)
      sum += at(x_mm + ((i + 0.5) / SPOTS - 0.5) * dx_mm, y_mm + ((j + 0.5) / SPOTS - 0.5) * dy_mm);
  return sum / SPOTS ** 2;
}

function filled(film: Film, t_um: Float32Array, phase: number): Film {
  film.t_um = t_um;
  for (let cell = 0; cell < t_um.length; cell += 1) if (t_um[cell]! > 0) film.phase[cell] = phase;
  return film;
}
