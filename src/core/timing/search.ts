import type { Board } from './board';
import { Player } from './play';
import type { Tally } from './sittingState';
import { assign, copyOf, type Sequence } from './trail';
import { inBeads } from './inBeads';
import { inRounds, ROUNDS } from './inRounds';
import { inWorks } from './inWorks';
import type { Effort, Flow } from './effort';
import { leastOf } from '../model/extent';
import { chance } from '../model/chance';
import { inOneGo, type InSlices } from '../model/inSlices';
import { moveStrokes } from './moves';
import { moveRounds } from './roundMoves';

/** What a second of each kind of friction weighs against a second of the sitting (common practice). */
export interface Weights {
  load: number;
  classChange: number;
  handChange: number;
  /** A visit to a hand for a single stroke. */
  loneVisit: number;
  /** Another line of a work on a hand. */
  torn: number;
  /** A work taken up again. */
  returned: number;
  singleLoad: number;
  /** Each second a film gathers lint past its guide. */
  lint: number;
}

export const WEIGHTS: Record<Flow, Weights> = {
  quick: {
    load: 0.5,
    classChange: 0.2,
    handChange: 0.5,
    loneVisit: 0.5,
    torn: 0,
    returned: 0,
    singleLoad: 1,
    lint: 0.05,
  },
  balanced: {
    load: 15,
    classChange: 1.3,
    handChange: 2,
    loneVisit: 10,
    torn: 20,
    returned: 25,
    singleLoad: 8,
    lint: 0.2,
  },
  calm: {
    load: 15,
    classChange: 1.3,
    handChange: 2,
    loneVisit: 10,
    torn: 40,
    returned: 70,
    singleLoad: 8,
    lint: 0.2,
  },
};

/** Of a hundred moves so many move whole rounds. */
const ROUND_MOVES: Record<Flow, number> = { quick: 0, balanced: 85, calm: 85 };

/** What must not happen weighs more than any time it could save. */
const LATE = 1000;
const LATE_S = 5;
const DUST = 2000;
const UNFIT = 2000;
/** Each second above plain rounds: nobody is to search for what is longer than what needs no search. */
const ABOVE_PLAIN = 200;

/** What a tally costs; `total_s` in place of its own time, where it is not played to its end. */
export function costOf(tally: Tally, weights: Weights, total_s = tally.total_s): number {
  return (
    total_s +
    weights.load * tally.loads +
    weights.singleLoad * tally.singleLoads +
    weights.classChange * tally.classChanges +
    weights.handChange * tally.handChanges +
    weights.loneVisit * tally.lone +
    weights.torn * tally.torn +
    weights.returned * tally.returns +
    weights.lint * tally.lint_s +
    LATE * tally.late +
    LATE_S * tally.late_s +
    DUST * tally.dust +
    UNFIT * tally.unfit
  );
}

/** At first a step may be worse by so much; a long search dares more. */
const HOT_S = 12;
const HOT_AT_LENGTH_S: Record<Flow, number> = { quick: 20, balanced: 30, calm: 30 };
const COLD_S = 1;
/** From so many sequences on a search is long. */
const A_LONG_SEARCH = 10_000;
/** Activities of a set with ten busy nails. */
const USUAL_SIZE = 136;
const MOST_FOR_SMALL = 2;
/** Where statements tie a sitting up, each sequence takes many tries: then fewer are played, by count and not by the clock. */
const DEAREST = 1.5;
const RUNNERS = 4;
const SHORT_SHARE = 0.5;
/** One sequence in so many that is gone on with is written anew as it was really played. */
const WRITTEN_ANEW = 32;
/** Sequences that others may run on for without breaking less: one run while an artist edits, some of a few hundred. */
const MOST_IN_VAIN = 500;
/** A move is drawn anew so often until it moves something. */
const MOST_DRAWS = 4;
/** Sequences of a slice, some milliseconds. */
const SLICE = 100;

