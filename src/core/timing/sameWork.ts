import type { Operation } from '../craft/operation';

/** What is drawn, strewn or set is its element's own: two of them are two lines, alike as their words may be. */
const DRAWN: readonly Operation['verb'][] = [
  'draw',
  'place',
  'press',
  'bead',
  'set-in-top',
  'set-in-colour',
  'set-in-bead',
];

/** Work that is one round on a hand, and one line on a card: of one class, and said in the same words. */
export function sameWork(operation: Operation): string {
  const own = DRAWN.includes(operation.verb) ? operation.element : '';
  return `${operation.class} ${own} ${operation.words}`;
}
