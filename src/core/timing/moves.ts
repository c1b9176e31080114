import type { Board } from './board';
import type { Sequence } from './trail';

const LONGEST_RUN = 12;

/** A move of single strokes, of runs of one class, of stretches of one nail's work, or of marks at the lamp. */
export function moveStrokes(board: Board, sequence: Sequence, random: (below: number) => number): void {
  const { order } = sequence;
  const size = order.length;
  const { activities } = board;
  const kind = random(100);
  if (kind < 10) {
    flip(kind < 5 ? sequence.close : sequence.keep, order[random(size)]!);
    return;
  }
  const at = random(size);
  if (kind < 40) {
    // One stroke to beside another of its class, or a little way off.
    shift(order, at, 1, beside(at, at + 1) ?? near(at, size, random));
    return;
  }
  if (kind < 75) {
    // A run of one class on one hand, as a whole.
    const first = activities[order[at]!]!;
    let start = at;
    let end = at + 1;
    const like = (i: number) => {
      const one = activities[order[i]!]!;
      return one.class === first.class && one.hand === first.hand;
    };
    while (start > 0 && at - start < LONGEST_RUN && like(start - 1)) start -= 1;
    while (end < size && end - at < LONGEST_RUN && like(end)) end += 1;
    const joined = random(2) === 0 ? beside(start, end) : undefined;
    shift(order, start, end - start, joined ?? near(at, size, random));
    return;
  }
  if (kind < 85) {
    shift(order, at, 1 + random(8), near(at, size, random));
    return;
  }
  gather(board, order, at, random);

  /** Where another of the same class stands outside some places, if one is soon found. */
  function beside(start: number, end: number): number | undefined {
    for (let tries = 0; tries < 6; tries += 1) {
      const j = random(size);
      if ((j < start || j >= end) && activities[order[j]!]!.class === activities[order[start]!]!.class)
        return j;
    }
    return undefined;
  }
}

/** Sets a mark of an activity at the lamp, or takes it away. */
export function flip(marks: Uint8Array, activity: number): void {
  marks[activity] = 1 - marks[activity]!;
}

/** A place mostly not far off. */
export function near(at: number, size: number, random: (below: number) => number): number {
  const reach = random(4) === 0 ? size : Math.min(size, 30);
  const to = at - (reach >> 1) + random(reach);
  return to < 0 ? 0 : to >= size ? size - 1 : to;
}

const scratch = new Int32Array(4096);

/** Takes `count` entries out at `at` and puts them in so that they begin at `to`, or end there when moved on. */
export function shift(order: Int32Array, at: number, count: number, to: number): void {
  const size = order.length;
  const n = Math.min(count, size - at, scratch.length);
  if (n <= 0 || (to >= at && to < at + n)) return;
  for (let k = 0; k < n; k += 1) scratch[k] = order[at + k]!;
  if (to < at) {
    order.copyWithin(to + n, to, at);
    for (let k = 0; k < n; k += 1) order[to + k] = scratch[k]!;
  } else {
    order.copyWithin(at, at + n, to + 1);
    for (let k = 0; k < n; k += 1) order[to + 1 - n + k] = scratch[k]!;
  }
}

/** Brings the next few activities of one nail right behind one of them: a nail worked on in one go. */
function gather(board: Board, order: Int32Array, at: number, random: (below: number) => number): void {
  const chain = board.activities[order[at]!]!.parts[0]!.chain;
  let to = at + 1;
  let left = 1 + random(5);
  for (let j = at + 1; j < order.length && left > 0; j += 1) {
    const { parts } = board.activities[order[j]!]!;
    if (parts.length !== 1 || parts[0]!.chain !== chain) continue;
    shift(order, j, 1, to);
    to += 1;
    left -= 1;
  }
}
