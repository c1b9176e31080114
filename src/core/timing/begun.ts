import { mostOf } from '../model/extent';
import type { Begun, Problem, Schedule } from './problem';

/** What a sitting that is run just as it was planned has behind it at a moment; work that is under way then is still to do. */
export function begunAt({ strokes, loads, wipes }: Schedule, now_s: number): Begun {
  const wiped = new Set(wipes.map(({ operation }) => operation));
  return {
    now_s,
    strokes: strokes.filter(({ operation, end_s }) => end_s <= now_s && !wiped.has(operation)),
    loads: loads.filter(({ start_s, end_s, held }) => (held ? end_s : start_s) <= now_s),
    wipes: wipes.filter(({ end_s }) => end_s <= now_s),
  };
}

/** What is still to do of a sitting under way, as a problem of its own. */
export function restOf(problem: Problem, begun: Begun): Problem {
  const done = new Set([
    ...begun.strokes.map(({ operation }) => operation),
    ...begun.loads.flatMap(({ operations }) => operations),
  ]);
  const chains = problem.chains
    .map((chain) => ({ ...chain, tasks: chain.tasks.filter(({ operation }) => !done.has(operation)) }))
    .filter(({ tasks }) => tasks.length > 0);
  const precedences = problem.precedences?.filter(({ first, then }) => !done.has(first) && !done.has(then));
  return { ...problem, chains, ...(precedences ? { precedences } : {}) };
}

/** When the last is over of what was done of a sitting, in seconds from its beginning. */
export function endOfDone_s({ strokes, loads, wipes }: Begun): number {
  return Math.max(0, mostOf([...strokes, ...loads, ...wipes].map(({ end_s }) => end_s)));
}
