import type { Hand } from '../model/names';
import { programme_s, type Chain, type Problem, type Schedule, type Task } from './problem';

/** How one run of the constructive scheduler decides where the problem leaves it free. */
export interface Policy {
  first: Hand;
  /** Stay on a hand until it goes into the lamp, or change whenever the other hand has earlier work. */
  stay: boolean;
  /** Finish the nails that will be filed before others get tacky, or let the others finish first. */
  filedFirst: boolean;
}

export const POLICIES: readonly Policy[] = (['left', 'right'] as const).flatMap((first) =>
  [true, false].flatMap((stay) => [true, false].map((filedFirst) => ({ first, stay, filedFirst }))),
);

/** Runs every policy on one lamp, two, … and keeps the shortest schedule; ties go to the first. */
export function construct(problem: Problem): Schedule {
  let best: Schedule | undefined;
  // A greedy run can do worse with a second lamp than with one; leaving it off is always allowed.
  for (let lamps = 1; lamps <= problem.lamps.length; lamps += 1) {
    const fewer = { ...problem, lamps: problem.lamps.slice(0, lamps) };
    for (const policy of POLICIES) {
      const schedule = runPolicy(fewer, policy);
      if (!best || better(schedule, best)) best = schedule;
    }
  }
  return best!;
}

function better(a: Schedule, b: Schedule): boolean {
  if (a.broken.length !== b.broken.length) return a.broken.length < b.broken.length;
  return a.total_s < b.total_s;
}

/** A short wait is worth having one nail more in the load. */
const WORTH_WAITING_S = 15;

interface NailState {
  chain: Chain;
  at: number;
  ready_s: number;
  wet: boolean;
  tacky: boolean;
  /** Latest start of the light its wet film waits for. */
  deadline_s: number;
}

interface Run {
  problem: Problem;
  policy: Policy;
  nails: NailState[];
  /** The nails that go into a lamp together. */
  groups: NailState[][];
  now: number;
  hand: Hand;
  lastClass: string | undefined;
  inLamp: Record<Hand, number>;
  lampFree: number[];
  /** For an operation, the others that must be done first; and when each was done. */
  needs: ReadonlyMap<string, readonly string[]>;
  doneAt: Map<string, number>;
  out: Schedule;
}

/**
 * An event-driven greedy run. Whatever can go into a free lamp goes; else the artist does the next piece of
 * work; else time moves to the next event. Where a constraint leaves nothing to do, the least bad work is done
 * and noted as broken, so that every problem gets a schedule.
 */
export function runPolicy(problem: Problem, policy: Policy): Schedule {
  const nails = problem.chains.map((chain): NailState => ({
    chain,
    at: 0,
    ready_s: 0,
    wet: false,
    tacky: false,
    deadline_s: Infinity,
  }));
  const run: Run = {
    problem,
    policy,
    nails,
    groups: groupsOf(problem, nails),
    now: 0,
    hand: policy.first,
    lastClass: undefined,
    inLamp: { left: 0, right: 0 },
    lampFree: problem.lamps.map(() => 0),
    needs: needsOf(problem),
    doneAt: new Map(),
    out: { strokes: [], loads: [], broken: [], total_s: 0 },
  };
  while (run.nails.some((nail) => nextTask(nail))) {
    if (loadSomething(run)) continue;
    const nail = chooseWork(run, false);
    if (nail) {
      doWork(run, nail);
      continue;
    }
    const event = nextEvent(run);
    if (event > run.now && Number.isFinite(event)) {
      run.now = event;
      continue;
    }
    if (loadSomething(run, true)) continue;
    const forced = chooseWork(run, true);
    if (!forced) break;
    run.out.broken.push({ operation: nextTask(forced)!.operation, kind: 'dust-beside-wet', seconds: 0 });
    doWork(run, forced);
  }
  const ends = [...run.out.strokes, ...run.out.loads].map((item) => item.end_s);
  run.out.total_s = Math.max(0, ...ends, ...run.nails.map((nail) => nail.ready_s));
  return run.out;
}

function needsOf(problem: Problem): Map<string, string[]> {
  const needs = new Map<string, string[]>();
  for (const { first, then } of problem.precedences ?? [])
    needs.set(then, [...(needs.get(then) ?? []), first]);
  return needs;
}

