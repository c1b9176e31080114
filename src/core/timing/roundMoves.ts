import type { Board } from './board';
import type { Sequence } from './trail';
import { flip, near, shift } from './moves';

/** Rounds that follow each other and are moved at once; that are put hand in hand. */
const MOST_ROUNDS = 5;
const MOST_IN_HAND = 10;

/** A move over whole rounds: runs of the same work on a hand, which are moved, set beside each other, joined and cut. */
export function moveRounds(board: Board, sequence: Sequence, random: (below: number) => number): void {
  const { order } = sequence;
  const size = order.length;
  const { activities } = board;
  const workAt = (i: number) => activities[order[i]!]!.work;
  const like = (i: number, j: number) =>
    workAt(i) === workAt(j) && activities[order[i]!]!.hand === activities[order[j]!]!.hand;
  const startOf = (i: number) => {
    let at = i;
    while (at > 0 && like(at - 1, i)) at -= 1;
    return at;
  };
  const endOf = (i: number) => {
    let at = i + 1;
    while (at < size && like(at, i)) at += 1;
    return at;
  };
  const at = random(size);
  const kind = random(100);
  if (kind < 8) {
    flip(kind < 4 ? sequence.close : sequence.keep, order[at]!);
    return;
  }
  const from = startOf(at);
  const to = endOf(at);
  if (kind < 45) {
    const other = random(2) === 0 ? another(from, to) : undefined;
    if (other !== undefined) place(from, to - from, random(2) === 0 ? startOf(other) : endOf(other));
    else place(from, to - from, boundary(near(at, size, random)));
    return;
  }
  if (kind < 70) {
    let end = to;
    for (let k = random(MOST_ROUNDS); k > 0 && end < size; k -= 1) end = endOf(end);
    place(from, end - from, boundary(near(at, size, random)));
    return;
  }
  if (kind < 80) {
    // Cut: one nail's part, or the rest of the round from it on.
    const count = random(2) === 0 ? 1 : to - at;
    const other = random(2) === 0 ? another(at, at + count) : undefined;
    place(at, count, other === undefined ? boundary(near(at, size, random)) : endOf(other));
    return;
  }
  if (kind < 92) {
    join(random(3) === 0);
    return;
  }
  handInHand();

  /** Of the next few rounds each goes right behind the same work of the other hand. */
  function handInHand(): void {
    let end = to;
    for (let k = 2 + random(MOST_IN_HAND); k > 0 && end < size; k -= 1) end = endOf(end);
    const works = new Map<number, number>();
    for (let i = from; i < end; i += 1) if (!works.has(workAt(i))) works.set(workAt(i), works.size);
    const window = [...order.subarray(from, end)];
    const key = (a: number) => works.get(activities[a]!.work)!;
    order.set(
      window.sort((a, b) => key(a) - key(b)),
      from,
    );
  }

  /** What stands further on of the same round, on this hand or on both, joins it here. */
  function join(bothHands: boolean): void {
    const first = activities[order[at]!]!;
    let end = to;
    for (let i = to; i < size; i += 1) {
      const one = activities[order[i]!]!;
      if (one.work !== first.work || (!bothHands && one.hand !== first.hand)) continue;
      shift(order, i, 1, end);
      end += 1;
    }
  }

  function boundary(i: number): number {
    return random(2) === 0 ? startOf(i) : endOf(i);
  }

  /** So that they stand before what stands at a place now. */
  function place(start: number, count: number, before: number): void {
    if (before >= start && before <= start + count) return;
    shift(order, start, count, before > start ? before - 1 : before);
  }

  /** Where another of the same work stands outside some places, if there is one. */
  function another(start: number, end: number): number | undefined {
    const work = workAt(start);
    const offset = random(size);
    for (let k = 0; k < size; k += 1) {
      const j = (offset + k) % size;
      if ((j < start || j >= end) && workAt(j) === work) return j;
    }
    return undefined;
  }
}
