import { REACH } from '../craft/handwork';
import { HANDS } from '../model/names';
import { boardOf } from './board';
import { leastLoads } from './leastLoads';
import { Player } from './play';
import type { Problem, Schedule } from './problem';
import { inOneGo, type InSlices } from '../model/inSlices';
import { markOf } from '../model/mark';
import { without } from '../model/without';
import type { Effort } from './effort';
import { searching } from './search';
import type { Sequence } from './trail';

/** The sitting: who does what when, the lamp loads, and how good the plan is. Seconds from the start. */
export interface Sitting extends Schedule {
  /** The range an artist meets: quick and slow hand work around the guide times (common practice). */
  low_s: number;
  high_s: number;
  /** No order of work can be quicker than this. */
  lower_bound_s: number;
  /** Loads without which the longest chains of work cannot be done. */
  least_loads: number;
  /** One hand wholly done, then the other: the plain way, to compare. */
  hand_after_hand_s: number;
  hand_work_s: number;
  lamp_s: number;
}

/** One hand alone is compared with, not worked by. */
const COMPARED = 200;

/** The best sitting found. Pure, and the same for the same iterations and seed. */
export function bestSchedule(problem: Problem, effort: Effort): Schedule {
  return settle(problem, effort).schedule;
}

/** An order of work that a search has found for one problem. Plain data. */
export interface Found {
  /** Of the problem and the way it was weighed. */
  mark: string;
  order: number[];
  close: number[];
  keep: number[];
  whole: boolean;
  /** What it was compared with, where that has been worked out. */
  hand_after_hand_s?: number;
}

export interface Settled {
  schedule: Schedule;
  found: Found;
  /** It is what was known before. */
  wasKnown: boolean;
}

/** The best sitting, with what it was found by; what is `known` of just this problem is played, not searched for again. */
export function settle(problem: Problem, effort: Effort, known?: Found): Settled {
  return inOneGo(settling(problem, effort, known));
}

/** The same in slices. */
export function* settling(problem: Problem, effort: Effort, known?: Found): InSlices<Settled> {
  const mark = markOf(`${effort.flow} ${JSON.stringify(problem)}`);
  if (problem.chains.length === 0) {
    const schedule = { strokes: [], loads: [], wipes: [], broken: [], missing: [], total_s: 0 };
    return { schedule, found: { mark, order: [], close: [], keep: [], whole: false }, wasKnown: false };
  }
  const board = boardOf(problem);
  const wasKnown = known !== undefined && fits(known, mark, board.activities.length);
  const sequence = wasKnown ? sequenceOf(known) : yield* searching(board, effort);
  const { order, close, keep, whole } = sequence;
  const found = { mark, order: [...order], close: [...close], keep: [...keep], whole };
  return { schedule: withDone(problem, new Player(board).schedule(sequence)), found, wasKnown };
}

/** A sitting under way with what is done of it before what is still to do. */
function withDone({ begun }: Problem, schedule: Schedule): Schedule {
  if (!begun) return schedule;
  return {
    ...schedule,
    strokes: [
      ...[...begun.strokes, ...begun.wipes.map((wipe) => without(wipe, 'after'))].sort(
        (a, b) => a.start_s - b.start_s,
      ),
      ...schedule.strokes,
    ],
    loads: [...begun.loads, ...schedule.loads],
    wipes: [...begun.wipes, ...schedule.wipes],
  };
}

/** A sequence kept anywhere may be of an older program, or broken. */
function fits({ mark, order, close, keep, whole }: Found, wanted: string, size: number): boolean {
  return (
    mark === wanted &&
    typeof whole === 'boolean' &&
    close.length === size &&
    keep.length === size &&
    new Set(order).size === size &&
    order.every((one) => Number.isInteger(one) && one >= 0 && one < size)
  );
}

function sequenceOf({ order, close, keep, whole }: Found): Sequence {
  return { order: Int32Array.from(order), close: Uint8Array.from(close), keep: Uint8Array.from(keep), whole };
}

/** A schedule with what it is compared with; `hand_after_hand_s` where it is known of just this problem. */
export function compared(
  problem: Problem,
  schedule: Schedule,
  lower_bound_s: number,
  effort: Effort,
  hand_after_hand_s = handAfterHand(problem, effort),
): Sitting {
  const { quick_s, slow_s } = reach(problem, schedule);
  const handWork = schedule.strokes.reduce((sum, s) => sum + s.end_s - s.start_s + s.changeover_s, 0);
  const lamp = schedule.loads.reduce((sum, load) => sum + load.end_s - load.start_s, 0);
  return {
    ...schedule,
    low_s: schedule.total_s - quick_s,
    high_s: schedule.total_s + slow_s,
    lower_bound_s,
    least_loads: leastLoads(problem),
    hand_after_hand_s,
    hand_work_s: handWork,
    lamp_s: lamp,
  };
}

/** What quick hands save of the work that is still to do, and slow ones need more: by the artist's own times where they are known. */
function reach({ chains, begun }: Problem, { strokes }: Schedule): { quick_s: number; slow_s: number } {
  const own = new Map(
    chains.flatMap(({ tasks }) =>
      tasks.flatMap((task) => (task.own ? [[task.operation, task.own] as const] : [])),
    ),
  );
  const sum = { quick_s: 0, slow_s: 0 };
  for (const { operation, start_s, end_s, changeover_s } of strokes) {
    if (begun && start_s < begun.now_s) continue;
    const { quick, slow } = own.get(operation) ?? REACH;
    sum.quick_s += (1 - quick) * (end_s - start_s + changeover_s);
    sum.slow_s += (slow - 1) * (end_s - start_s + changeover_s);
  }
  return sum;
}

/** One hand wholly, then the other; of a sitting under way too, as if it had not begun. */
function handAfterHand(underWay: Problem, effort: Effort): number {
  const problem = without(underWay, 'begun');
  return HANDS.reduce((sum, hand) => {
    const chains = problem.chains.filter((chain) => chain.hand === hand);
    // One hand alone: statements between the hands say nothing here.
    const tasks = new Set(chains.flatMap((chain) => chain.tasks.map((task) => task.operation)));
    const precedences =
      problem.precedences?.filter((one) => tasks.has(one.first) && tasks.has(one.then)) ?? [];
    if (chains.length === 0) return sum;
    const few = { ...effort, iterations: Math.min(COMPARED, effort.iterations) };
    return sum + bestSchedule({ ...problem, chains, precedences }, few).total_s;
  }, 0);
}
