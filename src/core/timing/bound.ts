import type { Hand } from '../model/names';
import { programme_s, type Chain, type Problem, type Task } from './problem';

/**
 * A time no schedule can beat: the largest of several relaxations, each of which leaves out some constraint.
 * Valid for any order of work, any grouping of cures and any programme of the lamps.
 */
export function lowerBound_s(problem: Problem): number {
  const { chains } = problem;
  if (chains.length === 0) return 0;
  const work = chains.reduce((sum, chain) => sum + work_s(problem, chain), 0);
  const changeovers = leastChangeovers(problem) * problem.changeover_s;
  const hands: Hand[] = ['left', 'right'];
  const loads = hands.map((hand) =>
    lightOf(
      problem,
      chains.filter((chain) => chain.hand === hand),
    ),
  );
  // Thumbs may share a load where they do not go in with their fingers.
  const lamps =
    loads[0]!.fingers +
    loads[1]!.fingers +
    (problem.thumbs === 'together'
      ? Math.max(loads[0]!.thumb, loads[1]!.thumb)
      : loads[0]!.thumb + loads[1]!.thumb);

  const bounds = [
    // The artist's work, with the least that can still follow the very last stroke.
    work + changeovers + Math.min(...chains.map((chain) => tail_s(problem, chain))),
    // A hand is worked on or in the lamp, never both.
    ...hands.map((hand, h) => {
      const own = chains
        .filter((chain) => chain.hand === hand)
        .reduce((sum, chain) => sum + work_s(problem, chain), 0);
      return own + loads[h]!.fingers + loads[h]!.thumb;
    }),
    // The lamps' work after the earliest moment that anything can go in.
    earliestLight_s(problem) + lamps / problem.lamps.length,
    // The longest chain.
    ...chains.map((chain) => chain.tasks.reduce((sum, task) => sum + task_s(problem, chain, task), 0)),
  ];
  // On one's own hands nothing is worked on while either is in the lamp; a brush can still be changed.
  if (problem.wearer === 'own') bounds.push(work + lamps);
  return Math.max(...bounds);
}

/** Loads without which the longest chain of each group cannot be done; light held by hand is none. */
export function leastLoads(problem: Problem): number {
  const groups = new Map<string, number>();
  for (const chain of problem.chains) {
    const name =
      !chain.thumb || problem.thumbs === 'with-fingers'
        ? chain.hand
        : problem.thumbs === 'together'
          ? 'thumbs'
          : `${chain.hand} thumb`;
    const count = chain.tasks.filter((task) => task.light && !task.held).length;
    groups.set(name, Math.max(groups.get(name) ?? 0, count));
  }
  return [...groups.values()].reduce((sum, count) => sum + count, 0);
}

/** The shortest any lamp can be on for a task; light held by hand keeps the artist busy as well. */
function shone_s(problem: Problem, task: Task): number {
  if (!task.light) return 0;
  return Math.min(...problem.lamps.map((lamp) => programme_s(lamp.programmes_s, task.light!.seconds)));
}

function work_s(problem: Problem, chain: Chain): number {
  return chain.tasks.reduce(
    (sum, task) => sum + task.hand_s * problem.slower[chain.hand] + (task.held ? shone_s(problem, task) : 0),
    0,
  );
}

function task_s(problem: Problem, chain: Chain, task: Task): number {
  return task.hand_s * problem.slower[chain.hand] + shone_s(problem, task) + task.wait_s;
}

/** What is left of a chain after its last stroke. */
function tail_s(problem: Problem, chain: Chain): number {
  let tail = 0;
  for (let i = chain.tasks.length - 1; i >= 0; i -= 1) {
    const task = chain.tasks[i]!;
    if (task.hand_s > 0 || (task.held && task.light)) return tail + task.wait_s;
    tail += shone_s(problem, task) + task.wait_s;
  }
  return tail;
}

/**
 * The fewest changes of brush: of any two nails' work one order is a common supersequence of both, and what is
 * done on other nails between only adds to it.
 */
function leastChangeovers(problem: Problem): number {
  const runs = problem.chains.map(classRuns);
  let least = Math.max(0, new Set(runs.flat()).size - 1);
  for (let i = 0; i < runs.length; i += 1) {
    for (let j = i; j < runs.length; j += 1)
      least = Math.max(least, shortestSupersequence(runs[i]!, runs[j]!) - 1);
  }
  return least;
}

function classRuns(chain: Chain): string[] {
  const classes = chain.tasks.filter((task) => task.hand_s > 0).map((task) => task.class);
  return classes.filter((name, i) => name !== classes[i - 1]);
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

/** Seconds a hand must spend in the lamp: its fingers' longest chain of light, plus the thumb's where it goes alone. */
function lightOf(problem: Problem, chains: readonly Chain[]): { fingers: number; thumb: number } {
  const light = (chain: Chain) =>
    chain.tasks.reduce((sum, task) => sum + (task.held ? 0 : shone_s(problem, task)), 0);
  const alone = problem.thumbs !== 'with-fingers';
  const fingers = Math.max(0, ...chains.filter((chain) => !alone || !chain.thumb).map(light));
  const thumb = Math.max(0, ...chains.filter((chain) => alone && chain.thumb).map(light));
  return { fingers, thumb };
}

/** The earliest moment at which any nail can need the lamp. */
function earliestLight_s(problem: Problem): number {
  let earliest = Infinity;
  for (const chain of problem.chains) {
    let before = 0;
    for (const task of chain.tasks) {
      if (task.light) {
        earliest = Math.min(earliest, before);
        break;
      }
      before += task_s(problem, chain, task);
    }
  }
  return Number.isFinite(earliest) ? earliest : 0;
}