/** Whether all that the artist wants done before a task is done. */
function isFree(run: Run, task: Task): boolean {
  const needs = run.needs.get(task.operation);
  return !needs || needs.every((id) => (run.doneAt.get(id) ?? Infinity) <= run.now + 1e-9);
}

function nextTask(nail: NailState): Task | undefined {
  return nail.chain.tasks[nail.at];
}

function groupsOf(problem: Problem, all: readonly NailState[]): NailState[][] {
  const hands: Hand[] = ['left', 'right'];
  return hands.flatMap((hand) => {
    const nails = all.filter((nail) => nail.chain.hand === hand);
    return problem.thumbs === 'apart'
      ? [nails.filter((nail) => !nail.chain.thumb), nails.filter((nail) => nail.chain.thumb)]
      : [nails];
  });
}

/** Puts a group of nails into a free lamp where that is right now; true when it did. */
function loadSomething(run: Run, force = false): boolean {
  const lamp = run.lampFree.findIndex((free) => free <= run.now);
  if (lamp < 0) return false;
  // A film that runs soonest is served first.
  const groups = [...run.groups].sort((a, b) => deadlineOf(a) - deadlineOf(b));
  for (const group of groups) {
    const hand = group[0]?.chain.hand;
    if (!hand || run.inLamp[hand] > run.now) continue;
    const waiting = group.filter((nail) => {
      const task = nextTask(nail);
      return task?.light && nail.ready_s <= run.now && isFree(run, task);
    });
    if (waiting.length === 0) continue;
    // On one's own hands the other hand holds this one in the lamp, so it must be out of it too.
    if (run.problem.wearer === 'own' && run.inLamp[other(hand)] > run.now) continue;
    const flashing = waiting.filter((nail) => nextTask(nail)!.light!.mode === 'flash');
    const served = flashing.length > 0 ? flashing : waiting;
    if (!force && !isTime(run, group, waiting)) continue;
    const end = run.now + demand_s(run, lamp, served);
    if (
      !force &&
      run.nails.some(
        (nail) => !group.includes(nail) && nail.deadline_s < end && nail.deadline_s < deadlineOf(group),
      )
    ) {
      continue;
    }
    load(run, lamp, hand, group, served);
    return true;
  }
  return false;
}

function deadlineOf(nails: readonly NailState[]): number {
  return Math.min(Infinity, ...nails.map((nail) => nail.deadline_s));
}

function demand_s(run: Run, lamp: number, served: readonly NailState[]): number {
  const demand = Math.max(...served.map((nail) => nextTask(nail)!.light!.seconds));
  return programme_s(run.problem.lamps[lamp]!.programmes_s, demand);
}

/** A load closes when no more work can join it soon, or when a wet film would run. */
function isTime(run: Run, group: NailState[], waiting: NailState[]): boolean {
  const joining = group.filter((nail) => {
    const task = nextTask(nail);
    if (!task || task.light) return false;
    return nail.ready_s <= run.now + WORTH_WAITING_S && mayWork(run, nail, task);
  });
  if (joining.length === 0) return true;
  if (joining.some((nail) => nail.wet)) return false;
  const deadline = Math.min(...waiting.map((nail) => nail.deadline_s));
  const shortest = Math.min(
    ...joining.map(
      (nail) => Math.max(0, nail.ready_s - run.now) + work_s(run, nail) + changeover_s(run, nextTask(nail)!),
    ),
  );
  return run.now + shortest > deadline;
}

function load(run: Run, lamp: number, hand: Hand, group: NailState[], served: NailState[]): void {
  const end = run.now + demand_s(run, lamp, served);
  run.out.loads.push({
    lamp: run.problem.lamps[lamp]!.id,
    hand,
    nails: group.map((nail) => nail.chain.nail),
    operations: served.map((nail) => nextTask(nail)!.operation),
    mode: nextTask(served[0]!)!.light!.mode,
    start_s: run.now,
    end_s: end,
  });
  run.lampFree[lamp] = end;
  run.inLamp[hand] = end;
  for (const nail of served) {
    const late = run.now - nail.deadline_s;
    const laid = nail.chain.tasks[nail.at - 1];
    if (late > 1e-6 && laid) {
      run.out.broken.push({ operation: laid.operation, kind: 'open-too-long', seconds: late });
    }
    finish(run, nail, nextTask(nail)!, end);
  }
}

