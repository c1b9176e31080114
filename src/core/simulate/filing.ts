import type { Operation } from '../craft/operation';
import { profileOn } from '../craft/area';
import { FAMILIES, type Laid } from '../craft/families';
import { decode, encode, type Material } from '../craft/surface';
import { smooth } from '../geometry/smooth';
import { mostOf } from '../model/extent';
import type { Product } from '../model/product';
import type { Cover } from './cover';
import { isSolid, LAYER_FACTS, thickness_um } from './layers';
import { cellX, cellY, height_um, NONE, type Film, type NailField } from './field';
import { feather } from './pour';

/** What a file can go into that it should not. */
export const BELOW_THE_CLEAR = ['piece', 'colour', 'base', 'plate'] as const;
export type Reached = (typeof BELOW_THE_CLEAR)[number];

/** Cells of one kind that the file reached, and those where it took all of it. */
export interface FiledInto {
  what: Reached;
  touched: number[];
  removed: number[];
}

/** Clear that thinning leaves over art (common practice). */
const KEPT_OVER_ART_UM = 40;
/** Share of the free edge over which the file blends from the bed to the edge's thickness. */
const BLEND_SHARE = 0.66;

/**
 * Files a surface: it is followed down by the allowance, feathered where product is feathered to the skin, and
 * blends to the thickness its practice leaves of the free edge, as far as there is clear to take. What is filed away
 * bares what lies below.
 */
export function file(
  field: NailField,
  operation: Operation,
  cover: Cover,
  product: (id: string) => Product,
): FiledInto[] {
  const { allowance_um, edge_um, seam_mm, profile, bares = [] } = operation.removal!;
  const shareAt = profile && profileOn(field.frame, operation.place, profile);
  if (seam_mm) {
    blendSeam(field, cover, seam_mm);
    if (allowance_um === 0) return [];
  }
  const { bed_mm } = field.frame;
  const crest_um = seam_mm ? mostOf(cover.held.map((cell) => height_um(field, cell))) : 0;
  const into = new Map<Reached, FiledInto>(
    BELOW_THE_CLEAR.map((what) => [what, { what, touched: [], removed: [] }]),
  );
  for (const cell of cover.held) {
    const y = field.grid.y[cellY(cell)]!;
    let off = allowance_um * feather(field.frame, y, cover.distance_mm[cell]!);
    if (shareAt) off *= shareAt(field.grid.x[cellX(cell)]!, y);
    off = Math.max(off, over_um(field, cell, bares));
    // Filed back, the old set keeps its form: as much of it goes everywhere as at its crest. At the new growth it ends, and so does the file.
    if (crest_um > 0) {
      const old_um = height_um(field, cell);
      off = Math.min(off, (old_um * allowance_um) / crest_um);
      // What was built from the bed on is never filed thinner than an edge; towards that the file rises without a ledge.
      if (field.edge === 'tip' || field.edge === 'form')
        off = Math.min(off, Math.max(0, old_um - edge_um * smooth((y - bed_mm) / TOWARDS_EDGE_MM + 1)));
    }
    const blend = edgeBlend(field, y);
    if (blend > 0) {
      // Thinning is done by eye: it stops short of the art, and leaves the edge thicker instead.
      const spare = Math.max(0, clear_um(field, cell, product) - off - KEPT_OVER_ART_UM);
      off += Math.min(spare, blend * Math.max(0, thickness_um(field, cell) - off - edge_um));
    }
    let reached = false;
    for (let f = field.films.length - 1; f >= 0 && off > 1e-6; f -= 1) {
      const film = field.films[f]!;
      const t = film.t_um[cell]!;
      if (t <= 0 || !isSolid(film)) continue;
      const what = kindOf(film, product);
      const taken = Math.min(t, off);
      film.t_um[cell] = t - taken;
      off -= taken;
      if (taken === t) film.phase[cell] = NONE;
      if (what) {
        const kind = into.get(what)!;
        kind.touched.push(cell);
        if (taken === t) kind.removed.push(cell);
      }
      reached = true;
    }
    if (off > 1e-6 && field.grid.plate_um[cell]! > 0) {
      field.grid.plate_um[cell] = Math.max(0, field.grid.plate_um[cell]! - off);
      into.get('plate')!.touched.push(cell);
      if (field.grid.plate_um[cell] === 0) into.get('plate')!.removed.push(cell);
      reached = true;
    }
    if (reached) bare(field, cell, product);
  }
  for (const island of bares) layRound(field, island);
  return [...into.values()].filter((kind) => kind.touched.length > 0);
}

