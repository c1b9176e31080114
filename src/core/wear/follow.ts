import type { SetDocument } from '../document/document';
import { wordsWith } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';
import type { Nail } from '../model/nail';
import type { Mend, Start } from '../model/start';
import type { WearWhat, Worn } from '../model/wear';

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
  wayOn: (name: NailName) => WayOn = (name) => wayOnOf(worn, name),
): SetDocument {
  const nails = Object.fromEntries(
    NAILS.map((name): [NailName, Nail] => {
      const nail = set.nails[name];
      if (!nail.in_work) return [name, nail];
      return [
        name,
        { ...nail, start: wayOn(name) === 'new' ? { kind: 'bare', dull: false } : startOf(name) },
      ];
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

/** What becomes of a nail in the set that follows. */
export const WAYS_ON = ['fill', 'mend', 'new'] as const;
export type WayOn = (typeof WAYS_ON)[number];

/**
 * What is wanted of each nail by what was noted of it: made new where nothing is left to fill or it is cracked through, mended where it is broken
 * and stays, else filled.
 */
export function wayOnOf(worn: Pick<Worn, 'nails'>, name: NailName): WayOn {
  if (isGone(worn, name)) return 'new';
  return brokenOn(worn, name) === 'no' ? 'fill' : 'mend';
}

const MEND_OF: Partial<Record<WearWhat, Mend>> = { cracked: 'crack', lifted: 'lift', chipped: 'chip' };

/** What is broken on a nail that stays: of several, the last that was noted. */
export function brokenOn(worn: Pick<Worn, 'nails'>, name: NailName): Mend {
  const notes = (worn.nails[name]?.notes ?? []).toSorted((a, b) => (a.on < b.on ? -1 : 1));
  return notes.flatMap(({ what }) => MEND_OF[what] ?? []).at(-1) ?? 'no';
}

/** Whether nothing of it is left to fill, or to take off. */
function isGone(worn: Pick<Worn, 'nails'>, name: NailName): boolean {
  return (worn.nails[name]?.notes ?? []).some(
    ({ what, much }) =>
      what === 'fell' || what === 'off-early' || (what === 'cracked' && much === 'more than half'),
  );
}
