import type { NailContext } from '../craft/context';
import { meet, type CoveredCells } from '../craft/lattice';
import type { Draft } from '../craft/operation';
import type { Seated } from '../craft/seats';
import type { Product } from '../model/product';
import { placedIn, type Placed } from './placed';

/** Pieces that lie in one bed of one clear. */
export interface Layer {
  clear: Product;
  bed_um: number;
  pieces: Seated[];
}

/** Layers and films in the order of the list; a piece joins the bed at hand unless a film it meets lies over that. */
export function layersOf(
  inside: readonly Seated[],
  context: NailContext,
  cover: (drafts: readonly Draft[]) => CoveredCells,
): (Layer | Seated)[] {
  const parts: (Layer | Seated)[] = [];
  let layer: Layer | undefined;
  let filmsSince: Seated[] = [];
  for (const one of inside) {
    const asked = one.technique.inlaid?.(one.element, context);
    if (!asked || asked.island) {
      parts.push(one);
      filmsSince.push(one);
      continue;
    }
    const parted = filmsSince.some((film) => meet(cover(film.drafts), cover(one.drafts)));
    if (!layer || parted || layer.clear.id !== asked.clear.id) {
      layer = { clear: asked.clear, bed_um: asked.bed_um, pieces: [one] };
      filmsSince = [];
      parts.push(layer);
    } else {
      layer.pieces.push(one);
      layer.bed_um = Math.max(layer.bed_um, asked.bed_um);
    }
  }
  return parts;
}

/** The work of one element in the body. */
export function ownWork(one: Seated): Placed[] {
  return placedIn('body', one.element.id, one.drafts);
}
