import { writePath } from '../craft/fieldPath';
import type { Field, PickProduct } from '../craft/technique';
import { Element, TECHNIQUES } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { Limits } from '../model/limits';
import { Region, REGION_KINDS } from '../regions';
import { SHAPES } from '../model/shapes';
import { NAILS } from '../model/names';
import { SEATS } from '../craft/operation';
import { newSet } from '../starter/newSet';
import type { Chance } from '../model/chance';

/** A value an editor offers for a field; undefined where it stays as it is. */
function offered(field: Field, set: SetDocument, by: Chance): unknown {
  const products = set.kit.products;
  switch (field.kind) {
    case 'number':
      return anyNumber(field, by);
    case 'choice':
      return by.pick(field.choices).value;
    case 'shade':
      return by.pick(['#ffffff', '#000000', '#d8a440', '#4a0f22', '#8fa08a']);
    case 'product':
      return by.pick(products.filter((product) => field.families.includes(product.family))).id;
    case 'switch':
      return by.below(2) === 0;
    case 'region':
      return anyRegion(by);
    case 'figures':
    case 'optional':
    case 'list':
      return undefined;
  }
}

/** Any number that a figure allows, now and then at its ends. */
function anyNumber({ min, max, step }: Limits, by: Chance): number {
  const edge = by.below(8);
  const steps = Math.round((max - min) / step);
  const at = edge === 0 ? 0 : edge === 1 ? steps : by.below(steps + 1);
  return Number((min + at * step).toFixed(6));
}

/** A part of the nail as an editor might leave it. */
function anyRegion(by: Chance): Region {
  const kind = by.pick(REGION_KINDS);
  let region = kind.fresh;
  for (const { turned } of kind.switches ?? []) if (by.below(2) === 0) region = turned(region);
  for (const one of kind.figures(region)) {
    if (by.below(2) === 0) continue;
    const next = Region.safeParse(writePath(region, one.path, anyNumber(one, by)));
    if (next.success) region = next.data;
  }
  if ('points' in region)
    region = {
      ...region,
      points: Array.from({ length: 3 + by.below(6) }, () => ({
        across: by.below(31) / 10 - 1.5,
        along: by.below(31) / 10 - 0.5,
      })),
    };
  if ('text' in region) region = { ...region, text: by.pick(['A', 'Encore', 'M & L', '25!']) };
  return region;
}

/** An element as an editor might leave it: some options at the ends of what it offers, some between. */
function randomElement(id: string, set: SetDocument, by: Chance): Element {
  const pick: PickProduct = ({ families, beside }) =>
    by.pick(set.kit.products.filter(({ id, family }) => families.includes(family) && id !== beside)).id;
  const technique = by.pick(TECHNIQUES);
  let element: unknown = technique.fresh(id, pick);
  for (const field of technique.fields) {
    if (by.below(3) === 0) continue;
    if (field.kind === 'optional') {
      element = writePath(element, field.path, by.below(2) ? field.fresh(pick) : null);
      continue;
    }
    if (field.kind === 'list') continue;
    const value = offered(field, set, by);
    const next = writePath(element, field.path, value);
    if (Element.safeParse(next).success) element = next;
  }
  return element as Element;
}

/** A set wearing a random look on nails of random measures, within what the editors offer. */
export function randomSet(by: Chance): SetDocument {
  const set = newSet('random', 'Random');
  const between = (min: number, max: number) => Math.round((min + by.next() * (max - min)) * 10) / 10;
  const name = by.pick(NAILS);
  set.nails[name].plate = {
    ...set.nails[name].plate,
    width_mm: between(5, 20),
    arch_mm: between(0, 7),
    bed_mm: between(6, 18),
    free_edge_mm: by.pick([0, 0.5, 3, 15]),
    radius_mm: by.pick([0, 30, 60, 200]),
  };
  set.builds = set.builds.map((build) => ({ ...build, shape: by.pick(SHAPES) }));
  for (const nail of NAILS) set.nails[nail].build = by.pick(['natural', 'tips']);
  set.practice = {
    ...set.practice,
    base: by.pick(['leave', 'wipe']),
    stones: by.pick(['wet-top', 'bedded']),
    wearer: by.pick(['client', 'own']),
    primer: by.pick(['once', 'none']),
  };
  set.looks[0]!.elements = Array.from({ length: 1 + by.below(7) }, (_, i) => randomElement(`e${i}`, set, by));
  // Now and then an artist seats something by hand.
  for (const element of set.looks[0]!.elements) {
    if (!('seat' in element) || by.below(4) > 0) continue;
    const seated = { ...element, seat: by.pick(SEATS) };
    const parsed = Element.safeParse(seated);
    if (parsed.success) Object.assign(element, parsed.data);
  }
  return set;
}
