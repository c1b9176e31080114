import type { Hand } from '../model/names';
import type { Chain, Problem, Task } from './problem';

/**
 * A time no schedule can beat: the largest of several relaxations, each of which leaves out some constraint.
 * Valid for any order of work, any grouping of cures and any programme of the lamps.
 */
export function lowerBound_s(problem: Problem): number {
  const { chains } = problem;
  if (chains.length === 0) return 0;
  const all = [...work(problem)];
  const handWork = all.reduce((sum, one) => sum + one.seconds, 0);
  const changeovers = Math.max(0, new Set(all.map((one) => one.class)).size - 1) * problem.changeover_s;
  const hands: Hand[] = ['left', 'right'];
  const loads = hands.map((hand) =>
    lightOf(
      problem,
      chains.filter((chain) => chain.hand === hand),
    ),
  );

  const bounds = [
    // The artist's work, with the least that can still follow the very last stroke.
    handWork + changeovers + Math.min(...chains.map(tail_s)),
    // A hand is worked on or in the lamp, never both.
    ...hands.map((hand, h) => {
      const own = all.filter((one) => one.hand === hand).reduce((sum, one) => sum + one.seconds, 0);
      return own + loads[h]!.total;
    }),
    // The lamps' work after the earliest moment that anything can go in. Both thumbs may share a load.
    earliestLight_s(problem) +
      (loads[0]!.fingers + loads[1]!.fingers + Math.max(loads[0]!.thumb, loads[1]!.thumb)) /
        problem.lamps.length,
    // The longest chain.
    ...chains.map((chain) => chain.tasks.reduce((sum, task) => sum + task_s(problem, chain, task), 0)),
  ];
  // On one's own hands nothing is worked on while either is in the lamp.
  if (problem.wearer === 'own') bounds.push(handWork + changeovers + loads[0]!.total + loads[1]!.total);
  return Math.max(...bounds);
}

function* work(problem: Problem): Generator<{ hand: Hand; class: string; seconds: number }> {
  for (const chain of problem.chains) {
    for (const task of chain.tasks) {
      if (task.hand_s > 0) {
        yield { hand: chain.hand, class: task.class, seconds: task.hand_s * problem.slower[chain.hand] };
      }
    }
  }
}

function task_s(problem: Problem, chain: Chain, task: Task): number {
  return task.hand_s * problem.slower[chain.hand] + (task.light?.seconds ?? 0) + task.wait_s;
}

/** What is left of a chain after its last stroke. */
function tail_s(chain: Chain): number {
  let tail = 0;
  for (let i = chain.tasks.length - 1; i >= 0; i -= 1) {
    const task = chain.tasks[i]!;
    tail += (task.light?.seconds ?? 0) + task.wait_s;
    if (task.hand_s > 0) return tail;
  }
  return tail;
}

/** Seconds a hand must spend in the lamp: its fingers' longest chain of light, plus the thumb's where it goes apart. */
function lightOf(
  problem: Problem,
  chains: readonly Chain[],
): { fingers: number; thumb: number; total: number } {
  const light = (chain: Chain) => chain.tasks.reduce((sum, task) => sum + (task.light?.seconds ?? 0), 0);
  const apart = problem.thumbs === 'apart';
  const fingers = Math.max(0, ...chains.filter((chain) => !apart || !chain.thumb).map(light));
  const thumb = Math.max(0, ...chains.filter((chain) => apart && chain.thumb).map(light));
  return { fingers, thumb, total: fingers + thumb };
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
