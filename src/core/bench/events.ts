import { nailOf } from '../document/edits';
import type { NailName } from '../model/names';
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

/** The nails that some pieces of work are on. */
export function nailsIn(pieces: readonly { operation: string }[]): NailName[] {
  return [...new Set(pieces.map(({ operation }) => nailIn(operation)))];
}
