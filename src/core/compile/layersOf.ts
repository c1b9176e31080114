import type { NailContext } from '../craft/context';
import { meet, type CoveredCells } from '../craft/lattice';
import type { Draft } from '../craft/operation';
import type { Seated } from '../craft/seats';
import type { Product } from '../model/product';
import { without } from '../model/without';
import { placedIn, type Placed } from './placed';

/** Pieces that lie in one bed of one clear. */
export interface Layer {
  clear: Product;
  bed_um: number;
  pieces: Seated[];
  /** One half of the nail before the other. */
  halves: boolean;
  /** What goes into the same wet bed, and is no piece. */
  joined: Seated[];
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
  /** Listed before the pieces whose bed it goes into. */
  const waiting: Seated[] = [];
  for (const one of inside) {
    const asked = one.technique.inlaid?.(one.element, context);
    const isParted = () => filmsSince.some((film) => meet(cover(film.drafts), cover(one.drafts)));
    if (joinsBed(one)) {
      if (layer && !isParted()) layer.joined.push(one);
      else waiting.push(one);
      continue;
    }
    if (!asked || asked.island) {
      parts.push(one);
      filmsSince.push(one);
      continue;
    }
    if (!layer || layer.clear.id !== asked.clear.id || isParted()) {
      layer = {
        clear: asked.clear,
        bed_um: asked.bed_um,
        pieces: [one],
        halves: asked.halves === true,
        joined: waiting.splice(0),
      };
      filmsSince = [];
      parts.push(layer);
    } else {
      layer.pieces.push(one);
      layer.bed_um = Math.max(layer.bed_um, asked.bed_um);
      layer.halves ||= asked.halves === true;
    }
  }
  // Without pieces there is no bed: it lies on what there is.
  return [...parts, ...waiting];
}

function joinsBed({ technique, element }: Seated): boolean {
  return technique.joinsBed?.(element) === true;
}

/** The work of one element in the body. */
export function ownWork(one: Seated): Placed[] {
  return placedIn('body', one.element.id, one.drafts);
}

/** What goes into the wet bed with the pieces, and what follows on it once that holds. */
export function joinedWork({ joined }: Layer): { into: Placed[]; after: Placed[] } {
  const work = joined.flatMap(ownWork);
  return {
    into: work.filter(({ draft }) => draft.deposit),
    after: work
      .filter(({ draft }) => !draft.deposit)
      .map((placed) => ({ ...placed, draft: without(placed.draft, 'held') })),
  };
}
