import { HANDS } from '../model/names';
import { handSeconds, lampGroup, inLamp_s, type Broken, type Problem, type Task } from './problem';

/**
 * A problem laid out in flat arrays, so that a sequence is played in microseconds. Steps are the tasks of all
 * chains end to end; an activity is work that is never parted: a stroke with what is held after it, or the same
 * work on several nails done together.
 */
export interface Board {
  problem: Problem;
  /** First step of each chain; one more at the end. */
  from: Int32Array;
  /** By chain: its first step that is not done yet. */
  begins: Int32Array;
  /** By step: when it was done, where it is. */
  doneAt: Float64Array;
  hand: Uint8Array;
  /** Group that goes into a lamp together. */
  group: Uint8Array;
  groups: Int32Array[];
  /** By group: nails of both hands. */
  acrossHands: Uint8Array;
  /** By step: 0 work, 1 flash, 2 cure. */
  mode: Uint8Array;
  act: Int32Array;
  light_s: Float64Array;
  /** By step: how long it keeps the artist's hands busy. */
  hand_s: Float64Array;
  wait_s: Float64Array;
  wet: Uint8Array;
  tacky: Uint8Array;
  /** Makes its nail sticky, where others only leave it so: a nail wiped meanwhile stays wiped. */
  sticks: Uint8Array;
  dust: Uint8Array;
  soft: Uint8Array;
  unfit: Uint8Array;
  form: Uint8Array;
  /** By step: what it leaves soft is hard once its wait is over. */
  settles: Uint8Array;
  wipeable: Uint8Array;
  openGuide_s: Float64Array;
  renews: Uint8Array;
  openMost_s: Float64Array;
  dueGuide_s: Float64Array;
  dueMost_s: Float64Array;
  /** By step: what is due is the very next work, wet or not. */
  dueNext: Uint8Array;
  /** By step: what it is called when it comes too late. */
  dueKind: (Broken['kind'] | undefined)[];
  /** Hand work from this step on until the nail's next light. */
  toLight_s: Float64Array;
  /** By step: the nail's next light, or −1. */
  itsLight: Int32Array;
  activities: Activity[];
  /** Seconds each lamp runs, by lamp and step. */
  run_s: Float64Array[];
  wipeClass: number;
  /** How many works there are; wiping a nail in passing is the last. */
  works: number;
  /** The lamp that is held to one nail by hand, or −1. */
  torch: number;
  /** What lights wait for, by step. */
  lightNeeds: Map<number, number[]>;
  /** The nail of each step. */
  chainOf: Uint8Array;
}

export interface Activity {
  /** 0 left, 1 right, 2 both. */
  hand: number;
  class: number;
  lastClass: number;
  /** The same work on any hand has the same number. */
  work: number;
  /** More than a rest. */
  dusty: boolean;
  /** Makes its nails wet or sticky. */
  lays: boolean;
  /** Puts a form or mould on. */
  forms: boolean;
  parts: Part[];
  /** Steps of other nails that the artist wants done before. */
  needs: number[];
  rank: number;
}

/** What an activity does on one nail: some work, at times with light held by hand within it. */
export interface Part {
  chain: number;
  step: number;
  /** Steps it takes the nail on by. */
  steps: number;
  /** Work up to its first light, or all of it. */
  hand_s: number;
  /** Work after its first light. */
  rest_s: number;
  /** The step of its first light, or −1. */
  heldLight: number;
  /** What is the same work on other nails; −1 where it takes no time. */
  work: number;
}

