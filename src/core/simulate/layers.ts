import { FAMILIES, lampOf } from '../craft/families';
import type { Material } from '../craft/surface';
import type { Product } from '../model/product';
import type { Film, NailField } from './field';

/** What is asked of a layer of the pile, whatever laid it. */
interface LayerFacts {
  /** Part of the nail's thickness; what is hollow only lifts what lies over it. */
  solid: boolean;
  /** What is poured over it settles to its level; what merely lies there is flowed around. */
  bears: boolean;
  /** Hardens by light, time or activator. */
  hardens: boolean;
  /** The file must not reach it. */
  kept: boolean;
  /** The surface that the file bares in it. */
  material: (made: Product | undefined) => Material;
  /** Depth in which light falls to 1/e in it; undefined where it lets all of it by. */
  depth_um: (made: Product | undefined) => number | undefined;
  /** What it is called in a cut. */
  words: (film: Film, made: Product | undefined) => string;
}

/** Depth of a ready tip in which light falls to 1/e: near clear (common practice). */
const TIP_DEPTH_UM = 4000;

const ofProduct = (made: Product | undefined): Material => (made ? FAMILIES[made.family].material : 'gel');
const depthOf = (made: Product | undefined) => made && lampOf(made)?.depth_um;
const all = () => undefined;

/** Things that lie in or on the product, and neither bear nor harden. */
const lain = (words: LayerFacts['words']): LayerFacts => ({
  solid: true,
  bears: false,
  hardens: false,
  kept: true,
  material: () => 'piece',
  depth_um: all,
  words,
});

export const LAYER_FACTS: Record<Film['kind'], LayerFacts> = {
  film: {
    solid: true,
    bears: true,
    hardens: true,
    kept: false,
    material: ofProduct,
    depth_um: depthOf,
    words: (_film, made) => made?.name ?? '',
  },
  pieces: lain((film) => film.pieces![0]!.words),
  grains: lain((film) => film.grains!.words),
  sheet: lain((film) => film.sheet!.words),
  tip: {
    solid: true,
    bears: true,
    hardens: false,
    kept: false,
    material: () => 'tip',
    depth_um: () => TIP_DEPTH_UM,
    words: () => 'tip',
  },
  hollow: {
    solid: false,
    bears: false,
    hardens: false,
    kept: false,
    material: ofProduct,
    depth_um: all,
    words: () => 'hollow',
  },
  old: {
    solid: true,
    bears: true,
    hardens: false,
    kept: false,
    material: () => 'old',
    depth_um: depthOf,
    words: () => 'old set',
  },
};

/** Whether a layer is matter, and not room. */
export function isSolid({ kind }: Pick<Film, 'kind'>): boolean {
  return LAYER_FACTS[kind].solid;
}

/** Thickness of the nail at a cell, in µm: plate, tip and product, without what is hollow. */
export function thickness_um(field: NailField, cell: number): number {
  let thick = field.grid.plate_um[cell]!;
  for (const film of field.films) if (isSolid(film)) thick += film.t_um[cell]!;
  return thick;
}
