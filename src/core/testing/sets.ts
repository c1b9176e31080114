import type { Element } from '../craft/techniques';
import { techniqueOf } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';
import { planNail, judgeNail } from '../plan/nailPlan';
import type { Fix, Told } from '../judge/finding';
import { newSet } from '../starter/newSet';

/** Sets for tests: a new set with one look of the given elements on every nail. */
export function setWearing(
  elements: Element[],
  change: (set: SetDocument) => void = () => undefined,
): SetDocument {
  const set = newSet('test', 'Test');
  set.looks[0]!.elements = elements;
  change(set);
  return set;
}

/** Planned with hardly a search and no ways out tried: for tests that look at something else. */
export const QUICK = { effort: { iterations: 60 }, fixes: false } as const;

const PRODUCTS = { colour: 'velvet-04', second: 'amber-11', liner: 'gilt-liner', clear: 'builder-a' };

/** A good element of a kind, with some options replaced. */
export function element<K extends Element['kind']>(
  kind: K,
  over: Partial<Extract<Element, { kind: K }>> = {},
): Extract<Element, { kind: K }> {
  return { ...techniqueOf(kind).fresh(over.id ?? kind, PRODUCTS), ...over } as Extract<Element, { kind: K }>;
}

/** Nominal findings on one nail. */
export function findingsOn(set: SetDocument, nail: NailName = 'left-ring'): (Told & { fix?: Fix })[] {
  const plan = planNail(set, nail);
  // As the rules tell them, with the first way out of each untried.
  return judgeNail(set, nail, plan, plan.nominal).map((told) =>
    told.tries[0] ? { ...told, fix: told.tries[0] } : told,
  );
}

export function codesOn(set: SetDocument, nail: NailName = 'left-ring'): string[] {
  return [...new Set(findingsOn(set, nail).map((finding) => finding.code))].sort();
}