export function boardOf(problem: Problem): Board {
  const { chains } = problem;
  const tasks = chains.flatMap((chain) => chain.tasks);
  const from = new Int32Array(chains.length + 1);
  chains.forEach((chain, c) => (from[c + 1] = from[c]! + chain.tasks.length));
  const classes = new Map<string, number>();
  const classOf = (name: string) => {
    if (!classes.has(name)) classes.set(name, classes.size);
    return classes.get(name)!;
  };
  const { group, groups } = groupsOf(problem);
  const flag = (of: (task: Task) => boolean | undefined) =>
    Uint8Array.from(tasks, (task) => (of(task) ? 1 : 0));
  const figure = (of: (task: Task) => number | undefined, none = 0) =>
    Float64Array.from(tasks, (task) => of(task) ?? none);
  const hand = Uint8Array.from(chains, (chain) => HANDS.indexOf(chain.hand));
  const board: Board = {
    problem,
    from,
    ...doneOf(problem, from),
    hand,
    group,
    groups,
    acrossHands: Uint8Array.from(groups, (one) => (one.some((c) => hand[c] !== hand[one[0]!]) ? 1 : 0)),
    mode: Uint8Array.from(tasks, (task) => (!task.light ? 0 : task.light.mode === 'flash' ? 1 : 2)),
    act: new Int32Array(tasks.length).fill(-1),
    light_s: figure((task) => task.light?.seconds),
    hand_s: Float64Array.from(
      chains.flatMap((chain) => chain.tasks.map((task) => handSeconds(problem, chain, task))),
    ),
    wait_s: figure((task) => task.wait_s),
    wet: flag((task) => task.wet),
    tacky: flag((task) => task.tacky),
    sticks: Uint8Array.from(
      chains.flatMap(({ tasks: own }) =>
        own.map((task, i) => (task.tacky && (task.light || !own[i - 1]?.tacky) ? 1 : 0)),
      ),
    ),
    dust: flag((task) => task.dust),
    soft: flag((task) => task.soft),
    unfit: flag((task) => task.unfit),
    form: flag((task) => task.form),
    settles: flag((task) => task.settles),
    wipeable: flag((task) => task.wipeable),
    renews: flag((task) => task.renews === true),
    openGuide_s: figure((task) => task.open?.guide_s, Infinity),
    openMost_s: figure((task) => task.open?.most_s, Infinity),
    dueGuide_s: figure((task) => task.due?.guide_s, Infinity),
    dueMost_s: figure((task) => task.due?.most_s, Infinity),
    dueNext: flag((task) => task.due?.to === 'next'),
    dueKind: tasks.map((task) => task.due?.kind),
    torch: problem.lamps.findIndex((lamp) => lamp.torch === true),
    toLight_s: new Float64Array(tasks.length),
    itsLight: new Int32Array(tasks.length).fill(-1),
    activities: [],
    run_s: problem.lamps.map((lamp) =>
      figure((task) => {
        if (!task.light) return 0;
        // A torch lights the one nail that is held to it, for a flash.
        if (lamp.torch && !task.held && task.light.mode !== 'flash') return Infinity;
        return inLamp_s(lamp.programmes_s, task.light);
      }),
    ),
    wipeClass: problem.wipe ? classOf(problem.wipe.class) : -1,
    works: 1,
    lightNeeds: new Map(),
    chainOf: Uint8Array.from(chains.flatMap((chain, c) => chain.tasks.map(() => c))),
  };
  layActivities(board, tasks, classOf);
  for (let c = 0; c < chains.length; c += 1) {
    let ahead = 0;
    let light = -1;
    for (let s = from[c + 1]! - 1; s >= from[c]!; s -= 1) {
      ahead = board.mode[s] === 0 ? ahead + board.hand_s[s]! : 0;
      if (board.mode[s] !== 0) light = s;
      board.toLight_s[s] = ahead;
      board.itsLight[s] = light;
    }
  }
  followPrecedences(board, tasks);
  return board;
}

/**
 * How far each nail has come in a sitting that is under way: the steps from its first on that have an end, and rests, which
 * pass by themselves.
 */
function doneOf({ chains, begun }: Problem, from: Int32Array): Pick<Board, 'begins' | 'doneAt'> {
  const begins = Int32Array.from(from.slice(0, -1));
  const doneAt = new Float64Array(from[chains.length]!);
  if (!begun) return { begins, doneAt };
  const ends = new Map(begun.strokes.map(({ operation, end_s }) => [operation, end_s]));
  for (const { operations, end_s } of begun.loads) for (const one of operations) ends.set(one, end_s);
  chains.forEach(({ tasks }, c) => {
    for (const task of tasks) {
      const s = begins[c]!;
      const rests = task.hand_s === 0 && !task.light && s > from[c]!;
      // Time that only passes has begun once what comes before it has had its own wait.
      const rested_s = rests ? doneAt[s - 1]! + tasks[s - 1 - from[c]!]!.wait_s : Infinity;
      const end_s = ends.get(task.operation) ?? (rested_s <= begun.now_s ? rested_s : undefined);
      if (end_s === undefined) break;
      doneAt[s] = end_s;
      begins[c]! += 1;
    }
  });
  return { begins, doneAt };
}

