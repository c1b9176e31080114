import { lineUp } from '../compile/lineUp';
import { tied } from './joint';
import type { Chain, Problem } from './problem';

/**
 * The work parted where every order has to part it: all of a part is done before any of the next, as all hands are
 * sanitised before the first is filed. Each part holds the same chains, with what of their tasks belongs to it.
 */
export function inStages({ chains, precedences = [] }: Problem): Chain[][] {
  const { count, edges, nodeOf } = tied(chains, precedences);
  const line = lineUp(count, edges);
  if (!line || count === 0) return [[...chains]];
  const before = ancestors(count, edges, line);
  // Where exactly k have fewer than k before them, all others come after all of these.
  const fewer = new Int32Array(count + 1);
  for (const own of before) fewer[own + 1] = (fewer[own + 1] ?? 0) + 1;
  const cuts: number[] = [];
  for (let k = 1, sum = 0; k <= count; k += 1) {
    sum += fewer[k]!;
    if (sum === k) cuts.push(k);
  }
  const stage = before.map((own) => cuts.findIndex((cut) => own < cut));
  return cuts.map((_, s) =>
    chains.map((chain) => ({
      ...chain,
      tasks: chain.tasks.filter((task) => stage[nodeOf.get(task.operation)!] === s),
    })),
  );
}

/** How many come before each, at any remove. */
function ancestors(
  count: number,
  edges: readonly { first: number; then: number }[],
  line: readonly number[],
) {
  const sets = Array.from({ length: count }, () => new Set<number>());
  const parents: number[][] = Array.from({ length: count }, () => []);
  for (const { first, then } of edges) parents[then]!.push(first);
  for (const node of line)
    for (const parent of parents[node]!) {
      sets[node]!.add(parent);
      for (const one of sets[parent]!) sets[node]!.add(one);
    }
  return sets.map((set) => set.size);
}
