import type { SetDocument } from '../document/document';
import { wordsWith } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';
import type { Nail } from '../model/nail';
import type { Start } from '../model/start';
import type { Worn } from '../model/wear';

/**
 * The set that follows a worn one: planned anew for a day (ISO 8601), each nail beginning as `startOf` says; one of which nothing is left begins
 * bare. The artist's changes to the old order are of the old start, and stay with it.
 */
export function nextOf(
  set: SetDocument,
  worn: Worn,
  on: string,
  addition: string,
  startOf: (name: NailName) => Start,
): SetDocument {
  const nails = Object.fromEntries(
    NAILS.map((name): [NailName, Nail] => {
      const nail = set.nails[name];
      if (!nail.in_work) return [name, nail];
      return [name, { ...nail, start: isGone(worn, name) ? { kind: 'bare', dull: false } : startOf(name) }];
    }),
  ) as SetDocument['nails'];
  return {
    ...set,
    title: wordsWith(set.title, addition),
    appointment: { on, at: set.appointment?.at ?? null },
    state: 'planned',
    offered: null,
    edits: [],
    nails,
  };
}

/** Whether nothing of it is left to fill, or to take off. */
function isGone(worn: Worn, name: NailName): boolean {
  return (worn.nails[name]?.notes ?? []).some(
    ({ what, much }) =>
      what === 'fell' || what === 'off-early' || (what === 'cracked' && much === 'more than half'),
  );
}
