import { rowOf } from '../craft/surfaces';
import type { SetDocument } from '../document/document';
import { fingerOf, HANDS, handOf, type NailName } from '../model/names';
import type { Operation } from '../craft/operation';
import type { StateAfter } from '../simulate/simulate';
import { lowerBound_s } from './bound';
import { construct } from './construct';
import type { Broken, Chain, Load, Problem, Stroke } from './problem';

/** The sitting: who does what when, the lamp loads, and how good the plan is. Seconds from the start. */
export interface Sitting {
  strokes: Stroke[];
  loads: Load[];
  broken: Broken[];
  total_s: number;
  /** The range an artist meets: quick and slow hand work around the guide times (common practice). */
  low_s: number;
  high_s: number;
  /** No order of work can be quicker than this. */
  lower_bound_s: number;
  /** One hand wholly done, then the other: the plain way, to compare. */
  hand_after_hand_s: number;
  hand_work_s: number;
  lamp_s: number;
}

/** Rinsing a brush, closing and opening a bottle (common practice). */
const CHANGEOVER_S = 6;
/** The weaker hand is slower on one's own nails (common practice). */
const WEAKER_HAND = 1.3;
const QUICK = 0.9;
const SLOW = 1.3;

export interface NailWork {
  nail: NailName;
  operations: readonly Operation[];
  states: readonly StateAfter[];
}

/** The sitting of a set as the problem of timing/problem.ts. */
export function problemOf(
  set: SetDocument,
  nails: readonly NailWork[],
  precedences: Problem['precedences'] = [],
): Problem {
  const own = set.practice.wearer === 'own';
  return {
    chains: nails.map((work): Chain => ({
      nail: work.nail,
      hand: handOf(work.nail),
      thumb: fingerOf(work.nail) === 'thumb',
      tasks: work.operations.map((operation, i) => ({
        operation: operation.id,
        hand_s: operation.hand_s,
        class: operation.class,
        rank: i,
        dusty: rowOf(operation.verb).dusty ?? false,
        ...(operation.lamp ? { light: operation.lamp } : {}),
        wait_s: operation.wait_s ?? 0,
        ...(operation.open_s === undefined ? {} : { open_s: operation.open_s }),
        wet: work.states[i]!.wet,
        tacky: work.states[i]!.tacky,
      })),
    })),
    lamps: set.kit.lamps.map((lamp) => ({ id: lamp.id, programmes_s: lamp.programmes_s })),
    thumbs: set.practice.thumbs,
    wearer: set.practice.wearer,
    slower: {
      left: own && set.practice.stronger_hand === 'left' ? WEAKER_HAND : 1,
      right: own && set.practice.stronger_hand === 'right' ? WEAKER_HAND : 1,
    },
    changeover_s: CHANGEOVER_S,
    precedences,
  };
}

/** Plans the sitting. Pure and deterministic. */
export function planSitting(problem: Problem): Sitting {
  const schedule = construct(problem);
  const handWork = schedule.strokes.reduce((sum, s) => sum + s.end_s - s.start_s + s.changeover_s, 0);
  const lamp = schedule.loads.reduce((sum, load) => sum + load.end_s - load.start_s, 0);
  const plain = HANDS.reduce((sum, hand) => {
    const chains = problem.chains.filter((chain) => chain.hand === hand);
    // One hand alone: statements between the hands say nothing here.
    const tasks = new Set(chains.flatMap((chain) => chain.tasks.map((task) => task.operation)));
    const precedences =
      problem.precedences?.filter((one) => tasks.has(one.first) && tasks.has(one.then)) ?? [];
    return sum + (chains.length > 0 ? construct({ ...problem, chains, precedences }).total_s : 0);
  }, 0);
  return {
    ...schedule,
    low_s: schedule.total_s - (1 - QUICK) * handWork,
    high_s: schedule.total_s + (SLOW - 1) * handWork,
    lower_bound_s: lowerBound_s(problem),
    hand_after_hand_s: plain,
    hand_work_s: handWork,
    lamp_s: lamp,
  };
}
