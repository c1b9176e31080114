import type { NailContext } from './context';

/** What a judgement may wish of an element. How it is granted, if at all, is its technique's own. */
export interface Wishes {
  /** Clear so thick over what is encapsulated. */
  'thicker-clear': { cap_um: number };
  /** No clear of its own over what is to stand out. */
  'less-clear': Record<never, never>;
  /** Less taken off by the file over it. */
  'file-less': Record<never, never>;
  /** No coat of its own below it. */
  'without-ground': Record<never, never>;
  /** A thinner bed below it. */
  'thinner-bed': { bed_um: number };
  /** What stands up out of the clear (by its place in the list) turned or trimmed. */
  'lie-along': { out: readonly number[] };
  /** What follows the curve better, or is thinner. */
  'lie-lower': Record<never, never>;
  /** The same inside a tip. */
  'lie-in-tip': Record<never, never>;
  /** A size that fits, as a share of what it is. */
  smaller: { share: number };
  'nearer-middle': Record<never, never>;
  /** Colours that can be told from their ground; `seen` by place in the list. */
  'other-colours': { seen: (colour: string, i: number) => boolean };
  /** A colour more between two others of a run. */
  bridge: { product: string; words: string; at: number };
  /** Colours that have `least_mm` to melt into each other, on a run of `run_mm`. */
  'longer-fade': { run_mm: number; least_mm: number };
  /** As many passes as it takes to cover, of the colour that does not. */
  'more-passes': { passes: number; product: string };
  /** What is drawn past the edge brought back, or cut there. */
  'onto-the-nail': Record<never, never>;
  /** Held by what hardens where no light comes. */
  'sets-in-dark': Record<never, never>;
  /** Laid so that light reaches its bottom. */
  'cures-through': Record<never, never>;
  /** Ridges with so much more room between them. */
  'wider-valleys': { wider_mm: number };
  /** Nothing raised along the sidewalls. */
  'off-the-walls': Record<never, never>;
  /** Another product in the place of one of its parts, so that they are told apart. */
  'another-part': { product: string; words: string; at: number };
  /** Grains so fine that the clear over them levels them. */
  'finer-grains': Record<never, never>;
  /** Mixed less, so that its parts are told apart. */
  'stir-less': Record<never, never>;
  /** Pieces pressed a few at a time. */
  'few-at-once': Record<never, never>;
  /** A magnet held as near as it reaches. */
  'nearer-magnet': { reach_mm: number };
  /** A magnet taken away before the shimmer wanders. */
  'held-shorter': { longest_s: number };
  /** On a gel made for foil. */
  'foil-gel': { product: string };
  /** What is seen from beneath, finished there. */
  'underside-too': Record<never, never>;
  /** Powders taken up side by side, not one over the other. */
  'taken-whole': Record<never, never>;
  /** Laid so that nothing of it gets past its part. */
  'no-spill': Record<never, never>;
  /** Laid on a sticky layer of its own. */
  'own-tack': Record<never, never>;
  /** Less work, where time is short. */
  quicker: Record<never, never>;
}
export type Wish = keyof Wishes;

/** An element's options with others in their place, and what that means to an artist. */
export interface Way<E> {
  words: string;
  options: Partial<E>;
}

export type Ways<E> = { [W in Wish]?: (element: E, wish: Wishes[W], context: NailContext) => Way<E>[] };

/** What clings to tack, on one of its own. */
export const OWN_TACK: Ways<{ tack: boolean }> = {
  'own-tack': ({ tack }) =>
    tack
      ? []
      : [{ words: 'Lay it on a thin base of its own, cured and left sticky', options: { tack: true } }],
};

/** What is laid in passes, until it covers. */
export const COVERED: Ways<{ passes: number | 'cover' }> = {
  'more-passes': ({ passes }) =>
    passes === 'cover' ? [] : [{ words: 'Lay as many coats as it needs', options: { passes: 'cover' } }],
};
