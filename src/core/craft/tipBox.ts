import type { CurveClass, TipBox } from '../model/product';

/** Arcs of the eleven sizes of a box, widest first (from memory). */
const TIP_ARCS_MM = [19.8, 18.3, 16.9, 15.8, 14.8, 13.9, 13, 12, 11, 9.9, 9];

/** A box of eleven sizes, so many of each. */
export function tipBox(id: string, name: string, curve: CurveClass, count = 20): TipBox {
  return { id, name, curve, sizes: TIP_ARCS_MM.map((arc_mm, size) => ({ size, arc_mm, count })) };
}