/** A file goes a little into what it bares, or a veil is left (common practice). */
const BARED_BY_UM = 15;

/** What lies over the top of an island, with what bares it cleanly; 0 beside it. */
function over_um({ films }: NailField, cell: number, islands: readonly string[]): number {
  if (islands.length === 0) return 0;
  let over = 0;
  for (let f = films.length - 1; f >= 0; f -= 1) {
    const film = films[f]!;
    if (film.t_um[cell]! <= 0 || !isSolid(film)) continue;
    if (islands.some((island) => isOf(film, island))) return over + BARED_BY_UM;
    over += film.t_um[cell]!;
  }
  return 0;
}

function isOf({ operation }: Film, element: string): boolean {
  return operation.split('/')[1] === element;
}

/** What lay over an island lies round it now. */
function layRound({ films }: NailField, island: string): void {
  const top = films.findLastIndex((film) => film.kind === 'film' && isOf(film, island));
  if (top < 0) return;
  const { place } = films[top]!;
  for (const film of films.slice(top + 1))
    film.place = { ...film.place, within: [...(film.place.within ?? []), { place, outside: true }] };
}

/** Files the tip that was glued on, or the old set, down to nothing at its seam. */
function blendSeam({ grid, films }: NailField, cover: Cover, seam: { from: number; to: number }): void {
  for (const film of films) {
    if (film.kind !== 'tip' && film.kind !== 'old') continue;
    for (const cell of cover.held) {
      const share = (grid.y[cellY(cell)]! - seam.from) / (seam.to - seam.from);
      film.t_um[cell]! *= Math.max(0, Math.min(1, share));
    }
  }
}

/** Clear and tip above the first thing an artist would miss. */
function clear_um(field: NailField, cell: number, product: (id: string) => Product): number {
  let clear = 0;
  for (let f = field.films.length - 1; f >= 0; f -= 1) {
    const film = field.films[f]!;
    if (film.t_um[cell]! <= 0 || !isSolid(film)) continue;
    if (kindOf(film, product)) return clear;
    clear += film.t_um[cell]!;
  }
  return clear;
}

/** The file leaves the bed for what was built past it over so much. */
const TOWARDS_EDGE_MM = 5;

/** 0 over the bed, 1 at the tip, without a step between. */
function edgeBlend(field: NailField, y_mm: number): number {
  const { bed_mm, length_mm } = field.frame;
  return smooth((y_mm - bed_mm) / ((length_mm - bed_mm) * BLEND_SHARE || 1));
}

/** What is built with, and filed. */
const BUILT: readonly Laid[] = ['structure', 'acrylic', 'dip'];

/** What of a film the artist would miss; clear and tip are there to be filed. */
function kindOf(film: Film, product: (id: string) => Product): Reached | undefined {
  if (LAYER_FACTS[film.kind].kept) return 'piece';
  if (film.kind !== 'film') return undefined;
  const family = film.product ? product(film.product).family : undefined;
  // A bed or tip built in a colour of its own is there to be filed to shape.
  if (family && BUILT.includes(FAMILIES[family].laid)) return undefined;
  if (film.paint) return 'colour';
  return family === 'base-gel' ? 'base' : undefined;
}

/** Gives the surface of a cell the material that the file has bared. */
function bare(field: NailField, cell: number, product: (id: string) => Product): void {
  const surface = decode(field.surface[cell]!);
  let material: Material = 'plate';
  for (let f = field.films.length - 1; f >= 0; f -= 1) {
    const film = field.films[f]!;
    if (film.t_um[cell]! <= 0 || !isSolid(film)) continue;
    material = LAYER_FACTS[film.kind].material(film.product ? product(film.product) : undefined);
    break;
  }
  field.surface[cell] = encode({
    ...surface,
    material,
    phase: material === 'plate' ? 'bare' : surface.phase,
    prep: 'none',
  });
}
