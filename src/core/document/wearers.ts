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

/** A nail of middle size shows a look as it is meant. */
export const SHOWN_ON: NailName = 'left-middle';

/** The set with a look on the nail that looks are shown on, in the build of a nail that wears it: what it may be built in shows. */
export function lookShown(set: SetDocument, look: string): SetDocument {
  const worn = wearersOf(set, look)[0] ?? SHOWN_ON;
  const nail = { ...set.nails[SHOWN_ON], look, build: set.nails[worn].build, changes: [] };
  return { ...set, nails: { ...set.nails, [SHOWN_ON]: nail }, edits: [] };
}
