import type { Element } from '../craft/techniques';
import { techniqueOf } from '../craft/techniques';
import { FRESH_ISLAND } from '../craft/island';
import type { PickProduct } from '../craft/technique';
import type { ProductFamily } from '../model/product';
import { genericKit } from '../starter/kit';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
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

/** Picks for an element that is tested: of the common families always the same. */
export const pick: PickProduct = ({ families, beside }) =>
  PICKED[families[0]!]?.find((id) => id !== beside) ??
  GENERIC.find((one) => families.includes(one.family))!.id;

const GENERIC = genericKit().products;
const PICKED: Partial<Record<ProductFamily, readonly string[]>> = {
  'gel-colour': ['velvet-04', 'amber-11'],
  'liner-gel': ['gilt-liner'],
  'bedding-gel': ['builder-a'],
  'builder-gel': ['cover-a'],
  dip: ['dip-rose', 'dip-white'],
};

/** A good element of a kind, with some options replaced. */
export function element<K extends Element['kind']>(
  kind: K,
  over: Partial<Extract<Element, { kind: K }>> = {},
): Extract<Element, { kind: K }> {
  return { ...techniqueOf(kind).fresh(over.id ?? kind, pick), ...over } as Extract<Element, { kind: K }>;
}

/** A plain colour that holds on a build: lacquer on lacquer, gel on all else. */
export function colourOn(build: string): Element {
  return element('colour', build === 'natural-lacquer' ? { product: 'lacquer-red' } : {});
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

/** As much as the format lets in: forty inlays of sixty pieces on ten nails, and five hundred edits. */
export function setAtEveryLimit(): SetDocument {
  const pieces = Array.from({ length: 60 }, (_, i) => ({
    ...element('inlay').pieces[0]!,
    across: ((i * 37) % 100) / 60 - 0.8,
    along: ((i * 53) % 100) / 55,
    length_mm: 1,
    width_mm: 0.6,
  }));
  return setWearing(
    Array.from({ length: 40 }, (_, i) => element('inlay', { id: `i${i}`, pieces })),
    (one) => {
      for (const name of NAILS) one.nails[name].build = 'tips';
      one.edits = Array.from({ length: 500 }, (_, i) => ({
        kind: 'insert',
        id: `x${i}`,
        nail: NAILS[i % 10]!,
        after: `${NAILS[i % 10]!}/i${i % 40}/place#1`,
        verb: 'wipe',
        seconds: 5,
        words: 'Wipe',
      }));
    },
  );
}

/** An island in clear with slivers that lie within it. */
export function islandInlay(over: Partial<Extract<Element, { kind: 'inlay' }>> = {}): Element {
  const pieces = element('inlay').pieces.map((one, i) => ({
    ...one,
    across: -0.2 + 0.2 * i,
    along: 0.58 + 0.18 * i,
    length_mm: 2.5,
  }));
  return element('inlay', { cap_um: 500, bed_um: 150, pieces, island: FRESH_ISLAND, ...over });
}
