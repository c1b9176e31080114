import { productsIn } from '../craft/paints';
import { areaOf } from '../craft/area';
import { boundsOf } from '../geometry/regions';
import type { Product } from '../model/product';
import type { Film, NailField } from '../simulate/field';

/** Part of a nail, in mm on the unrolled nail. */
export interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

/** A nail's pile, and what its products are like. */
export interface Painted {
  field: NailField;
  product: (id: string) => Product;
}

/** Shadows, beads and the lean of the gel beside what has moved reach so far. */
const AROUND_MM = 0.9;

/**
 * Where a nail looks otherwise than it did: around what has come, gone or moved. Undefined where that may be anywhere, as
 * when a film has come between or the nail itself is another. How gel elsewhere has come to lie a little otherwise is left out.
 */
export function changedBox(before: Painted, after: Painted): Box | undefined {
  const [old, now] = [before.field, after.field];
  if (old.films.length !== now.films.length || old.edge !== now.edge) return undefined;
  if (measures(old) !== measures(now)) return undefined;
  const was = thingsOf(before);
  const is = thingsOf(after);
  const moved = [
    ...[...was].filter(([key]) => !is.has(key)),
    ...[...is].filter(([key]) => !was.has(key)),
  ].map(([, boxOfIt]) => boxOfIt());
  return moved.reduce<Box>(
    (all, box) => ({
      left: Math.min(all.left, box.left - AROUND_MM),
      right: Math.max(all.right, box.right + AROUND_MM),
      low: Math.min(all.low, box.low - AROUND_MM),
      high: Math.max(all.high, box.high + AROUND_MM),
    }),
    { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity },
  );
}

function measures({ frame }: NailField): string {
  return [frame.arc_mm, frame.width_mm, frame.length_mm, frame.bed_mm, frame.shape].join();
}

/** All that is seen of a nail, told by what it is and where: films, the discs they leave free or are, pieces. */
function thingsOf({ field, product }: Painted): Map<string, () => Box> {
  const things = new Map<string, () => Box>();
  field.films.forEach((film, i) => {
    const { around, free, ...place } = film.place;
    for (const piece of film.pieces ?? []) {
      const reach = Math.hypot(piece.width_mm, piece.length_mm) / 2;
      things.set(`${i} ${JSON.stringify(piece)}`, () => square(piece.x_mm, piece.y_mm, reach));
    }
    if (film.pieces) return;
    for (const disc of [...(around ?? []), ...(free ?? [])])
      things.set(`${i} ${JSON.stringify(disc)}`, () => square(disc.x, disc.y, disc.r_mm));
    const mixed = productsIn(film.paint).map(product);
    const made = film.product && product(film.product);
    const { kind, paint, profile, grains, sheet } = film;
    const told = [i, kind, made, paint, mixed, profile, grains, sheet, place, paint && thickest(film)];
    things.set(JSON.stringify(told), () => boxOf(field, film));
  });
  return things;
}

function thickest({ t_um }: Film): number {
  return Math.round(t_um.reduce((most, t) => Math.max(most, t), 0));
}

function boxOf({ frame }: NailField, film: Film): Box {
  return boundsOf(areaOf(frame, film.place));
}

function square(x: number, y: number, reach: number): Box {
  return { left: x - reach, right: x + reach, low: y - reach, high: y + reach };
}
