import { lineWords, whoseWords } from '../timing/rounds';
import type { NailName } from '../model/names';
import type { CourseRound } from './log';

/** What another course of the rest would change. */
export interface CourseChange {
  /** Work that falls away, and work that comes in, each with its nails. */
  out: string[];
  added: string[];
  /** What would be done now, where that is another. */
  now: string | undefined;
}

/** The rest as it was to be done beside the rest as it would be. `worked`: the nails in work. */
export function courseChange(
  before: readonly CourseRound[],
  after: readonly CourseRound[],
  worked: readonly NailName[],
): CourseChange {
  const was = new Set(before.flatMap(({ operations }) => operations));
  const is = new Set(after.flatMap(({ operations }) => operations));
  const only = (rounds: readonly CourseRound[], known: ReadonlySet<string>) =>
    rounds.flatMap((round) => {
      const own = round.operations.filter((id) => !known.has(id));
      if (own.length === 0) return [];
      const nails = round.nails.filter((nail) => own.some((id) => id.startsWith(`${nail}/`)));
      return [`${whoseWords(nails, worked)}: ${lineWords(round)}`];
    });
  const [first, next] = [before[0], after[0]];
  const same = first && next && first.words === next.words && first.nails.join() === next.nails.join();
  return {
    out: only(before, is),
    added: only(after, was),
    now: next && !same ? `${whoseWords(next.nails, worked)}: ${lineWords(next)}` : undefined,
  };
}
