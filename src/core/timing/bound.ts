import { leastOf, mostOf } from '../model/extent';
import { HANDS } from '../model/names';
import { endOfDone_s, restOf } from './begun';
import { shortestOfAll_s } from './everyOrder';
import { inStages } from './inStages';
import { leastChanges } from './leastChanges';
import { inLoads, type Light } from './leastLoads';
import { handSeconds, inLamp_s, type Chain, type Problem, type Task } from './problem';

/**
 * A time no schedule can beat: of a few nails the shortest of all orders, else the largest of several relaxations, each of
 * which leaves out some constraint. Valid for any order of work, any grouping of cures and any programme of the lamps. Of a sitting under way: what is still to do,
 * from its moment on.
 */
export function lowerBound_s({ begun, ...problem }: Problem): number {
  if (!begun) return least_s(problem);
  const rest = restOf(problem, begun);
  const done_s = endOfDone_s(begun);
  return rest.chains.length === 0 ? done_s : Math.max(done_s, begun.now_s + least_s(rest));
}

function least_s(problem: Problem): number {
  const { chains } = problem;
  if (chains.length === 0) return 0;
  return shortestOfAll_s(problem) ?? relaxedBound_s(problem);
}

/** The same where the orders are too many to try: the largest of what each relaxation leaves. */
export function relaxedBound_s(problem: Problem): number {
  const { chains } = problem;
  const work = chains.reduce((sum, chain) => sum + work_s(problem, chain), 0);
  const stages = inStages(problem);
  const changeovers = leastChanges(problem, stages) * problem.changeover_s;
  const lamps = longestLight(problem, stages);

  const bounds = [
    // The artist's work, with the least that can still follow the very last stroke.
    work + changeovers + leastOf(chains.map((chain) => tail_s(problem, chain))),
    work + changeovers + beforeClosing_s(problem),
    // A hand is worked on or in the lamp, never both.
    ...HANDS.map((hand) => {
      const own = chains.filter((chain) => chain.hand === hand);
      const light = longestLight(
        problem,
        stages.map((stage) => stage.filter((chain) => chain.hand === hand)),
      );
      return own.reduce((sum, chain) => sum + work_s(problem, chain), light);
    }),
    // The lamps' work after the earliest moment that anything can go in.
    earliestLight_s(problem) + lamps / problem.lamps.length,
    // The longest chain, with its own changes of brush.
    ...chains.map((chain) => chain_s(problem, chain)),
  ];
  // On one's own hands nothing is worked on while either is in the lamp; a brush can still be changed.
  if (problem.wearer === 'own') bounds.push(work + lamps);
  return mostOf(bounds);
}

/**
 * Light that cannot be shared, summed over stages and what goes into a lamp together: of any two nails of a group the
 * least that serves both, as a load is a flash or a cure, and serves each nail once. Light held by hand is no load.
 */
function longestLight(problem: Problem, stages: readonly (readonly Chain[])[]): number {
  const shone = (task: Task) => shone_s(problem, task);
  return stages.reduce(
    (sum, chains) =>
      inLoads(problem, chains, shone).reduce((most, nails) => most + mostOfPairs(nails, leastForBoth), sum),
    0,
  );
}

/** The least weight of loads that serve two nails in order: an alignment in which only like modes are shared. */
function leastForBoth(a: readonly Light[], b: readonly Light[]): number {
  let row = [0];
  for (const one of b) row.push(row.at(-1)! + one.weight);
  for (const one of a) {
    const next = [row[0]! + one.weight];
    b.forEach((other, j) => {
      const shared = one.mode === other.mode ? row[j]! + Math.max(one.weight, other.weight) : Infinity;
      next.push(Math.min(shared, row[j + 1]! + one.weight, next[j]! + other.weight));
    });
    row = next;
  }
  return row[b.length]!;
}

/** The largest of a figure over all pairs, each one with itself included. */
function mostOfPairs<T>(all: readonly T[], of: (a: T, b: T) => number): number {
  return Math.max(0, mostOf(all.flatMap((a, i) => all.slice(i).map((b) => of(a, b)))));
}

/** The shortest any lamp can be on for a task; light held by hand keeps the artist busy as well. */
function shone_s(problem: Problem, task: Task): number {
  if (!task.light) return 0;
  return leastOf(problem.lamps.map((lamp) => inLamp_s(lamp.programmes_s, task.light!)));
}

function work_s(problem: Problem, chain: Chain): number {
  return chain.tasks.reduce(
    (sum, task) => sum + handSeconds(problem, chain, task) + (task.held ? shone_s(problem, task) : 0),
    0,
  );
}

/** A nail's work and light in turn; between two strokes with neither light nor wait, a change of brush shows. */
function chain_s(problem: Problem, chain: Chain): number {
  let brush: string | undefined;
  let meanwhile_s = 0;
  return chain.tasks.reduce((sum, task) => {
    const whole_s = task_s(problem, chain, task);
    if (task.hand_s === 0) {
      meanwhile_s += task.held && task.light ? 0 : whole_s;
      return sum + whole_s;
    }
    const changes = brush !== undefined && brush !== task.class && !task.held;
    const change_s = changes ? Math.max(0, problem.changeover_s - meanwhile_s) : 0;
    brush = task.class;
    meanwhile_s = task.wait_s;
    return sum + change_s + whole_s;
  }, 0);
}

function task_s(problem: Problem, chain: Chain, task: Task): number {
  return handSeconds(problem, chain, task) + shone_s(problem, task) + task.wait_s;
}

/**
 * What closes all nails in one go, as oil does, waits for the last nail's light. Of what the artist stands idle
 * then, only one change of brush can be done meanwhile; of a wait after it, closing work on the other nails too.
 */
function beforeClosing_s(problem: Problem): number {
  const { chains } = problem;
  const closing = chains.map((chain) => chain.tasks.at(-1)!);
  const mark = closing[0]?.together;
  if (mark === undefined || closing.some((task) => task.together !== mark)) return 0;
  return leastOf(
    chains.map((last) => {
      const before = { ...last, tasks: last.tasks.slice(0, -1) };
      const others = before.tasks.at(-1)?.wait_s ? chains.filter((chain) => chain !== last) : [];
      const meanwhile = others.reduce(
        (sum, chain) => sum + handSeconds(problem, chain, chain.tasks.at(-1)!),
        0,
      );
      return Math.max(0, tail_s(problem, before) - meanwhile - problem.changeover_s);
    }),
  );
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
