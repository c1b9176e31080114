import type { SetDocument } from '../document/document';

/** What a plan is made of; titles, notes, skin and days change nothing of it. */
const PLANNED = ['nails', 'looks', 'builds', 'practice', 'kit', 'edits'] as const;

/** Whether two states of one set have the same plan, by the identity of their parts: changes leave alone what they do not touch. */
export function plansAlike(a: SetDocument, b: SetDocument): boolean {
  return PLANNED.every((part) => a[part] === b[part]);
}
