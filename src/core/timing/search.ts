import type { Board } from './board';
import { Player, type Sequence, type Tally } from './play';
import { inRounds, ROUNDS } from './inRounds';
import type { Effort, Flow } from './effort';
import { chance } from '../model/chance';
import { inOneGo, type InSlices } from '../model/inSlices';

/** What a second of each kind of friction weighs against a second of the sitting (common practice). */
export interface Weights {
  load: number;
  classChange: number;
  handChange: number;
  /** A visit to a hand for a single stroke. */
  loneVisit: number;
  singleLoad: number;
  /** Each second a film gathers lint past its guide. */
  lint: number;
}

export const WEIGHTS: Record<Flow, Weights> = {
  quick: { load: 0.5, classChange: 0.2, handChange: 0.5, loneVisit: 0.5, singleLoad: 1, lint: 0.05 },
  balanced: { load: 15, classChange: 1.3, handChange: 3, loneVisit: 10, singleLoad: 8, lint: 0.2 },
  calm: { load: 10, classChange: 4, handChange: 16, loneVisit: 12, singleLoad: 18, lint: 0.2 },
};

/** What must not happen weighs more than any time it could save. */
const LATE = 200;
const LATE_S = 5;
const DUST = 2000;
const UNFIT = 2000;

export function costOf(tally: Tally, weights: Weights): number {
  return (
    tally.total_s +
    weights.load * tally.loads +
    weights.singleLoad * tally.singleLoads +
    weights.classChange * tally.classChanges +
    weights.handChange * tally.handChanges +
    weights.loneVisit * tally.lone +
    weights.lint * tally.lint_s +
    LATE * tally.late +
    LATE_S * tally.late_s +
    DUST * tally.dust +
    UNFIT * tally.unfit
  );
}

/** At first a step may be worse by so much; a long search dares more. */
const HOT_S = 12;
const HOT_AT_LENGTH_S = 20;
const COLD_S = 1;
/** A long search cools, and is warmed again, several times. */
const LONGEST_CYCLE = 10_000;
/** Activities of a set with ten busy nails. */
const USUAL_SIZE = 136;
const MOST_FOR_SMALL = 2;
/** Where statements tie a sitting up, each sequence takes many tries: then fewer are played, by count and not by the clock. */
const DEAREST = 1.5;
const RUNNERS = 4;
const SHORT = 1000;
/** One sequence in so many that is gone on with is written anew as it was really played. */
const WRITTEN_ANEW = 32;
/** Sequences of a slice, some milliseconds. */
const SLICE = 100;

/**
 * Searches for a good sequence: from rounds, by threshold annealing over moves of single strokes, of runs of one
 * class, of stretches of one nail's work, and of marks that put a hand into the lamp early or keep it out.
 * Deterministic in iterations and seed.
 */
export function search(board: Board, effort: Effort): Sequence {
  return inOneGo(searching(board, effort));
}

