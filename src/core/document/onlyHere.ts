import { freeId } from '../model/freeId';
import type { NailName } from '../model/names';
import { wearing } from './bothHands';
import type { Change } from './changes';
import type { Look, SetDocument } from './document';
import { isNamedByContent, lookName, nameApart } from './naming';
import { freeKey, wearersOf } from './wearers';

/** The same look under an id, a name and a key of its own; undefined where a set has no room for one more. */
export function anotherLook(look: Look, set: SetDocument): Look | undefined {
  const { looks, kit } = set;
  const key = freeKey(looks);
  if (!key) return undefined;
  const name = isNamedByContent(look, kit.products) ? lookName(look, kit.products) : look.name;
  const others = looks.map((one) => one.name);
  return { ...look, id: freeId(look.id.slice(0, 34), looks), name: nameApart(name, others), key };
}

/**
 * A look that others wear too becomes that of some nails alone: they get one like it as it is now, the others have it as
 * it was `before` again. Undefined where a set has no room for one more look.
 */
export function onlyHere(
  before: SetDocument,
  now: SetDocument,
  look: string,
  nails: readonly NailName[],
): { change: Change; look: string } | undefined {
  const was = before.looks.find((one) => one.id === look);
  const is = now.looks.find((one) => one.id === look);
  if (!was || !is) return undefined;
  const looks = now.looks.map((one) => (one.id === look ? was : one));
  const own = anotherLook(is, { ...now, looks });
  if (!own) return undefined;
  const others = wearersOf(before, look).filter((name) => !nails.includes(name));
  return {
    look: own.id,
    change: {
      kind: 'many',
      changes: [
        { kind: 'put-look', look: was },
        { kind: 'put-look', look: own },
        ...others.flatMap((name) => wearing(name, before.nails[name])),
        ...nails.flatMap((name) => wearing(name, { ...now.nails[name], look: own.id })),
      ],
    },
  };
}
