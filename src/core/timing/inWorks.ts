import type { Board } from './board';
import { Ordering } from './ordering';

/**
 * The order in which every product is taken up as seldom as can be: a work is done on all nails of both hands that ask
 * for it as soon as it can be on all of them; where no work can, the one of which the largest share can be done. Lights
 * come where they may, and times do not matter to it.
 */
export function inWorks(board: Board, first: 0 | 1): Int32Array {
  const { activities } = board;
  const ordering = new Ordering(board);
  const { at } = ordering;
  const left = new Map<number, number>();
  for (const { work } of activities) left.set(work, (left.get(work) ?? 0) + 1);

  for (let next = mostReady(); next.length > 0; next = mostReady()) {
    for (const a of next.sort((one, other) => turn(one) - turn(other) || one - other)) ordering.perform(a);
    const { work } = activities[next[0]!]!;
    left.set(work, left.get(work)! - next.length);
  }
  return ordering.whole();

  function turn(a: number): number {
    return activities[a]!.hand === first ? 0 : 1;
  }

  /** The activities of the work to do next, of which the largest share can be done. */
  function mostReady(): number[] {
    const ready = new Map<number, number[]>();
    for (let c = 0; c < at.length; c += 1) {
      const a = ordering.head(c);
      if (a < 0 || activities[a]!.parts[0]!.chain !== c || !ordering.canBegin(a)) continue;
      const { work } = activities[a]!;
      ready.set(work, [...(ready.get(work) ?? []), a]);
    }
    const share = (work: number) => ready.get(work)!.length / left.get(work)!;
    const rank = (work: number) => activities[ready.get(work)![0]!]!.rank;
    const [work] = [...ready.keys()].sort((a, b) => share(b) - share(a) || rank(a) - rank(b));
    return work === undefined ? [] : ready.get(work)!;
  }
}
