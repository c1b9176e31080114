import { leastOf } from '../model/extent';
import { inStages } from './inStages';
import { handSeconds, lampGroup, type Chain, type Problem, type Task } from './problem';

/** A nail's light as a load has to serve it. */
export interface Light {
  /** A flash or a cure; a name of its own where no other nail of the group can share it. */
  mode: string;
  weight: number;
}

/**
 * The fewest loads that serve every nail in its order and let no film wait too long: a load is a flash or a cure, and
 * serves each nail once. Light held by hand is no load.
 */
export function leastLoads(problem: Problem): number {
  return inStages(problem)
    .flatMap((chains) => inLoads(problem, chains, () => 1))
    .reduce((sum, nails) => sum + fewest(nails), 0);
}

/** By what goes into a lamp together: each nail's lights in order. */
export function inLoads(
  problem: Problem,
  chains: readonly Chain[],
  weight: (task: Task) => number,
): Light[][][] {
  const groups = new Map<string, Waiting[][]>();
  for (const chain of chains) {
    const name = lampGroup(chain, problem.thumbs);
    groups.set(name, [...(groups.get(name) ?? []), waitingOf(problem, chain)]);
  }
  return [...groups.values()].map((nails) =>
    nails.map((own, n) =>
      own.map((light, i) => {
        const others = nails.flatMap((other, m) => (m === n ? [] : other));
        const alone = !others.some((other) => mayShare(light, other));
        return { mode: alone ? `${light.mode} ${n}/${i}` : light.mode, weight: weight(light.task) };
      }),
    ),
  );
}

interface Waiting {
  task: Task;
  mode: string;
  /** The last stroke before it, and how long the film may wait from its end. */
  stroke_s: number;
  left_s: number;
}

/** Light not held by hand, with what was laid for it. */
function waitingOf(problem: Problem, chain: Chain): Waiting[] {
  let stroke_s = 0;
  let left_s = Infinity;
  return chain.tasks.flatMap((task): Waiting[] => {
    if (task.light) {
      const waiting = { task, mode: task.light.mode, stroke_s, left_s };
      stroke_s = 0;
      left_s = Infinity;
      return task.held ? [] : [waiting];
    }
    stroke_s = handSeconds(problem, chain, task);
    left_s = Math.min(task.renews ? Infinity : left_s - stroke_s, task.open?.most_s ?? Infinity);
    return [];
  });
}

/** Whether one of two films can still wait while the last stroke on the other is done. */
function mayShare(a: Waiting, b: Waiting): boolean {
  return a.mode === b.mode && (b.stroke_s <= a.left_s || a.stroke_s <= b.left_s);
}

/** Shortest sequence of modes that holds each nail's: whatever waits for a mode goes along with it. */
function fewest(nails: readonly Light[][]): number {
  const known = new Map<string, number>();
  const from = (at: readonly number[]): number => {
    const key = at.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const next = new Set(nails.flatMap((lights, n) => lights[at[n]!]?.mode ?? []));
    const each = [...next].map(
      (mode) => 1 + from(at.map((i, n) => (nails[n]![i]?.mode === mode ? i + 1 : i))),
    );
    const least = each.length > 0 ? leastOf(each) : 0;
    known.set(key, least);
    return least;
  };
  return from(nails.map(() => 0));
}
