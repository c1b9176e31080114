import type { SetDocument } from '../document/document';
import type { Worn } from '../model/wear';
import { rounded } from '../model/rounded';
import { daysBetween } from './held';
import { nextOf } from './follow';
import type { Growth } from './growth';

/**
 * The next set made from the one that is worn: what is still there stays and is filled; a nail that fell or broke is made new beside it.
 * `on`: the day it is to be, ISO 8601.
 */
export function infillOf(set: SetDocument, worn: Worn, on: string, growth: Growth): SetDocument {
  const days = Math.max(0, daysBetween(worn.made_on, on));
  const weeks = Math.min(12, Math.max(0.5, Math.round((days / 7) * 2) / 2));
  const gap_mm = growth.measured ? Math.min(10, Math.max(0.2, rounded(days * growth.mm_a_day, 1))) : null;
  return nextOf(set, worn, on, '(infill)', () => ({ kind: 'infill', weeks, gap_mm }));
}
