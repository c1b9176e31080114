import { compileNail } from '../compile/compile';
import type { SetDocument } from '../document/document';
import type { Worn } from '../model/wear';
import { rounded } from '../model/rounded';
import { daysBetween } from './held';
import { brokenOn, nextOf, wayOnOf, type WayOn } from './follow';
import type { NailName } from '../model/names';
import type { Start } from '../model/start';
import type { Growth } from './growth';
import { haveStones } from './removal';

/**
 * The next set made from the one that is worn: what is still there stays and is filled; a nail that
 * broke is mended, or made new beside the others, as its notes and the artist say.
 * `on`: the day it is to be, ISO 8601.
 */
export function infillOf(
  set: SetDocument,
  worn: Worn,
  on: string,
  growth: Growth,
  wayOn: (name: NailName) => WayOn = (name) => wayOnOf(worn, name),
): SetDocument {
  const days = Math.max(0, daysBetween(worn.made_on, on));
  const weeks = Math.min(12, Math.max(0.5, Math.round((days / 7) * 2) / 2));
  const gap_mm = growth.measured ? Math.min(10, Math.max(0.2, rounded(days * growth.mm_a_day, 1))) : null;
  const start = (name: NailName): Start => ({
    kind: 'infill',
    weeks,
    gap_mm,
    mend: wayOn(name) === 'mend' ? brokenOn(worn, name) : 'no',
    stones: haveStones(compileNail(set, name).operations),
  });
  return nextOf(set, worn, on, '(infill)', start, wayOn);
}
