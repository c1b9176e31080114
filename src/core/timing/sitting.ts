import { HANDS } from '../model/names';
import { boardOf } from './board';
import { leastLoads, lowerBound_s } from './bound';
import { Player } from './play';
import type { Problem, Schedule } from './problem';
import { search, type Effort } from './search';

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

const QUICK = 0.9;
const SLOW = 1.3;
/** One hand alone is compared with, not worked by. */
const COMPARED = 200;

/** The best sitting found. Pure, and the same for the same iterations and seed. */
export function bestSchedule(problem: Problem, effort: Effort): Schedule {
  if (problem.chains.length === 0)
    return { strokes: [], loads: [], wipes: [], broken: [], missing: [], total_s: 0 };
  const board = boardOf(problem);
  return new Player(board).schedule(search(board, effort));
}

/** A schedule with what it is compared with. */
export function compared(problem: Problem, schedule: Schedule, effort: Effort): Sitting {
  const handWork = schedule.strokes.reduce((sum, s) => sum + s.end_s - s.start_s + s.changeover_s, 0);
  const lamp = schedule.loads.reduce((sum, load) => sum + load.end_s - load.start_s, 0);
  const plain = HANDS.reduce((sum, hand) => {
    const chains = problem.chains.filter((chain) => chain.hand === hand);
    // One hand alone: statements between the hands say nothing here.
    const tasks = new Set(chains.flatMap((chain) => chain.tasks.map((task) => task.operation)));
    const precedences =
      problem.precedences?.filter((one) => tasks.has(one.first) && tasks.has(one.then)) ?? [];
    if (chains.length === 0) return sum;
    const few = { ...effort, iterations: Math.min(COMPARED, effort.iterations), onProgress: undefined };
    return sum + bestSchedule({ ...problem, chains, precedences }, few).total_s;
  }, 0);
  return {
    ...schedule,
    low_s: schedule.total_s - (1 - QUICK) * handWork,
    high_s: schedule.total_s + (SLOW - 1) * handWork,
    lower_bound_s: lowerBound_s(problem),
    least_loads: leastLoads(problem),
    hand_after_hand_s: plain,
    hand_work_s: handWork,
    lamp_s: lamp,
  };
}
