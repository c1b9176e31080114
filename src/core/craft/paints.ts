import type { Paint } from './matter';

/** Colours in turn along or across a nail, each at its share of the way. */
export interface Run {
  direction: 'along' | 'across';
  stops: readonly { product: string; at: number }[];
  mirror: boolean;
}

/** What is asked of a paint, whatever technique lays it. */
interface PaintFacts<P extends Paint> {
  /** One product all over. */
  plain?: true;
  /** Whether it is meant to hide what lies below. */
  covers: boolean;
  /** Drawn by a magnet as long as it is wet. */
  magnetic?: true;
  /** The colours that melt into each other along it. */
  run?: (paint: P) => Run;
  /** Products that it is made of besides the film's own. */
  products?: (paint: P) => string[];
}

const FACTS: { [K in Paint['kind']]: PaintFacts<Extract<Paint, { kind: K }>> } = {
  product: { plain: true, covers: true },
  diluted: { plain: true, covers: false },
  blend: {
    covers: true,
    run: (paint) => paint,
    products: (paint) => paint.stops.map((stop) => stop.product),
  },
  shimmer: { covers: false, magnetic: true },
  marble: { covers: true, products: (paint) => paint.parts.map((part) => part.product) },
};

function factsOf(paint: Paint): PaintFacts<Paint> {
  return FACTS[paint.kind] as PaintFacts<Paint>;
}

export function isPlain(paint: Paint | undefined): boolean {
  return paint !== undefined && factsOf(paint).plain === true;
}

export function isMeantToCover(paint: Paint | undefined): boolean {
  return paint !== undefined && factsOf(paint).covers;
}

export function isMagnetic(paint: Paint | undefined): boolean {
  return paint !== undefined && factsOf(paint).magnetic === true;
}

/** The run of colours of a paint; undefined where it has none. */
export function runOf(paint: Paint | undefined): Run | undefined {
  return paint && factsOf(paint).run?.(paint);
}

/** The products a paint names besides its film's own. */
export function productsIn(paint: Paint | undefined): string[] {
  return (paint && factsOf(paint).products?.(paint)) ?? [];
}
