import { wornElements } from '../document/nailContext';
import { techniqueOf } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';

/** Whether a nail wears metal in its films, so that it looks otherwise as the light moves. */
export function glitters(set: SetDocument, name: NailName): boolean {
  const nail = set.nails[name];
  const metallic = new Set(
    set.kit.products.filter((one) => one.effect === 'metallic' || one.grains?.metallic).map((one) => one.id),
  );
  return wornElements(set, nail).some((element) => {
    const { products, glints } = techniqueOf(element.kind);
    return products(element).some((id) => metallic.has(id)) || glints?.(element) === true;
  });
}
