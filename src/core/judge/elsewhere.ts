import { techniqueOf } from '../craft/techniques';
import { lookOf } from '../document/nailContext';
import { lowerFirst } from '../model/letters';
import type { Fix } from './finding';
import type { NailCase } from './rule';

/** How many of its neighbours in the list an element is offered to be laid under, and over. */
const MOST_UNDER = 3;
const MOST_OVER = 2;

/**
 * Another place in the list of its look for an element that does not hold where it stands: under the ones before it, the
 * nearest first, then over those after it. Each is tried before it is offered.
 */
export function elsewhere(nail: NailCase, id: string): Fix[] {
  const look = lookOf(nail.set, nail.context.nail);
  const from = look?.elements.findIndex((one) => one.id === id) ?? -1;
  if (!look || from < 0) return [];
  const to = (at: number, words: 'under' | 'over'): Fix => {
    const other = look.elements[at]!;
    const technique = techniqueOf(other.kind);
    return {
      words: `List it ${words} the ${lowerFirst(technique.named?.(other) ?? technique.words)} “${other.id}”`,
      change: { kind: 'move-element', look: look.id, element: id, to: at },
    };
  };
  const before = Array.from({ length: Math.min(from, MOST_UNDER) }, (_, i) => to(from - 1 - i, 'under'));
  const after = look.elements.slice(from + 1, from + 1 + MOST_OVER).map((_, i) => to(from + 1 + i, 'over'));
  return [...before, ...after];
}
