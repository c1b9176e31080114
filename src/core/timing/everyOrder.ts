import { leastOf, mostOf } from '../model/extent';
import { handSeconds, inLamp_s, lampGroup, type Problem, type Task } from './problem';

/** How far each nail is, and when each of what may be waited for is free. */
interface State {
  pos: readonly number[];
  brush: string;
  /** The artist, both hands, the lamps, then what was last done on each nail, with the wait after it. */
  free_s: readonly number[];
}

/** Past so many ways of standing part-way the orders are too many to try. */
const MOST_STANDS = 500;
/** And past so many of one stand of which none is the better in everything. */
const MOST_ALIKE = 200;

/**
 * The shortest sitting in seconds of a few nails with a few strokes, over every order of their work and every load: no
 * limits, no dust and no precedences are asked for, so that no sitting that keeps them is shorter. Undefined where the
 * orders are too many, where light is held by hand, or for a sitting under way.
 *
 * Stands are gone through by how much is done in them; of each only those are kept that no other is ahead of in everything.
 */
export function shortestOfAll_s(problem: Problem): number | undefined {
  const { chains, lamps } = problem;
  if (problem.begun || lamps.some((lamp) => lamp.torch)) return undefined;
  if (chains.some(({ tasks }) => tasks.some((task) => task.held && task.light))) return undefined;
  if (chains.reduce((all, { tasks }) => all * (tasks.length + 1), 1) > MOST_STANDS) return undefined;

  const LAMPS = 3;
  const NAILS = LAMPS + lamps.length;
  const handOf = chains.map(({ hand }): number => (hand === 'left' ? 1 : 2));
  const groupOf = chains.map((chain) => lampGroup(chain, problem.thumbs));
  const groups = [...new Set(groupOf)];
  const own = problem.wearer === 'own';
  // What an artist states across nails may ask for work on a hand that is not fit for it.
  const dryFirst = own && (problem.precedences ?? []).length === 0;
  const begun: State = {
    pos: chains.map(() => 0),
    brush: '',
    free_s: Array<number>(NAILS + chains.length).fill(0),
  };
  const all = chains.reduce((sum, { tasks }) => sum + tasks.length, 0);
  const stands = Array.from({ length: all + 1 }, () => new Map<string, State[]>());
  keep(stands, begun);
  for (const alike of stands.slice(0, all))
    for (const states of alike.values()) {
      if (states.length > MOST_ALIKE) return undefined;
      for (const state of states)
        for (const next of [...afterWork(state), ...afterLight(state)]) keep(stands, next);
    }
  const ends = [...stands[all]!.values()].flat().map(({ free_s }) => mostOf(free_s));
  return ends.length > 0 ? leastOf(ends) : undefined;

  function taskOf(state: State, c: number): Task | undefined {
    return chains[c]!.tasks[state.pos[c]!];
  }

  /** On one's own hands what waits for its light keeps the other hand from working. */
  function isBlocked(state: State, c: number): boolean {
    if (!dryFirst) return false;
    return chains.some(
      (chain, other) =>
        handOf[other] !== handOf[c] &&
        chain.tasks[state.pos[other]! - 1]?.wet === true &&
        taskOf(state, other)?.light !== undefined,
    );
  }

  function afterWork(state: State): State[] {
    return chains.flatMap((_, c): State[] => {
      const task = taskOf(state, c);
      if (!task || task.light) return [];
      if (task.hand_s === 0 && task.together === undefined) return [rested(state, c, task)];
      if (isBlocked(state, c)) return [];
      return task.together === undefined ? [worked(state, c, task)] : inOneGo(state, c, task.together);
    });
  }

  /** What is done in one go waits for all its nails, and for their hands to be out of the lamp; told by its first nail. */
  function inOneGo(state: State, c: number, mark: string): State[] {
    const on = chains.flatMap(({ tasks }, i) => (tasks.some(({ together }) => together === mark) ? [i] : []));
    if (on[0] !== c || on.some((i) => taskOf(state, i)?.together !== mark)) return [];
    const hands = on.map((i) => handOf[i]!);
    const out_s = mostOf(hands.map((hand) => state.free_s[hand]!));
    const out: State = {
      ...state,
      free_s: state.free_s.map((at, i) => (i > 0 && i < LAMPS && hands.includes(i) ? out_s : at)),
    };
    return ordersOf(on).map((order) =>
      order.reduce<State>((done, i) => worked(done, i, taskOf(done, i)!), out),
    );
  }

  /** Time that passes on a nail, with nobody at it. */
  function rested(state: State, c: number, { wait_s }: Task): State {
    return {
      ...state,
      pos: withNext(state.pos, [c]),
      free_s: state.free_s.map((at, i) => (i === NAILS + c ? at + wait_s : at)),
    };
  }

  function worked(state: State, c: number, task: Task): State {
    const { brush, free_s } = state;
    const change_s = brush !== '' && brush !== task.class && !task.held ? problem.changeover_s : 0;
    const hand = handOf[c]!;
    const start_s = Math.max(
      free_s[0]! + change_s,
      free_s[hand]!,
      free_s[NAILS + c]!,
      own ? free_s[3 - hand]! : 0,
    );
    const end_s = start_s + handSeconds(problem, chains[c]!, task);
    return {
      pos: withNext(state.pos, [c]),
      brush: task.hand_s > 0 ? task.class : brush,
      free_s: free_s.map((at, i) =>
        i === 0 || i === hand ? end_s : i === NAILS + c ? end_s + task.wait_s : at,
      ),
    };
  }

  function afterLight(state: State): State[] {
    const { free_s } = state;
    return groups.flatMap((group) => {
      const waiting = chains.flatMap((_, c) => (groupOf[c] === group && taskOf(state, c)?.light ? [c] : []));
      return partsOf(waiting).flatMap((served): State[] => {
        const lights = served.map((c) => taskOf(state, c)!.light!);
        const { mode } = lights[0]!;
        if (lights.some((light) => light.mode !== mode)) return [];
        const hands = new Set(own ? [0, 1, 2] : served.map((c) => handOf[c]!));
        const seconds = mostOf(lights.map((light) => light.seconds));
        const ready_s = mostOf([
          ...[...hands].map((hand) => free_s[hand]!),
          ...served.map((c) => free_s[NAILS + c]!),
        ]);
        return lamps.map(({ programmes_s }, l) => {
          const start_s = Math.max(ready_s, free_s[LAMPS + l]!);
          const end_s = start_s + inLamp_s(programmes_s, { mode, seconds });
          const isOut = (i: number) => (i > 0 && i < LAMPS && hands.has(i)) || i === LAMPS + l;
          return {
            pos: withNext(state.pos, served),
            brush: state.brush,
            free_s: free_s.map((at, i) => {
              const task = served.includes(i - NAILS) ? taskOf(state, i - NAILS)! : undefined;
              return task ? end_s + task.wait_s : isOut(i) ? end_s : at;
            }),
          };
        });
      });
    });
  }
}

function withNext(pos: readonly number[], done: readonly number[]): number[] {
  return pos.map((at, c) => (done.includes(c) ? at + 1 : at));
}

function ordersOf(all: readonly number[]): number[][] {
  if (all.length < 2) return [[...all]];
  return all.flatMap((one) => ordersOf(all.filter((other) => other !== one)).map((rest) => [one, ...rest]));
}

/** Every choice of one or more. */
function partsOf(all: readonly number[]): number[][] {
  return Array.from({ length: 2 ** all.length - 1 }, (_, k) =>
    all.filter((_one, i) => ((k + 1) >> i) % 2 === 1),
  );
}

/** Kept unless another that stands just there is no later in anything; those that it is no later than go. */
function keep(stands: readonly Map<string, State[]>[], state: State): void {
  const line = stands[state.pos.reduce((sum, at) => sum + at, 0)]!;
  const key = `${state.pos.join(' ')} ${state.brush}`;
  const alike = line.get(key) ?? [];
  const noLater = (a: State, b: State) => a.free_s.every((at, i) => at <= b.free_s[i]! + 1e-9);
  if (alike.some((one) => noLater(one, state))) return;
  line.set(key, [...alike.filter((one) => !noLater(state, one)), state]);
}
