import type { Operation } from '../craft/operation';

/** What of a nail's work is new, gone, or stands elsewhere; each by its words, in order of work. */
export interface OrderDifference {
  added: string[];
  out: string[];
  moved: string[];
  /** The same work, done otherwise: "1 coat" before, "3 coats" after. */
  changed: string[];
}

type Step = Pick<Operation, 'id' | 'words'>;

/** The difference of two orders of one nail: what keeps its place is the longest run that both have in common. */
export function orderDifference(before: readonly Step[], after: readonly Step[]): OrderDifference {
  const was = new Map(before.map((one, i) => [one.id, i]));
  const is = new Set(after.map(({ id }) => id));
  const both = after.filter(({ id }) => was.has(id));
  const stays = new Set(longestRising(both.map(({ id }) => was.get(id)!)).map((i) => before[i]!.id));
  return {
    added: after.filter(({ id }) => !was.has(id)).map(({ words }) => words),
    out: before.filter(({ id }) => !is.has(id)).map(({ words }) => words),
    moved: both.filter(({ id }) => !stays.has(id)).map(({ words }) => words),
    changed: both.filter(({ id, words }) => before[was.get(id)!]!.words !== words).map(({ words }) => words),
  };
}

/** The longest run of rising numbers (Schensted 1961), as the numbers themselves. */
function longestRising(numbers: readonly number[]): number[] {
  const ends: number[] = [];
  const before: (number | undefined)[] = [];
  numbers.forEach((value, i) => {
    const at = ends.findIndex((end) => numbers[end]! >= value);
    const place = at < 0 ? ends.length : at;
    before[i] = place > 0 ? ends[place - 1] : undefined;
    ends[place] = i;
  });
  const run: number[] = [];
  for (let i = ends.at(-1); i !== undefined; i = before[i]) run.unshift(numbers[i]!);
  return run;
}