function finish(run: Run, nail: NailState, task: Task, end: number): void {
  run.doneAt.set(task.operation, end);
  nail.at += 1;
  nail.ready_s = end + task.wait_s;
  nail.wet = task.wet;
  nail.tacky = task.tacky;
  nail.deadline_s = task.open_s === undefined ? (task.light ? Infinity : nail.deadline_s) : end + task.open_s;
}

function other(hand: Hand): Hand {
  return hand === 'left' ? 'right' : 'left';
}

function mayWork(run: Run, nail: NailState, task: Task): boolean {
  const { hand } = nail.chain;
  if (run.inLamp[hand] > run.now || !isFree(run, task)) return false;
  if (run.problem.wearer === 'own') {
    if (run.inLamp[other(hand)] > run.now) return false;
    if (run.nails.some((n) => n.chain.hand !== hand && n.wet)) return false;
  }
  if (task.open_s !== undefined) {
    // What runs is laid only when the lamp will be free in time, and not beside another that is running.
    const light = run.now + run.problem.changeover_s + task.hand_s * run.problem.slower[hand] + task.open_s;
    if (Math.min(...run.lampFree) > light) return false;
    if (run.nails.some((n) => n.chain.hand !== hand && Number.isFinite(n.deadline_s))) return false;
  }
  const beside = run.nails.filter((n) => n !== nail && n.chain.hand === hand);
  if (task.dusty && beside.some((n) => n.wet || n.tacky)) return false;
  // Nails that still wait for the file keep the others from getting tacky, as far as they have dry work left.
  if (run.policy.filedFirst && task.wet && !nail.wet) {
    return !beside.some((n) => dustAhead(n) && !dustAhead(nail));
  }
  return true;
}

/** Whether dust still comes from this nail before its next light, or at all where it is past its last cure. */
function dustAhead(nail: NailState): boolean {
  for (let i = nail.at; i < nail.chain.tasks.length; i += 1) {
    if (nail.chain.tasks[i]!.dusty) return true;
  }
  return false;
}

function work_s(run: Run, nail: NailState): number {
  return nextTask(nail)!.hand_s * run.problem.slower[nail.chain.hand];
}

function changeover_s(run: Run, task: Task): number {
  return task.hand_s > 0 && run.lastClass !== undefined && run.lastClass !== task.class
    ? run.problem.changeover_s
    : 0;
}

function chooseWork(run: Run, force: boolean): NailState | undefined {
  let best: NailState | undefined;
  let bestKey: number[] = [];
  run.nails.forEach((nail, index) => {
    const task = nextTask(nail);
    if (!task || task.light || nail.ready_s > run.now || !isFree(run, task)) return;
    if (run.inLamp[nail.chain.hand] > run.now) return;
    if (!force && !mayWork(run, nail, task)) return;
    const key = [
      run.policy.stay && nail.chain.hand !== run.hand ? 1 : 0,
      nail.wet ? 0 : 1,
      task.rank,
      task.class === run.lastClass ? 0 : 1,
      nail.chain.hand === run.hand ? 0 : 1,
      index,
    ];
    if (!best || smaller(key, bestKey)) {
      best = nail;
      bestKey = key;
    }
  });
  return best;
}

function smaller(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < a.length; i += 1) {
    if (a[i] !== b[i]) return a[i]! < b[i]!;
  }
  return false;
}

function doWork(run: Run, nail: NailState): void {
  const task = nextTask(nail)!;
  const changeover = changeover_s(run, task);
  const start = run.now + changeover;
  const end = start + work_s(run, nail);
  if (task.hand_s > 0) {
    run.out.strokes.push({
      operation: task.operation,
      nail: nail.chain.nail,
      hand: nail.chain.hand,
      start_s: start,
      end_s: end,
      changeover_s: changeover,
    });
    run.lastClass = task.class;
    run.now = end;
  }
  run.hand = nail.chain.hand;
  finish(run, nail, task, end);
}

function nextEvent(run: Run): number {
  const times = [
    run.inLamp.left,
    run.inLamp.right,
    ...run.lampFree,
    ...run.nails.map((nail) => nail.ready_s),
  ];
  return Math.min(...times.filter((time) => time > run.now));
}
