import type { Product } from '../model/product';

/**
 * Curing by depth, after Jacobs (1992): a film cures to D_p·ln(E/E_c). Doses are counted in lamp seconds of
 * the product's own lamp, so a product's direction is its own calibration.
 */

/** Depth to which a dose gels, in the unit of `depth`. */
export function gelDepth(depth: number, dose: number, critical: number): number {
  return dose > critical ? Math.max(0, depth * Math.log(dose / critical)) : 0;
}

/** Directions carry a margin: this share of the stated time still does it on a film of the stated thickness. */
export const DIRECTION_MARGIN = 0.75;

/** Dose that must arrive at a film's bottom to hold it in place, and to cure it. Undefined for what no lamp hardens. */
export function neededDose(product: Product): { gelled: number; cured: number } | undefined {
  if (!product.lamp) return undefined;
  const bottom = Math.exp(-(product.coat_um ?? 50) / product.lamp.depth_um);
  return {
    gelled: DIRECTION_MARGIN * product.lamp.flash_s * bottom,
    cured: DIRECTION_MARGIN * product.lamp.cure_s * bottom,
  };
}

/** Lamp seconds for a coat of `t_um`: the direction's own for its own thickness, more for a thicker one. */
export function cureSeconds(product: Product, t_um: number): number {
  if (!product.lamp) return 0;
  const extra = Math.max(0, t_um - (product.coat_um ?? 50));
  return Math.round(product.lamp.cure_s * Math.exp(extra / product.lamp.depth_um));
}

/** The same for a flash. */
export function flashSeconds(product: Product, t_um: number): number {
  if (!product.lamp) return 0;
  const extra = Math.max(0, t_um - (product.coat_um ?? 50));
  return Math.round(product.lamp.flash_s * Math.exp(extra / product.lamp.depth_um));
}