/**
 * Searches for a good sequence: from plain rounds and from the order that takes everything up as seldom as can be, by
 * threshold annealing over moves of whole rounds, or of single strokes where that is quicker or wanted. Deterministic
 * in iterations and seed.
 */
export function search(board: Board, effort: Effort): Sequence {
  return inOneGo(searching(board, effort));
}

/** The same in slices. */
export function* searching(board: Board, effort: Effort): InSlices<Sequence> {
  const { flow, enough = -1 } = effort;
  const size = board.activities.length;
  const player = new Player(board);
  const weights = WEIGHTS[flow];
  const byRounds = ROUND_MOVES[flow] > 0;
  const plain = ROUNDS.map((rounds) => begin(inRounds(board, rounds), byRounds));
  const shortest_s = flow === 'calm' ? Infinity : shortestOf_s(plain);
  const costIn = (tally: Tally, total_s: number) =>
    // Where there are no such rounds nothing is above them, nor what was left off.
    costOf(tally, weights, total_s) + (total_s > shortest_s ? ABOVE_PLAIN * (total_s - shortest_s) : 0);
  const cost = (sequence: Sequence) => {
    const tally = player.play(sequence);
    return costIn(tally, tally.total_s);
  };
  /** The same, or Infinity as soon as it is known to be above `most`. */
  const costUpTo = (sequence: Sequence, most: number) => {
    const tally = player.play(sequence, (sofar, least_s) => costIn(sofar, least_s) > most);
    return costIn(tally, tally.total_s);
  };
  const random = chance(effort.seed).below;
  let dear = false;
  const both = [0, 1] as const;
  const works = byRounds ? both.map((hand) => begin(inWorks(board, hand), true)) : [];
  const beads = both.flatMap((hand) => inBeads(board, hand) ?? []).map((order) => begin(order, false));
  const starts = [...plain, ...works, ...beads].map(start).sort((a, b) => a.cost - b.cost);
  if (size < 2 || effort.iterations < 1) return starts[0]!.sequence;
  let found = faults(starts[0]!.sequence) <= enough;
  const iterations = Math.round(effort.iterations * Math.min(MOST_FOR_SMALL, USUAL_SIZE / size));
  const hot_s = iterations < A_LONG_SEARCH ? HOT_S : HOT_AT_LENGTH_S[flow];
  // The first few run some way; the one that gets furthest runs on.
  const short = Math.floor((iterations * SHORT_SHARE) / RUNNERS);
  const runners: Costed[] = [];
  for (const [r, begun] of starts.slice(0, RUNNERS).entries()) {
    // What hangs together by the minute, as beads do, comes right by single strokes sooner.
    const before = runners[r - 1]?.sequence;
    const isTight = before?.whole === true && player.play(before).late > 0;
    const from = isTight ? apart(begun.sequence) : begun;
    runners.push(yield* anneal(from, r * short, (r + 1) * short, movesOf(from)));
  }
  runners.sort((a, b) => a.cost - b.cost);
  const best = yield* anneal(runners[0]!, short * runners.length, iterations, ROUND_MOVES[flow]);
  // Where a short search leaves a film too late or dust beside wet, others run on too, as long as that helps.
  let worst = iterations < A_LONG_SEARCH && !dear ? faults(best.sequence) : 0;
  let inVain = 0;
  for (const from of worst > 0 ? others() : []) {
    if (worst === 0 || inVain > MOST_IN_VAIN) break;
    const other = yield* anneal(from, 0, iterations, movesOf(from));
    const left = faults(other.sequence);
    if (left >= worst) {
      inVain += iterations;
      continue;
    }
    worst = left;
    assign(best.sequence, other.sequence);
  }
  return alongTheHand(board, best.sequence, player, cost);

  /** An order to begin with, by whole rounds or by single strokes, and what it comes to. */
  function begin(order: Int32Array, whole: boolean): Begun {
    const sequence = { order, close: new Uint8Array(size), keep: new Uint8Array(size), whole };
    return { sequence, tally: { ...player.play(sequence) } };
  }

  /** Where rounds as a whole are too long for what is due, each stroke comes first by itself. */
  function start({ sequence, tally }: Begun): Costed {
    const begun = { sequence, cost: costIn(tally, tally.total_s) };
    if (!sequence.whole || tally.late === 0) return begun;
    const parted = apart(sequence);
    return parted.cost < begun.cost ? parted : begun;
  }

  /** What else could be gone on with: first what was found by rounds, by single strokes. */
  function others(): Costed[] {
    return [...(best.sequence.whole ? [apart(best.sequence)] : []), ...runners.slice(1)];
  }

  /** The same, by single strokes. */
  function apart(sequence: Sequence): Costed {
    const parted = { ...copyOf(sequence), whole: false };
    return { sequence: parted, cost: cost(parted) };
  }

  /** Of a hundred moves so many move whole rounds. */
  function movesOf({ sequence }: Costed): number {
    return sequence.whole ? ROUND_MOVES[flow] : 0;
  }

  function faults(sequence: Sequence): number {
    return faultsOf(player.play(sequence));
  }

  /** From so many sequences to so many. */
  function* anneal(from: Costed, began: number, until: number, roundMoves: number): InSlices<Costed> {
    const count = until - began;
    const best = { sequence: copyOf(from.sequence), cost: from.cost };
    const now = { sequence: copyOf(from.sequence), cost: from.cost };
    const next = copyOf(from.sequence);
    let spent = 0;
    for (let i = 0; i < count && spent < count * DEAREST && !found; i += 1) {
      if (i % SLICE === 0) yield Math.min(1, (began + i) / iterations);
      const heat = 1 - i / count;
      const threshold =
        (COLD_S + (hot_s - COLD_S) * heat * heat * heat) * (random(1024) / 1024) * (random(1024) / 1024);
      assign(next, now.sequence);
      // A fifth of all moves put things back where they stood: what is not moved need not be played.
      for (let draws = 0; draws < MOST_DRAWS && isSame(next, now.sequence); draws += 1)
        if (random(100) < roundMoves) moveRounds(board, next, random);
        else moveStrokes(board, next, random);
      const value = costUpTo(next, now.cost + threshold);
      spent += player.effort;
      dear ||= spent >= count * DEAREST;
      if (value > now.cost + threshold) continue;
      player.goOnFrom();
      assign(now.sequence, next);
      now.cost = value;
      if (value < best.cost - 1e-9) {
        best.cost = value;
        assign(best.sequence, next);
        found = faultsOf(player.tally) <= enough;
      }
      // What was brought forward on the way stands where it was done: moves then move what they seem to.
      if (i % WRITTEN_ANEW > 0) continue;
      player.writeInto(now.sequence.order);
      player.play(now.sequence);
      player.goOnFrom();
    }
    return best;
  }
}

/** Of sittings in which nothing is too late, nor any rule broken, the shortest in seconds. */
function shortestOf_s(begun: readonly Begun[]): number {
  return leastOf(begun.flatMap(({ tally }) => (faultsOf(tally) === 0 ? [tally.total_s] : [])));
}

/** How often what must not be is: too late, dust beside wet, a hand at work that cannot be. */
function faultsOf({ late, dust, unfit }: Tally): number {
  return late + dust + unfit;
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
  const best = copyOf(sequence);
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

interface Begun {
  sequence: Sequence;
  tally: Tally;
}

interface Costed {
  sequence: Sequence;
  cost: number;
}

function isSame(a: Sequence, b: Sequence): boolean {
  for (let i = 0; i < a.order.length; i += 1)
    if (a.order[i] !== b.order[i] || a.close[i] !== b.close[i] || a.keep[i] !== b.keep[i]) return false;
  return true;
}
