import type { SetDocument } from '../document/document';
import { wordsWith } from '../model/primitives';
import { NAILS, type NailName } from '../model/names';
import type { Nail } from '../model/nail';
import type { Worn } from '../model/wear';
import { rounded } from '../model/rounded';
import { daysBetween } from './held';
import type { Growth } from './growth';

/**
 * The next set made from the one that is worn: what is still there stays and is filled; a nail that fell or broke is made new beside it.
 * `on`: the day it is to be, ISO 8601.
 */
export function infillOf(set: SetDocument, worn: Worn, on: string, growth: Growth): SetDocument {
  const days = Math.max(0, daysBetween(worn.made_on, on));
  const weeks = Math.min(12, Math.max(0.5, Math.round((days / 7) * 2) / 2));
  const nails = Object.fromEntries(
    NAILS.map((name): [NailName, Nail] => {
      const nail = set.nails[name];
      if (!nail.in_work) return [name, nail];
      if (isGone(worn, name)) return [name, { ...nail, start: { kind: 'bare', dull: false } }];
      const gap_mm = growth.measured ? Math.min(10, Math.max(0.2, rounded(days * growth.mm_a_day, 1))) : null;
      return [name, { ...nail, start: { kind: 'infill', weeks, gap_mm } }];
    }),
  ) as SetDocument['nails'];
  return {
    ...set,
    title: wordsWith(set.title, '(infill)'),
    appointment: { on, at: set.appointment?.at ?? null },
    state: 'planned',
    offered: null,
    edits: [],
    nails,
  };
}

/** Whether nothing of it is left to fill. */
export function isGone(worn: Worn, name: NailName): boolean {
  return (worn.nails[name]?.notes ?? []).some(
    ({ what, much }) =>
      what === 'fell' || what === 'off-early' || (what === 'cracked' && much === 'more than half'),
  );
}
