import type { FreshProducts } from '@/core/craft/technique';
import type { SetDocument } from '@/core/document/document';

/** Products of the kit that a new element starts with. */
export function freshProducts(set: SetDocument): FreshProducts {
  const colours = set.kit.products.filter((product) => product.family === 'gel-colour');
  const liner = set.kit.products.find((product) => product.family === 'liner-gel');
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
    clear: set.kit.roles.bedding,
    cover: cover?.id ?? set.kit.roles.builder,
  };
}
