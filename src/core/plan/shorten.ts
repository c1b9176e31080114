import { techniqueOf } from '../craft/techniques';
import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { problemOf } from '../timing/pose';
import { EDITING } from '../timing/effort';
import type { Begun } from '../timing/problem';
import { bestSchedule } from '../timing/sitting';
import { contextOf } from '../compile/prepare';
import { acrossNails } from '../compile/acrossNails';
import { NAILS } from '../model/names';
import { planNail } from './nailPlan';

/** A simplification, with what it would save. Every figure comes from planning the changed set. */
export interface Shortening {
  words: string;
  saves_s: number;
  change: Change;
}

/** What would shorten the sitting, or the rest of one that is under way, most first. Only what saves at least half a minute is worth a word. */
export function shorten(set: SetDocument, begun?: Begun): Shortening[] {
  const now = total_s(set, begun);
  return candidates(set)
    .flatMap(({ words, change }) => {
      const next = applyChange(set, change);
      if (!next.ok) return [];
      return [{ words, change, saves_s: Math.round(now - total_s(next.value, begun)) }];
    })
    .filter((one) => one.saves_s >= 30)
    .sort((a, b) => b.saves_s - a.saves_s);
}

/** Sets are compared by searches of equal length, short enough for a dozen of them. */
const ROUGHLY = 2500;

function total_s(set: SetDocument, begun?: Begun): number {
  const works = NAILS.map((nail) => {
    const plan = planNail(set, nail);
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

function candidates(set: SetDocument): { words: string; change: Change }[] {
  const out: { words: string; change: Change }[] = [];
  if (set.practice.thumbs === 'apart') {
    out.push({
      words: 'Cure thumbs with the fingers, turned to the light',
      change: { kind: 'practice', practice: { thumbs: 'with-fingers' } },
    });
  }
  if (set.practice.stones === 'bedded') {
    out.push({
      words: 'Set stones in the wet top',
      change: { kind: 'practice', practice: { stones: 'wet-top' } },
    });
  }
  if (set.practice.thumbs === 'apart') {
    out.push({
      words: 'Cure both thumbs in one load',
      change: { kind: 'practice', practice: { thumbs: 'together' } },
    });
  }
  const worn = new Map(
    NAILS.filter((nail) => set.nails[nail].in_work).map((nail) => [set.nails[nail].look, nail]),
  );
  for (const look of set.looks) {
    const wearer = worn.get(look.id);
    if (!wearer) continue;
    const art = look.elements.filter((element) => !techniqueOf(element.kind).ground);
    // A look keeps its point: only what dresses up something else can be left off.
    for (const element of art.length > 1 ? art.filter((one) => techniqueOf(one.kind).extra) : []) {
      out.push({
        words: `${look.name} without its ${techniqueOf(element.kind).words.toLowerCase()}`,
        change: { kind: 'remove-element', look: look.id, element: element.id },
      });
    }
    for (const element of look.elements) {
      const { ways, words } = techniqueOf(element.kind);
      for (const way of ways?.quicker?.(element, {}, contextOf(set, wearer)) ?? [])
        out.push({
          words: `${look.name} with its ${words.toLowerCase()} ${way.words}`,
          change: {
            kind: 'put-element',
            look: look.id,
            element: { ...element, ...way.options } as typeof element,
          },
        });
    }
  }
  return out;
}
