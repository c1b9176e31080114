import { lineWords } from '../timing/rounds';
import type { NailName } from '../model/names';
import type { CourseRound } from './log';

/** Work on some nails. */
export interface ChangedWork {
  nails: NailName[];
  words: string;
}

/** What another course of the rest would change. */
export interface CourseChange {
  /** Work that falls away, and work that comes in. */
  out: ChangedWork[];
  added: ChangedWork[];
  /** What would be done now, where that is another. */
  now: ChangedWork | undefined;
}

/** The rest as it was to be done beside the rest as it would be. */
export function courseChange(before: readonly CourseRound[], after: readonly CourseRound[]): CourseChange {
  const was = new Set(before.flatMap(({ operations }) => operations));
  const is = new Set(after.flatMap(({ operations }) => operations));
  const only = (rounds: readonly CourseRound[], known: ReadonlySet<string>) =>
    rounds.flatMap((round) => {
      const own = round.operations.filter((id) => !known.has(id));
      if (own.length === 0) return [];
      const nails = round.nails.filter((nail) => own.some((id) => id.startsWith(`${nail}/`)));
      return [{ nails, words: lineWords(round) }];
    });
  const [first, next] = [before[0], after[0]];
  const same = first && next && first.words === next.words && first.nails.join() === next.nails.join();
  return {
    out: only(before, is),
    added: only(after, was),
    now: next && !same ? { nails: next.nails, words: lineWords(next) } : undefined,
  };
}
