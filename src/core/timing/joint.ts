import type { Precedence } from '../compile/acrossNails';
import { lineUp, type Edge } from '../compile/lineUp';
import { without } from '../model/without';
import type { Chain, Task } from './problem';

/**
 * Work done together only as far as every nail's own order allows. Where two joint works stand the other way round
 * on some nail, neither could ever be begun; there each falls apart into the nails whose orders agree, and where that
 * is not enough, into single nails. What is not in a circle stays together.
 */
export function fallApart(chains: readonly Chain[], precedences: readonly Precedence[]): Chain[] {
  const apart = parted(chains, inCircles(chains, precedences), (mark, before) => `${mark} after ${before}`);
  return parted(apart, inCircles(apart, precedences), () => undefined);
}

/** Whether all that is done together, in one go or in a nail's order can be lined up beside these statements. */
export function canLineUp(chains: readonly Chain[], precedences: readonly Precedence[]): boolean {
  const { count, edges } = tied(chains, precedences);
  return lineUp(count, edges) !== undefined;
}

/** The chains with the joint works among some steps marked anew, by what of these steps a nail has before them. */
function parted(
  chains: readonly Chain[],
  circular: ReadonlySet<string>,
  anew: (mark: string, before: string) => string | undefined,
): Chain[] {
  if (circular.size === 0) return [...chains];
  return chains.map((chain) => {
    const before: string[] = [];
    const tasks = chain.tasks.map((task): Task => {
      if (!circular.has(task.operation)) return task;
      const own = task.together ?? task.operation.slice(chain.nail.length);
      const together = task.together && anew(task.together, before.join());
      before.push(own);
      return together === undefined ? without(task, 'together') : { ...task, together };
    });
    return { ...chain, tasks };
  });
}

/** Steps that lie in a circle, or between two. */
function inCircles(chains: readonly Chain[], precedences: readonly Precedence[]): Set<string> {
  const { count, edges, nodeOf } = tied(chains, precedences);
  const left = trimmed(count, edges);
  return new Set([...nodeOf].flatMap(([operation, node]) => (left.has(node) ? [operation] : [])));
}

/** What is left when everything is taken away that nothing left comes before, or after. */
function trimmed(count: number, edges: readonly Edge[]): Set<number> {
  const left = new Set(Array.from({ length: count }, (_, i) => i));
  for (let before = -1; before !== left.size;) {
    before = left.size;
    const among = edges.filter(({ first, then }) => left.has(first) && left.has(then));
    const follow = new Set(among.map(({ then }) => then));
    const lead = new Set(among.map(({ first }) => first));
    for (const node of left) if (!follow.has(node) || !lead.has(node)) left.delete(node);
  }
  return left;
}

interface Tied {
  count: number;
  edges: Edge[];
  nodeOf: Map<string, number>;
}

/** Chains and statements as edges between what is done in one go: joint work is one, held work is one. */
export function tied(chains: readonly Chain[], precedences: readonly Precedence[]): Tied {
  const marks = new Map<string, number>();
  const nodeOf = new Map<string, number>();
  const edges: Edge[] = [];
  let count = 0;
  const link = (first: number, then: number) => {
    if (first !== then) edges.push({ first, then });
  };
  for (const { tasks } of chains) {
    let before = -1;
    for (const task of tasks) {
      let node = task.held && before >= 0 ? before : undefined;
      if (node === undefined && task.together !== undefined) node = marks.get(task.together);
      node ??= count++;
      if (task.together !== undefined && !marks.has(task.together)) marks.set(task.together, node);
      nodeOf.set(task.operation, node);
      if (before >= 0) link(before, node);
      before = node;
    }
  }
  for (const { first, then } of precedences) {
    const [a, b] = [nodeOf.get(first), nodeOf.get(then)];
    if (a !== undefined && b !== undefined) link(a, b);
  }
  return { count, edges, nodeOf };
}
