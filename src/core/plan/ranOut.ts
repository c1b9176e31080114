import { difference, linearOf } from '../colour/space';
import { elementOn } from '../document/nailContext';
import { techniqueOf, type Element } from '../craft/techniques';
import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import type { NailChange } from '../model/nail';
import type { Product } from '../model/product';

/** What happens to a nail's elements of a product that ran out. */
export interface RanOut {
  change: Change | undefined;
  /** Nails on which it is begun: what is on them stays as it is, and wants what is left of it. */
  begun: NailName[];
}

/**
 * Another product in the place of one that ran out, on every nail where nothing of its element is done yet; what is begun keeps its
 * own. `done`: ids of operations.
 */
export function ranOut(
  set: SetDocument,
  product: string,
  instead: string,
  done: ReadonlySet<string>,
): RanOut {
  const started = new Set([...done].map((id) => id.split('/').slice(0, 2).join('/')));
  const begun = new Set<NailName>();
  const changes = NAILS.flatMap((nail): Change[] => {
    const { look: id, in_work } = set.nails[nail];
    const look = set.looks.find((one) => one.id === id);
    if (!look || !in_work) return [];
    return look.elements.flatMap((own): Change[] => {
      const element = elementOn(set, nail, look.id, own.id);
      if (!element || !techniqueOf(element.kind).products(element).includes(product)) return [];
      if (started.has(`${nail}/${own.id}`)) {
        begun.add(nail);
        return [];
      }
      const options = { ...ownOptions(set, nail, own.id), ...replaced(element, product, instead) };
      return [{ kind: 'nail-change', nail, change: { element: own.id, options } }];
    });
  });
  return { change: changes.length > 0 ? { kind: 'many', changes } : undefined, begun: [...begun] };
}

/** What of the kit could go on in the place of a colour, where nails are left to have it: of its family, the nearest first. */
export function couldReplace(set: SetDocument, product: string, done: ReadonlySet<string>): Product[] {
  const of = set.kit.products.find(({ id }) => id === product);
  if (of?.colour === undefined) return [];
  const wanted = linearOf(of.colour);
  const off = ({ colour }: Product) =>
    colour === undefined ? Infinity : difference(linearOf(colour), wanted);
  return (
    set.kit.products
      .filter(({ id, family }) => family === of.family && id !== of.id)
      .filter(({ id }) => ranOut(set, of.id, id, done).change !== undefined)
      // What is as sheer, or as metallic, before what is not.
      .sort((a, b) => Number(a.effect !== of.effect) - Number(b.effect !== of.effect) || off(a) - off(b))
  );
}

type Options = Extract<NailChange, { options: unknown }>['options'];

function ownOptions(set: SetDocument, nail: NailName, element: string): Options {
  const own = set.nails[nail].changes.find((one) => one.element === element);
  return own && 'options' in own ? own.options : {};
}

/** The options of an element that name a product, with another in its place. */
function replaced(element: Element, product: string, instead: string): Options {
  const swapped = (value: unknown): unknown =>
    value === product
      ? instead
      : Array.isArray(value)
        ? value.map(swapped)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, swapped(one)]))
          : value;
  return Object.fromEntries(
    Object.entries(element).flatMap(([key, value]) => {
      const next = key === 'id' ? value : swapped(value);
      return JSON.stringify(next) === JSON.stringify(value) ? [] : [[key, next]];
    }),
  ) as Options;
}