function groupsOf(problem: Problem): { group: Uint8Array; groups: Int32Array[] } {
  const mark = problem.chains.map((chain) => lampGroup(chain, problem.thumbs));
  const names = [...new Set(mark)];
  return {
    group: Uint8Array.from(mark, (one) => names.indexOf(one)),
    groups: names.map((name) => Int32Array.from(mark.flatMap((one, c) => (one === name ? [c] : [])))),
  };
}

function layActivities(board: Board, tasks: readonly Task[], classOf: (name: string) => number): void {
  const { from, begins, problem } = board;
  const joint = new Map<string, number>();
  const works = new Map<string, number>();
  const workOf = (first: number, steps: number) => {
    const name = tasks
      .slice(first, first + steps)
      .filter((task) => !task.light)
      .map((task) => task.work ?? task.class)
      .join('|');
    if (!works.has(name)) works.set(name, works.size);
    return works.get(name)!;
  };
  for (let c = 0; c < problem.chains.length; c += 1) {
    for (let s = begins[c]!; s < from[c + 1]!; s += 1) {
      const task = tasks[s]!;
      if (task.light) continue;
      let steps = 1;
      let heldLight = -1;
      const work_s = [0, 0];
      work_s[0]! += board.hand_s[s]!;
      let wait_s = task.wait_s;
      while (s + steps < from[c + 1]! && tasks[s + steps]!.held) {
        const next = s + steps;
        // What is held on after a wait begins when that is over.
        if (tasks[next]!.light || board.hand_s[next]! > 0) {
          work_s[heldLight < 0 ? 0 : 1]! += wait_s;
          wait_s = 0;
        }
        wait_s += tasks[next]!.wait_s;
        if (tasks[next]!.light && heldLight < 0) heldLight = next;
        work_s[heldLight < 0 ? 0 : 1]! += board.hand_s[next]!;
        steps += 1;
      }
      const [hand_s, rest_s] = work_s as [number, number];
      const takesTime = hand_s > 0 || rest_s > 0;
      const work = workOf(s, steps);
      const part: Part = { chain: c, step: s, steps, hand_s, rest_s, heldLight, work: takesTime ? work : -1 };
      const last = s + steps - 1;
      let lays = false;
      for (let k = s; k <= last; k += 1) lays ||= board.wet[k] === 1 || board.sticks[k] === 1;
      let index = task.together === undefined ? undefined : joint.get(task.together);
      if (index === undefined) {
        index = board.activities.length;
        if (task.together !== undefined) joint.set(task.together, index);
        board.activities.push({
          hand: board.hand[c]!,
          class: classOf(task.class),
          lastClass: classOf(task.class),
          work,
          dusty: task.dusty,
          lays,
          forms: false,
          parts: [],
          needs: [],
          rank: task.rank,
        });
      }
      const activity = board.activities[index]!;
      activity.parts.push(part);
      activity.lays ||= lays;
      activity.dusty ||= task.dusty;
      activity.forms ||= board.form[last] === 1 && (s === from[c] || board.form[s - 1] === 0);
      activity.rank = Math.max(activity.rank, task.rank);
      if (activity.hand !== board.hand[c]) activity.hand = 2;
      for (let k = s; k < s + steps; k += 1) {
        board.act[k] = index;
        if (tasks[k]!.hand_s > 0) activity.lastClass = classOf(tasks[k]!.class);
      }
      s += steps - 1;
    }
  }
  board.works = works.size + 1;
}

function followPrecedences(board: Board, tasks: readonly Task[]): void {
  const at = new Map(tasks.map((task, s) => [task.operation, s]));
  for (const { first, then } of board.problem.precedences ?? []) {
    const a = at.get(first);
    const b = at.get(then);
    if (a === undefined || b === undefined) continue;
    const activity = board.act[b]!;
    if (activity >= 0) {
      const { needs } = board.activities[activity]!;
      // Held work and what it is held after are one.
      if (!needs.includes(a) && board.act[a] !== activity) needs.push(a);
      continue;
    }
    board.lightNeeds.set(b, [...(board.lightNeeds.get(b) ?? []), a]);
  }
}
