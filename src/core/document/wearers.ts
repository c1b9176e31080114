import { NAILS, type NailName } from '../model/names';
import { LOOK_KEYS, type Look, type SetDocument } from './document';

/** The nails that wear a look, in the order of the ten. */
export function wearersOf(set: Pick<SetDocument, 'nails'>, look: string): NailName[] {
  return NAILS.filter((name) => set.nails[name].look === look);
}

/** The looks that are on some nail, in the order of the set. */
export function wornLooks(set: Pick<SetDocument, 'nails' | 'looks'>): Look[] {
  return set.looks.filter((look) => wearersOf(set, look.id).length > 0);
}

/** The first key that no look has; undefined where a set has no room for one more look. */
export function freeKey(looks: readonly Look[]): string | undefined {
  return [...LOOK_KEYS].find((key) => !looks.some((look) => look.key === key));
}
