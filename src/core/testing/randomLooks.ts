import { writePath } from '../craft/fieldPath';
import type { Field, FreshProducts } from '../craft/technique';
import { Element, TECHNIQUES } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { SHAPES } from '../model/shapes';
import { NAILS } from '../model/names';
import { SEATS } from '../craft/operation';
import { newSet } from '../starter/newSet';
import type { Chance } from '../model/chance';

/** A value an editor offers for a field; undefined where it stays as it is. */
function offered(field: Field, set: SetDocument, by: Chance): unknown {
  const products = set.kit.products;
  switch (field.kind) {
    case 'number': {
      const edge = by.below(8);
      const steps = Math.round((field.max - field.min) / field.step);
      const at = edge === 0 ? 0 : edge === 1 ? steps : by.below(steps + 1);
      return Number((field.min + at * field.step).toFixed(6));
    }
    case 'choice':
      return by.pick(field.choices).value;
    case 'shade':
      return by.pick(['#ffffff', '#000000', '#d8a440', '#4a0f22', '#8fa08a']);
    case 'product':
      return by.pick(products.filter((product) => field.families.includes(product.family))).id;
    case 'switch':
      return by.below(2) === 0;
    case 'region':
      return by.pick([
        { kind: 'whole' },
        { kind: 'band', from: by.below(10) / 10, to: 1 + by.below(11) / 10 },
        { kind: 'tip', smile: { rise_mm: by.below(9) - 4, depth_mm: by.below(6), tilt_mm: by.below(3) - 1 } },
        {
          kind: 'oval',
          across: by.below(21) / 10 - 1,
          along: by.below(21) / 10,
          width_mm: 0.3 + by.below(80) / 10,
          length_mm: 0.3 + by.below(80) / 10,
          turn_deg: by.below(73) * 5 - 180,
        },
        {
          kind: 'lines',
          count: 1 + by.below(7),
          width_mm: 0.2 + by.below(20) / 10,
          pitch_mm: 0.3 + by.below(30) / 10,
          turn_deg: by.below(73) * 5 - 180,
          across: by.below(21) / 10 - 1,
          along: by.below(21) / 10,
          crossed: by.below(2) === 0,
          ...(by.below(2) === 0
            ? { wave: { rise_mm: 0.1 + by.below(15) / 10, length_mm: 1 + by.below(60) / 10 } }
            : {}),
        },
        {
          kind: 'dots',
          rows: 1 + by.below(5),
          columns: 1 + by.below(5),
          dot_mm: 0.3 + by.below(15) / 10,
          pitch_mm: 0.6 + by.below(25) / 10,
          turn_deg: by.below(73) * 5 - 180,
          across: by.below(21) / 10 - 1,
          along: by.below(21) / 10,
          staggered: by.below(2) === 0,
        },
        {
          kind: 'letters',
          text: by.pick(['A', 'Encore', 'M & L', '25!']),
          height_mm: 1 + by.below(60) / 10,
          width_mm: 0.2 + by.below(6) / 10,
          turn_deg: by.below(73) * 5 - 180,
          across: by.below(21) / 10 - 1,
          along: by.below(21) / 10,
        },
        {
          kind: 'path',
          width_mm: 0.1 + by.below(20) / 10,
          points: Array.from({ length: 2 + by.below(6) }, () => ({
            across: by.below(31) / 10 - 1.5,
            along: by.below(31) / 10 - 0.5,
          })),
        },
        {
          kind: 'outline',
          points: Array.from({ length: 3 + by.below(6) }, () => ({
            across: by.below(31) / 10 - 1.5,
            along: by.below(31) / 10 - 0.5,
          })),
        },
      ]);
    case 'figures':
    case 'optional':
    case 'list':
      return undefined;
  }
}

/** An element as an editor might leave it: some options at the ends of what it offers, some between. */
function randomElement(id: string, set: SetDocument, by: Chance): Element {
  const products: FreshProducts = {
    colour: by.pick(['velvet-04', 'rose-nude', 'blush-sheer']),
    second: by.pick(['ivory-02', 'lemon-05']),
    liner: 'gilt-liner',
    magnetic: 'footlight-magnetic',
    clear: 'bedding-a',
    cover: 'cover-a',
    dips: ['dip-rose', 'dip-white'],
  };
  const technique = by.pick(TECHNIQUES);
  let element: unknown = technique.fresh(id, products);
  for (const field of technique.fields) {
    if (by.below(3) === 0) continue;
    if (field.kind === 'optional') {
      element = writePath(element, field.path, by.below(2) ? field.fresh(products) : null);
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
