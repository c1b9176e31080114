import { nailOf } from '../document/edits';
import { HANDS, handOf, type Hand, type NailName } from '../model/names';
import type { BenchEvent } from './log';

/** The events that stand, each in its place of the log: what was taken back did not happen. */
export function standing(events: readonly BenchEvent[]): (BenchEvent | undefined)[] {
  const back = new Set(events.flatMap((one) => (one.what === 'taken-back' ? [one.of] : [])));
  return events.map((one, i) => (back.has(i) ? undefined : one));
}

/** The nail of an operation. */
export function nailIn(operation: string): NailName {
  return nailOf(operation) as NailName;
}

/** The nails that some operations are on. */
export function nailsOf(operations: readonly string[]): NailName[] {
  return [...new Set(operations.map(nailIn))];
}

/** The nails that some pieces of work are on. */
export function nailsIn(pieces: readonly { operation: string }[]): NailName[] {
  return nailsOf(pieces.map(({ operation }) => operation));
}

/** The hand of some nails, or both. */
export function handsOf(nails: readonly NailName[]): Hand | 'both' {
  const hands = HANDS.filter((hand) => nails.some((nail) => handOf(nail) === hand));
  return hands.length === 1 ? hands[0]! : 'both';
}
