import { mostOf } from '../model/extent';
import { inStages } from './inStages';
import type { Chain, Problem } from './problem';

/**
 * The fewest changes of brush, in any order of work.
 *
 * Of stages each is done before the next. All strokes of one in the order in which they are done fall into runs of one class. Runs and changes are counted by what every
 * order has in common:
 * - work that is held is never parted, and changes within it cost nothing: of all changes between runs they are taken off;
 * - of a class there are at least as many runs as one nail has of it, and as many as begin, or end, within held work;
 * - of the classes of two nails there are at least as many runs as the shortest sequence has that holds both nails' in
 *   order, since what is left out of a sequence joins runs and parts none.
 */
export function leastChanges(problem: Problem, stages = inStages(problem)): number {
  const worked = stages
    .map((chains) => chains.map(heldBlocks).filter((blocks) => blocks.length > 0))
    .filter((nails) => nails.length > 0);
  const runs = worked.reduce((sum, nails) => sum + leastRuns(nails), 0);
  // The last run of one stage may go on as the first of the next.
  const joined = worked.slice(1).filter((nails, i) => {
    const last = worked[i]!.map((blocks) => blocks.at(-1)!.classes.at(-1)!);
    return nails.some((blocks) => last.includes(blocks[0]!.classes[0]!));
  });
  return Math.max(0, runs - joined.length - 1);
}

interface Block {
  classes: string[];
  joint: boolean;
}

/** The least that all runs of the nails of a stage come to, without the changes that cost nothing. */
function leastRuns(nails: readonly Block[][]): number {
  const begins = new Map<string, number>();
  const ends = new Map<string, number>();
  let within = 0;
  for (const { classes, joint } of nails.flat()) {
    classes.slice(1).forEach((to, k) => {
      count(begins, to);
      count(ends, classes[k]!);
    });
    within += classes.length - 1;
    // Done with other nails in one go, one change more may lie within.
    if (joint && classes.length > 1) within += 1;
  }
  const runs = nails.map((blocks) => runsOf(blocks.flatMap((block) => block.classes)));
  const least = new Map<string, number>();
  for (const own of runs) {
    const counts = new Map<string, number>();
    for (const name of own) count(counts, name);
    for (const [name, n] of counts)
      least.set(name, Math.max(n, least.get(name) ?? 0, begins.get(name) ?? 0, ends.get(name) ?? 0));
  }
  const inBoth = (a: readonly string[], b: readonly string[], apart: (name: string) => boolean) => {
    const shared = new Set([...a, ...b].filter((name) => !apart(name)));
    const of = (own: readonly string[]) => runsOf(own.filter((name) => shared.has(name)));
    let others = 0;
    for (const [name, n] of least) if (!shared.has(name)) others += n;
    return shortestSupersequence(of(a), of(b)) + others;
  };
  const all = mostOf(
    runs.flatMap((a, i) =>
      runs
        .slice(i)
        .flatMap((b) => [
          inBoth(a, b, () => false),
          inBoth(a, b, (name) => begins.has(name) || ends.has(name)),
        ]),
    ),
  );
  return all - within;
}

/** A nail's strokes, those that are held together as one, each as its runs of classes. */
function heldBlocks({ tasks }: Chain): Block[] {
  const blocks: Block[] = [];
  let open = false;
  for (const task of tasks) {
    if (task.light && !task.held) open = false;
    if (!task.held || !open) {
      if (task.light) continue;
      blocks.push({ classes: [], joint: task.together !== undefined });
      open = true;
    }
    const { classes } = blocks.at(-1)!;
    if (task.hand_s > 0 && classes.at(-1) !== task.class) classes.push(task.class);
  }
  return blocks.filter((block) => block.classes.length > 0);
}

function runsOf(classes: readonly string[]): string[] {
  return classes.filter((name, i) => name !== classes[i - 1]);
}

function count(counts: Map<string, number>, name: string): void {
  counts.set(name, (counts.get(name) ?? 0) + 1);
}

/** Length of the shortest sequence that holds both in order (dynamic programming, Wagner & Fischer 1974). */
function shortestSupersequence(a: readonly string[], b: readonly string[]): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1) {
      next.push(a[i - 1] === b[j - 1] ? row[j - 1]! + 1 : Math.min(row[j]!, next[j - 1]!) + 1);
    }
    row = next;
  }
  return row[b.length]!;
}
