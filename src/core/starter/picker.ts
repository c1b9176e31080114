import { difference, linearOf } from '../colour/space';
import type { PickProduct } from '../craft/technique';
import { techniqueOf, type Element } from '../craft/techniques';
import type { Change } from '../document/changes';
import type { Look, SetDocument } from '../document/document';
import type { Product } from '../model/product';
import { genericKit } from './kit';

/** Nearer to each other than this, in ΔE, one is not seen on the other (common practice). */
const SEEN = 20;
/** What is fine is seen from afar only where it stands out well (by the look of it). */
const SEEN_WELL = 40;

/**
 * Picks products for what is new in a set: those in use come before those that are only there; what is to show is of a colour
 * that shows on the look it goes on; and what the kit has none of comes out of the plain one.
 */
export function pickerOf(set: SetDocument, on?: Look): PickProduct {
  const used = new Set(
    set.looks.flatMap(({ elements }) => elements.flatMap((one) => techniqueOf(one.kind).products(one))),
  );
  const { products } = set.kit;
  const inTurn = [
    ...products.filter(({ id }) => used.has(id)),
    ...products.filter(({ id }) => !used.has(id)),
  ];
  const ground = groundOf(set, on);
  const isSeen =
    (least: number) =>
    ({ colour }: Product) =>
      !ground || !colour || difference(linearOf(colour), linearOf(ground)) >= least;
  return ({ families, shows, beside, coloured }) => {
    const fits = ({ family, colour }: Product) =>
      families.includes(family) && (!coloured || colour !== undefined);
    const own = inTurn.filter(fits);
    const others = own.filter(({ id }) => id !== beside);
    const seen = shows ? (others.find(isSeen(SEEN_WELL)) ?? others.find(isSeen(SEEN))) : undefined;
    const picked = seen ?? others[0] ?? own[0] ?? genericKit().products.find(fits);
    return picked?.id ?? set.kit.roles.base;
  };
}

/** The colour that lies over the whole of a look's nail, or is built into it. */
function groundOf(set: SetDocument, look: Look | undefined): string | undefined {
  const ids = look?.elements.flatMap((one) => {
    const whole = !('region' in one) || one.region.kind === 'whole';
    return whole ? techniqueOf(one.kind).products(one) : [];
  });
  const colours = ids?.map((id) => set.kit.products.find((product) => product.id === id)?.colour);
  return colours?.filter((colour) => colour !== undefined).at(-1);
}

/**
 * Products that a new element names and the set does not have yet: they come with it, as they were kept beside it, or out of the
 * plain kit.
 */
export function broughtFor(element: Element, set: SetDocument, kept: readonly Product[] = []): Change[] {
  const wanted = techniqueOf(element.kind).products(element);
  const known = [...kept, ...genericKit().products];
  return known
    .filter(({ id }, i) => known.findIndex((one) => one.id === id) === i)
    .filter(({ id }) => wanted.includes(id) && !set.kit.products.some((one) => one.id === id))
    .map((product) => ({ kind: 'put-product', product }));
}
