import type { FreshProducts } from '@/core/craft/technique';
import { difference, linearOf } from '@/core/colour/space';
import type { Look, SetDocument } from '@/core/document/document';
import type { Product } from '@/core/model/product';
import type { Change } from '@/core/document/changes';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import { genericKit, MAGNETIC_ID } from '@/core/starter/kit';

/** Nearer to each other than this, in ΔE, one is not seen on the other (common practice). */
const SEEN = 20;

/**
 * Products of the kit that a new element starts with: colours that are in use come before those that are only there.
 * What is painted on a look that is there already is of a colour that shows on it.
 */
export function freshProducts(set: SetDocument, on?: Look): FreshProducts {
  const used = new Set(
    set.looks.flatMap(({ elements }) => elements.flatMap((one) => techniqueOf(one.kind).products(one))),
  );
  const gels = set.kit.products.filter((product) => product.family === 'gel-colour');
  const colours = [...gels.filter(({ id }) => used.has(id)), ...gels.filter(({ id }) => !used.has(id))];
  const ground = groundOf(set, on);
  const shows = ({ colour }: Product) =>
    !ground || !colour || difference(linearOf(colour), linearOf(ground)) >= SEEN;
  const liners = set.kit.products.filter((product) => product.family === 'liner-gel');
  const magnetic = set.kit.products.find((product) => product.family === 'magnetic-gel');
  const colour = colours[0]?.id ?? set.kit.roles.base;
  const others = colours.slice(1);
  const second = (ground ? (colours.find(shows) ?? others[0]) : others[0])?.id ?? colour;
  const cover = set.kit.products.find((product) => product.family === 'builder-gel' && product.colour);
  const dips = set.kit.products.filter((product) => product.family === 'dip' && product.colour);
  const dip = set.kit.roles.dip;
  return {
    dips: [dips[0]?.id ?? dip, dips[1]?.id ?? dips[0]?.id ?? dip],
    colour,
    second,
    liner: (liners.find(shows) ?? liners[0])?.id ?? second,
    magnetic: magnetic?.id ?? MAGNETIC_ID,
    clear: set.kit.roles.bedding,
    cover: cover?.id ?? set.kit.roles.builder,
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

/** Products that a new element names and the set does not have yet: they come out of the plain kit with it. */
export function broughtFor(element: Element, set: SetDocument): Change[] {
  const wanted = techniqueOf(element.kind).products(element);
  return genericKit()
    .products.filter(({ id }) => wanted.includes(id) && !set.kit.products.some((one) => one.id === id))
    .map((product) => ({ kind: 'put-product', product }));
}
