import type { Board } from './board';
import { mostOf } from '../model/extent';
import { Ordering } from './ordering';

/** How a sitting in rounds is begun: which hand first, and whether nails with less to do wait for the longest. */
export interface Rounds {
  first: 0 | 1;
  /** Nails with more loads ahead go first, the others join them later; else every nail goes on as far as it can. */
  late: boolean;
  /** Thumbs work in the rounds of their hand's fingers, or by themselves. */
  alone: boolean;
}

export const ROUNDS: readonly Rounds[] = ([0, 1] as const).flatMap((first) =>
  [true, false].flatMap((late) => [false, true].map((alone) => ({ first, late, alone }))),
);

/**
 * The plain way of working: the same coat on the nails of a hand, light, the other hand. An order of all
 * activities; times do not matter to it.
 */
export function inRounds(board: Board, { first, late, alone }: Rounds): Int32Array {
  const { from, mode, act, activities, hand, problem } = board;
  const ordering = new Ordering(board);
  const pos = ordering.at;
  const lightsAhead = (c: number) => {
    let count = 0;
    for (let s = pos[c]!; s < from[c + 1]!; s += 1) if (mode[s]! > 0) count += 1;
    return count;
  };
  const ended = (c: number) => pos[c]! >= from[c + 1]!;
  const free = (c: number) => !ended(c) && mode[pos[c]!] === 0;
  const ready = (a: number) =>
    activities[a]!.parts.every((part) => pos[part.chain] === part.step) && ordering.isFree(a);
  const team = (h: number, thumbs: boolean | undefined) =>
    [...pos.keys()].filter(
      (c) => hand[c] === h && (thumbs === undefined || problem.chains[c]!.thumb === thumbs),
    );
  const teams = alone
    ? [team(first, false), team(1 - first, false), team(first, true), team(1 - first, true)]
    : [team(first, undefined), team(1 - first, undefined)];

  let idle = 0;
  for (let turn = 0; idle < teams.length + 1; turn = (turn + 1) % teams.length) {
    const nails = teams[turn]!;
    let worked = false;
    // The longest chains set the pace; who has less ahead waits until they are level.
    const most = mostOf(nails.map(lightsAhead));
    const pace = (c: number) => !late || idle > 0 || lightsAhead(c) === most;
    for (;;) {
      const next = nails
        .filter((c) => free(c) && pace(c) && ready(act[pos[c]!]!))
        .map((c) => act[pos[c]!]!)
        .sort((a, b) => activities[a]!.rank - activities[b]!.rank || a - b)[0];
      if (next === undefined) break;
      worked = true;
      const kind = activities[next]!.class;
      ordering.perform(next);
      // The same brush on the hand's other nails first.
      for (const c of nails) {
        if (free(c) && pace(c) && activities[act[pos[c]!]!]!.class === kind && ready(act[pos[c]!]!))
          ordering.perform(act[pos[c]!]!);
      }
    }
    for (const c of nails) {
      if (ended(c) || mode[pos[c]!] === 0) continue;
      while (!ended(c) && mode[pos[c]!]! > 0) pos[c]! += 1;
      worked = true;
    }
    idle = worked ? 0 : idle + 1;
  }
  return ordering.whole();
}