/** The same in slices. */
export function* searching(board: Board, effort: Effort): InSlices<Sequence> {
  const size = board.activities.length;
  const player = new Player(board);
  const weights = WEIGHTS[effort.flow];
  const cost = (sequence: Sequence) => costOf(player.play(sequence), weights);
  const random = chance(effort.seed).below;
  let dear = false;
  const starts = ROUNDS.map((rounds) => {
    const sequence = {
      order: inRounds(board, rounds),
      close: new Uint8Array(size),
      keep: new Uint8Array(size),
    };
    return { sequence, cost: cost(sequence) };
  }).sort((a, b) => a.cost - b.cost);
  if (size < 2 || effort.iterations < 1) return starts[0]!.sequence;
  const iterations = Math.round(effort.iterations * Math.min(MOST_FOR_SMALL, USUAL_SIZE / size));
  const hot_s = iterations < LONGEST_CYCLE ? HOT_S : HOT_AT_LENGTH_S;
  // The first few run a short way; the one that gets furthest runs on.
  const short = Math.min(SHORT, Math.floor(iterations / (2 * RUNNERS)));
  const runners: Costed[] = [];
  for (const start of starts.slice(0, RUNNERS)) runners.push(yield* anneal(start, 0, short));
  runners.sort((a, b) => a.cost - b.cost);
  const best = yield* anneal(runners[0]!, short * RUNNERS, iterations);
  // Where a short search leaves a film too late or dust beside wet, the others run on too, as long as that helps.
  let worst = iterations < LONGEST_CYCLE && !dear ? faults(best.sequence) : 0;
  for (let r = 1; r < runners.length && worst > 0; r += 1) {
    const other = yield* anneal(runners[r]!, 0, iterations);
    const left = faults(other.sequence);
    if (left >= worst) break;
    worst = left;
    assign(best.sequence, other.sequence);
  }
  return alongTheHand(board, best.sequence, player, cost);

  function faults(sequence: Sequence): number {
    const { late, dust, unfit } = player.play(sequence);
    return late + dust + unfit;
  }

  /** From so many sequences to so many. */
  function* anneal(from: Costed, began: number, until: number): InSlices<Costed> {
    const count = until - began;
    const best = { sequence: copy(from.sequence), cost: from.cost };
    const now = { sequence: copy(from.sequence), cost: from.cost };
    const next = copy(from.sequence);
    const cycle = Math.min(count, LONGEST_CYCLE);
    let spent = 0;
    for (let i = 0; i < count && spent < count * DEAREST; i += 1) {
      if (i % SLICE === 0) yield Math.min(1, (began + i) / iterations);
      const heat = 1 - (i % cycle) / cycle;
      const threshold =
        (COLD_S + (hot_s - COLD_S) * heat * heat * heat) * (random(1024) / 1024) * (random(1024) / 1024);
      assign(next, now.sequence);
      move(board, next, random);
      const value = cost(next);
      spent += player.effort;
      dear ||= spent >= count * DEAREST;
      if (value > now.cost + threshold) continue;
      assign(now.sequence, next);
      now.cost = value;
      // What was brought forward on the way stands where it was done: moves then move what they seem to.
      if (i % WRITTEN_ANEW === 0) player.writeInto(now.sequence.order);
      if (value < best.cost - 1e-9) {
        best.cost = value;
        assign(best.sequence, next);
      }
    }
    return best;
  }
}

/** What a nicer order within a round may cost. */
const NICER_S = 0.5;

/** The same sitting, each round of one brush on a hand done from nail to nail along it where that costs nothing. */
function alongTheHand(
  board: Board,
  sequence: Sequence,
  player: Player,
  cost: (sequence: Sequence) => number,
): Sequence {
  const most = cost(sequence) + NICER_S;
  const best = copy(sequence);
  player.writeInto(best.order);
  if (cost(best) > most) return sequence;
  const { order } = best;
  const { activities } = board;
  const like = (a: number, b: number) =>
    activities[a]!.class === activities[b]!.class &&
    activities[a]!.hand === activities[b]!.hand &&
    activities[b]!.parts.length === 1;
  for (let from = 0, to = 1; from < order.length; from = to, to += 1) {
    while (to < order.length && like(order[from]!, order[to]!)) to += 1;
    const before = order.slice(from, to);
    order.subarray(from, to).sort((a, b) => activities[a]!.parts[0]!.chain - activities[b]!.parts[0]!.chain);
    if (cost(best) > most) order.set(before, from);
  }
  return best;
}

interface Costed {
  sequence: Sequence;
  cost: number;
}

function copy(sequence: Sequence): Sequence {
  return { order: sequence.order.slice(), close: sequence.close.slice(), keep: sequence.keep.slice() };
}

function assign(to: Sequence, from: Sequence): void {
  to.order.set(from.order);
  to.close.set(from.close);
  to.keep.set(from.keep);
}

const LONGEST_RUN = 12;

function move(board: Board, sequence: Sequence, random: (below: number) => number): void {
  const { order } = sequence;
  const size = order.length;
  const { activities } = board;
  const kind = random(100);
  if (kind < 5) {
    const a = order[random(size)]!;
    sequence.close[a] = 1 - sequence.close[a]!;
    return;
  }
  if (kind < 10) {
    const a = order[random(size)]!;
    sequence.keep[a] = 1 - sequence.keep[a]!;
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

/** A place mostly not far off. */
function near(at: number, size: number, random: (below: number) => number): number {
  const reach = random(4) === 0 ? size : Math.min(size, 30);
  const to = at - (reach >> 1) + random(reach);
  return to < 0 ? 0 : to >= size ? size - 1 : to;
}

const scratch = new Int32Array(4096);

/** Takes `count` entries out at `at` and puts them in so that they begin at `to`, or end there when moved on. */
function shift(order: Int32Array, at: number, count: number, to: number): void {
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
