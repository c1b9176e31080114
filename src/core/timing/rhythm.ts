import type { Operation } from '../craft/operation';
import type { Round } from './rounds';
import { sameWork } from './sameWork';

/** How calmly a sitting is worked: what a search over rounds weighs beside its time. */
export interface Rhythm {
  /** Rounds of work: so often the artist begins something else, or the same on the other hand. */
  lines: number;
  /** Rounds of a work on a hand beyond its first: some of its nails are done apart from the others. */
  torn: number;
  /** Rounds of a work that was done before, and something else since: its product is taken up again. */
  returns: number;
}

/** The rhythm of a sitting, counted on its rounds in the order they are worked. */
export function rhythmOf(rounds: readonly Round[], operations: readonly Operation[]): Rhythm {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const done = new Set<string>();
  const begun = new Set<string>();
  const rhythm: Rhythm = { lines: 0, torn: 0, returns: 0 };
  let last = '';
  let lastOnHand = '';
  for (const round of rounds) {
    if (round.kind === 'load') {
      if (round.hand === 'both' || lastOnHand.startsWith(round.hand)) lastOnHand = '';
      continue;
    }
    const work = workOf(round, byId);
    const onHand = `${round.hand} ${work}`;
    // It goes on after a wait in which the hand stayed where it was.
    if (onHand === lastOnHand) continue;
    lastOnHand = onHand;
    rhythm.lines += 1;
    if (begun.has(onHand)) rhythm.torn += 1;
    if (work !== last && done.has(work)) rhythm.returns += 1;
    begun.add(onHand);
    done.add(work);
    last = work;
  }
  return rhythm;
}

/** What is done in a round on its first nail; what is done to that twice is the same work. */
function workOf({ nails, operations }: Round, byId: ReadonlyMap<string, Operation>): string {
  const own = operations.flatMap((id) => byId.get(id) ?? []).filter((one) => one.nail === nails[0]);
  return [...new Set(own.filter((one) => !one.lamp).map(sameWork))].join('|');
}
