import type { Product } from '../model/product';
import { coatOf, lampOf } from './families';

export { coatOf };

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
  const lamp = lampOf(product);
  if (!lamp) return undefined;
  const bottom = Math.exp(-coatOf(product) / lamp.depth_um);
  return {
    gelled: DIRECTION_MARGIN * lamp.flash_s * bottom,
    cured: DIRECTION_MARGIN * lamp.cure_s * bottom,
  };
}

/** Of several products in one film, the one that wants most light: the film is lit for it. */
export function slowestOf(products: readonly Product[]): Product {
  const light_s = (product: Product) => lampOf(product)?.cure_s ?? 0;
  return products.reduce((a, b) => (light_s(b) > light_s(a) ? b : a));
}

/** No one holds a hand in a lamp for longer: a film that asks for more is told as under-cured. */
const LONGEST_S = 600;

/** Lamp seconds for a coat of `t_um`: the direction's own for its own thickness, more for a thicker one. */
export function cureSeconds(product: Product, t_um: number): number {
  return longer(product, lampOf(product)?.cure_s ?? 0, t_um);
}

/** No one holds a hand in the lamp longer for what a tip keeps of the light: past this it is told (common practice). */
const LONGEST_THROUGH_S = 240;

/** Lamp seconds through films that keep the light off, `dark` = Σ t/D_p above it. */
export function through_s(seconds: number, dark: number): number {
  return Math.max(seconds, Math.min(LONGEST_THROUGH_S, Math.ceil(seconds * Math.exp(dark))));
}

/** How much a film keeps of the light, as t/D_p. */
export function dark(product: Product, t_um: number): number {
  return t_um / (lampOf(product)?.depth_um ?? Infinity);
}

/** The same for a flash. */
export function flashSeconds(product: Product, t_um: number): number {
  return longer(product, lampOf(product)?.flash_s ?? 0, t_um);
}

function longer(product: Product, seconds: number, t_um: number): number {
  const extra = Math.max(0, t_um - coatOf(product));
  const asked = Math.round(seconds * Math.exp(extra / (lampOf(product)?.depth_um ?? 1)));
  return Math.max(Math.min(asked, LONGEST_S), seconds);
}
