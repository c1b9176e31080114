import type { Board } from './board';
import { Ordering } from './ordering';

/**
 * What sets by itself as it is worked at a table: all that can be done on a hand before it, then nail after nail primed,
 * beaded and pinched, the next primed while the beads of the last stiffen; what is left once all of them are laid, in
 * rounds again. Undefined where nothing is pinched so.
 */
export function inBeads(board: Board, first: 0 | 1): Int32Array | undefined {
  const { from, mode, act, activities, hand, dueKind, dueMost_s, wet } = board;
  if (!dueKind.includes('pinched-too-late')) return undefined;
  const ordering = new Ordering(board);
  const { at } = ordering;
  const hands = ([first, 1 - first] as const).map((h) => [...at.keys()].filter((c) => hand[c] === h));

  // All else on both hands, before forms and beads on one of them.
  while (hands.some(workOn) || hands.some(beadOn));
  return ordering.whole();

  /** One work on all nails of a hand that have come to it and are not tied to beads. */
  function workOn(nails: readonly number[]): boolean {
    const ready = nails
      .map((c) => ordering.head(c))
      .filter((a) => a >= 0 && ordering.canBegin(a) && !activities[a]!.forms && runFrom(a).length === 0);
    const next = ready.toSorted((a, b) => activities[a]!.rank - activities[b]!.rank || a - b)[0];
    if (next === undefined) return false;
    for (const a of new Set(ready)) if (activities[a]!.work === activities[next]!.work) ordering.perform(a);
    return true;
  }

  /** The forms of a hand, or its nails that stand before their beads, one after the other. */
  function beadOn(nails: readonly number[]): boolean {
    const ready = nails.map((c) => ordering.head(c)).filter((a) => a >= 0 && ordering.canBegin(a));
    const forms = ready.filter((a) => activities[a]!.forms);
    for (const a of forms) ordering.perform(a);
    if (forms.length > 0) return true;
    const runs = ready.map(runFrom).filter((run) => run.length > 0);
    let pinched: readonly number[] = [];
    for (const run of runs) {
      const beads = run.findIndex((a) => wet[activities[a]!.parts[0]!.step]);
      for (const a of [...run.slice(0, beads), ...pinched, run[beads]!]) ordering.perform(a);
      pinched = run.slice(beads + 1);
    }
    for (const a of pinched) ordering.perform(a);
    return runs.length > 0;
  }

  /** From here on what follows within its time, up to the pinch; nothing where there is none, or a light or joint work between. */
  function runFrom(a: number): number[] {
    const run: number[] = [];
    const { chain, step } = activities[a]!.parts[0]!;
    for (let s = step; s < from[chain + 1]! && mode[s] === 0; s += 1) {
      if (activities[act[s]!]!.parts.length > 1) return [];
      if (run.at(-1) !== act[s]) run.push(act[s]!);
      if (dueKind[s] === 'pinched-too-late') return [...run, act[s + 1]!];
      if (!(dueMost_s[s]! < Infinity)) return [];
    }
    return [];
  }
}
