import { inLamp_s, type Chain, type Problem } from '../timing/problem';
import { mostOf } from '../model/extent';

/**
 * The shortest possible sitting of a tiny problem, by trying every order of strokes and loads. It knows neither
 * sequences nor boards: a state is how far each nail is and when everything is free. No dust, no limits, one brush
 * change as given. For tests only.
 */
export function shortest_s(problem: Problem): number {
  const { chains, lamps } = problem;
  const best = { s: Infinity };
  const seen = new Map<string, [number, number, number, number[]][]>();
  step({
    pos: chains.map(() => 0),
    ready: chains.map(() => 0),
    artist: 0,
    brush: '',
    hand: { left: 0, right: 0 },
    lamp: lamps.map(() => 0),
  });
  return best.s;

  interface State {
    pos: number[];
    ready: number[];
    artist: number;
    brush: string;
    hand: { left: number; right: number };
    lamp: number[];
  }

  function step(state: State): void {
    const ends = Math.max(state.artist, state.hand.left, state.hand.right, mostOf(state.ready));
    if (ends >= best.s) return;
    if (chains.every((chain, c) => state.pos[c] === chain.tasks.length)) {
      best.s = ends;
      return;
    }
    if (worse(state)) return;
    // A stroke on any nail that waits for one; what is done in one go, on all its nails in any order.
    const told = new Set<string>();
    chains.forEach((chain, c) => {
      const task = chain.tasks[state.pos[c]!];
      if (!task || task.light) return;
      if (problem.wearer === 'own' && wetBeside(state, chain.hand)) return;
      const mark = task.together;
      if (mark === undefined) return step(stroke(state, c));
      if (told.has(mark)) return;
      told.add(mark);
      const all = chains.flatMap((one, i) => (one.tasks.some((t) => t.together === mark) ? [i] : []));
      if (all.some((i) => chains[i]!.tasks[state.pos[i]!]?.together !== mark)) return;
      // It is not begun while one of its hands is in the lamp.
      const free = mostOf(all.map((i) => state.hand[chains[i]!.hand]));
      const out = { ...state, hand: { left: free, right: free } };
      for (const order of orders(all)) step(order.reduce(stroke, out));
    });
    // A load of any of the nails of a group that wait for the same light, in any lamp.
    for (const group of groupsOf(problem)) {
      const waiting = group.filter((c) => chains[c]!.tasks[state.pos[c]!]?.light);
      for (const served of subsets(waiting)) {
        const modes = new Set(served.map((c) => chains[c]!.tasks[state.pos[c]!]!.light!.mode));
        if (modes.size > 1) continue;
        const hands = [...new Set(served.map((c) => chains[c]!.hand))];
        const need = mostOf(served.map((c) => chains[c]!.tasks[state.pos[c]!]!.light!.seconds));
        lamps.forEach((lamp, l) => {
          const start = Math.max(
            state.lamp[l]!,
            mostOf(hands.map((hand) => state.hand[hand])),
            mostOf(served.map((c) => state.ready[c]!)),
            problem.wearer === 'own' ? Math.max(state.artist, state.hand.left, state.hand.right) : 0,
          );
          const [mode] = modes;
          const end = start + inLamp_s(lamp.programmes_s, { mode: mode!, seconds: need });
          step({
            ...state,
            pos: state.pos.map((p, i) => (served.includes(i) ? p + 1 : p)),
            ready: state.ready.map((r, i) =>
              served.includes(i) ? end + chains[i]!.tasks[state.pos[i]!]!.wait_s : r,
            ),
            hand: {
              left: hands.includes('left') ? end : state.hand.left,
              right: hands.includes('right') ? end : state.hand.right,
            },
            lamp: state.lamp.map((t, i) => (i === l ? end : t)),
          });
        });
      }
    }
  }

  /** On one's own hands a hand with a wet nail does no work on the other. */
  function wetBeside(state: State, hand: string): boolean {
    return chains.some((chain, c) => chain.hand !== hand && chain.tasks[state.pos[c]! - 1]?.wet);
  }

  /** The next work on a nail, as early as it can be. */
  function stroke(state: State, c: number): State {
    const chain = chains[c]!;
    const task = chain.tasks[state.pos[c]!]!;
    const other = chain.hand === 'left' ? 'right' : 'left';
    const change = state.brush !== '' && state.brush !== task.class ? problem.changeover_s : 0;
    const start = Math.max(
      state.artist + change,
      state.hand[chain.hand],
      state.ready[c]!,
      problem.wearer === 'own' ? state.hand[other] : 0,
    );
    const end = start + task.hand_s * problem.slower[chain.hand];
    return {
      ...state,
      pos: state.pos.map((p, i) => (i === c ? p + 1 : p)),
      ready: state.ready.map((r, i) => (i === c ? end + task.wait_s : r)),
      artist: end,
      brush: task.class,
      hand: { ...state.hand, [chain.hand]: Math.max(state.hand[chain.hand], end) },
    };
  }

  /** Whether a state just as far on was met before, at no later times. */
  function worse(state: State): boolean {
    const key = `${state.pos.join()}|${state.brush}`;
    const now: [number, number, number, number[]] = [
      state.artist,
      state.hand.left,
      state.hand.right,
      [...state.lamp, ...state.ready],
    ];
    const list = seen.get(key) ?? [];
    if (list.some((one) => flat(one).every((t, i) => t <= flat(now)[i]! + 1e-9))) return true;
    seen.set(key, [...list, now]);
    return false;
  }
}

function flat([a, b, c, rest]: [number, number, number, number[]]): number[] {
  return [a, b, c, ...rest];
}

function groupsOf(problem: Problem): number[][] {
  const name = (chain: Chain) =>
    !chain.thumb || problem.thumbs === 'with-fingers'
      ? chain.hand
      : problem.thumbs === 'together'
        ? 'thumbs'
        : `${chain.hand} thumb`;
  const names = [...new Set(problem.chains.map(name))];
  return names.map((one) => problem.chains.flatMap((chain, c) => (name(chain) === one ? [c] : [])));
}

function orders(items: readonly number[]): number[][] {
  if (items.length === 0) return [[]];
  return items.flatMap((one) => orders(items.filter((other) => other !== one)).map((rest) => [one, ...rest]));
}

function subsets(items: readonly number[]): number[][] {
  const all = items.reduce<number[][]>((sets, item) => [...sets, ...sets.map((one) => [...one, item])], [[]]);
  return all.filter((one) => one.length > 0);
}
