import type { Element } from '../craft/techniques';
import { techniqueOf } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { NailName } from '../model/names';
import { planNail, judgeNail } from '../plan/nailPlan';
import type { Finding } from '../judge/finding';
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

const PRODUCTS = { colour: 'velvet-04', second: 'amber-11', liner: 'gilt-liner', clear: 'builder-a' };

/** A good element of a kind, with some options replaced. */
export function element<K extends Element['kind']>(
  kind: K,
  over: Partial<Extract<Element, { kind: K }>> = {},
): Extract<Element, { kind: K }> {
  return { ...techniqueOf(kind).fresh(over.id ?? kind, PRODUCTS), ...over } as Extract<Element, { kind: K }>;
}

/** Nominal findings on one nail. */
export function findingsOn(set: SetDocument, nail: NailName = 'left-ring'): Finding[] {
  const plan = planNail(set, nail);
  return judgeNail(set, nail, plan, plan.nominal);
}

export function codesOn(set: SetDocument, nail: NailName = 'left-ring'): string[] {
  return [...new Set(findingsOn(set, nail).map((finding) => finding.code))].sort();
}
