import type { FreshProducts } from '@/core/craft/technique';
import type { SetDocument } from '@/core/document/document';
import type { Change } from '@/core/document/changes';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import { genericKit, MAGNETIC_ID } from '@/core/starter/kit';

/** Products of the kit that a new element starts with: colours that are in use come before those that are only there. */
export function freshProducts(set: SetDocument): FreshProducts {
  const used = new Set(
    set.looks.flatMap(({ elements }) => elements.flatMap((one) => techniqueOf(one.kind).products(one))),
  );
  const gels = set.kit.products.filter((product) => product.family === 'gel-colour');
  const colours = [...gels.filter(({ id }) => used.has(id)), ...gels.filter(({ id }) => !used.has(id))];
  const liner = set.kit.products.find((product) => product.family === 'liner-gel');
  const magnetic = set.kit.products.find((product) => product.family === 'magnetic-gel');
  const colour = colours[0]?.id ?? set.kit.roles.base;
  const second = colours[1]?.id ?? colour;
  const cover = set.kit.products.find((product) => product.family === 'builder-gel' && product.colour);
  const dips = set.kit.products.filter((product) => product.family === 'dip' && product.colour);
  const dip = set.kit.roles.dip;
  return {
    dips: [dips[0]?.id ?? dip, dips[1]?.id ?? dips[0]?.id ?? dip],
    colour,
    second,
    liner: liner?.id ?? second,
    magnetic: magnetic?.id ?? MAGNETIC_ID,
    clear: set.kit.roles.bedding,
    cover: cover?.id ?? set.kit.roles.builder,
  };
}

/** Products that a new element names and the set does not have yet: they come out of the plain kit with it. */
export function broughtFor(element: Element, set: SetDocument): Change[] {
  const wanted = techniqueOf(element.kind).products(element);
  return genericKit()
    .products.filter(({ id }) => wanted.includes(id) && !set.kit.products.some((one) => one.id === id))
    .map((product) => ({ kind: 'put-product', product }));
}
