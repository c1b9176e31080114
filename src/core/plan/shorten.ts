import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { problemOf } from '../timing/pose';
import { EDITING } from '../timing/effort';
import type { Begun } from '../timing/problem';
import { bestSchedule } from '../timing/sitting';
import { acrossNails } from '../compile/acrossNails';
import { NAILS } from '../model/names';
import { kitKey, nailKey } from './nailKey';
import { planNail } from './nailPlan';
import { newMemo, recall, type PlanMemo } from './planSet';
import { simplifications, type Simplification } from './simplifications';

/** A simplification, with what it would save. Every figure comes from planning the changed set. */
export interface Shortening extends Simplification {
  saves_s: number;
}

/** Several simplifications at once: planned together, for their savings do not simply add up. */
export interface Bundle {
  of: Shortening[];
  change: Change;
  saves_s: number;
  total_s: number;
}

/** Sets are compared by searches of equal length, short enough for a dozen of them. */
const ROUGHLY = 2500;
/** Only what saves so much is worth a word. */
const LEAST_S = 30;

/** How long a set takes, roughly; what was planned of its nails is kept in `memo`. */
export function roughly_s(set: SetDocument, memo: PlanMemo = newMemo(), begun?: Begun): number {
  const kit = kitKey(set);
  const works = NAILS.map((nail) => {
    const plan = recall(memo.nails, nailKey(set, nail, kit), () => planNail(set, nail));
    return { nail, operations: plan.compiled.operations, states: plan.nominal.states };
  });
  const { precedences } = acrossNails(
    set,
    works.map((work) => work.operations),
  );
  const problem = { ...problemOf(set, works, precedences), ...(begun ? { begun } : {}) };
  return bestSchedule(problem, {
    ...EDITING,
    iterations: ROUGHLY,
    flow: set.practice.flow,
  }).total_s;
}

/** What would shorten the sitting, or the rest of one that is under way, most first. */
export function shorten(set: SetDocument, begun?: Begun, memo: PlanMemo = newMemo()): Shortening[] {
  const now = roughly_s(set, memo, begun);
  return simplifications(set)
    .flatMap((one): Shortening[] => {
      const next = applyChange(set, one.change);
      if (!next.ok) return [];
      return [{ ...one, saves_s: Math.round(now - roughly_s(next.value, memo, begun)) }];
    })
    .filter((one) => one.saves_s >= LEAST_S)
    .sort((a, b) => b.saves_s - a.saves_s);
}

/**
 * What to leave out so that a set takes no longer than `goal_s`: of what shortens it as few things as do, the most saving first; one
 * that is not needed beside the others is left alone. Where not even all of them do, all of them. Undefined where nothing has to go.
 */
export function within(
  set: SetDocument,
  goal_s: number,
  list: readonly Shortening[],
  memo: PlanMemo = newMemo(),
): Bundle | undefined {
  const now = roughly_s(set, memo);
  if (now <= goal_s || list.length === 0) return undefined;
  let taken: Shortening[] = [];
  let total_s = now;
  for (const one of list) {
    if (total_s <= goal_s) break;
    // Of two ways with the same thing the other is gone.
    if (taken.some(({ key }) => key === one.key)) continue;
    const next = planned([...taken, one]);
    if (next === undefined || next > total_s - LEAST_S / 2) continue;
    taken = [...taken, one];
    total_s = next;
  }
  for (const one of taken.toReversed()) {
    if (taken.length < 2 || total_s > goal_s) break;
    const others = taken.filter((other) => other !== one);
    const without_s = planned(others);
    if (without_s === undefined || without_s > goal_s) continue;
    taken = others;
    total_s = without_s;
  }
  if (taken.length === 0) return undefined;
  return { of: taken, change: changeOf(taken), saves_s: Math.round(now - total_s), total_s };

  function planned(of: readonly Shortening[]): number | undefined {
    const next = applyChange(set, changeOf(of));
    return next.ok ? roughly_s(next.value, memo) : undefined;
  }
}

function changeOf(of: readonly Simplification[]): Change {
  return { kind: 'many', changes: of.map(({ change }) => change) };
}
