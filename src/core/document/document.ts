import * as z from 'zod/mini';
import { Build } from '../craft/builds';
import { Element, techniqueOf } from '../craft/techniques';
import { RESERVED_ELEMENTS } from '../craft/operation';
import { FAMILIES, type Laid } from '../craft/families';
import { Edit, isInsertedCoat } from './edits';
import { append } from '../model/extent';
import { NAILS, type NailName } from '../model/names';
import { Appointed, SET_STATES } from '../model/appointment';
import { Nail } from '../model/nail';
import { Practice } from '../model/practice';
import { Offered } from '../model/pricing';
import { Colour, Id, Words } from '../model/primitives';
import { Kit } from '../model/product';

export const FORMAT = 'merry-lacquer-set';
export const VERSION = 21;

/** No real look comes near this; a file that does is a mistake or worse. */
export const MAX_ELEMENTS = 40;

/** The keys that put a look on, one a look. */
export const LOOK_KEYS = 'abcdefghijkl';

export const Look = z.strictObject({
  id: Id,
  name: Words,
  /** The key that puts it on the selected nails. */
  key: z.string().check(z.regex(/^[a-l]$/, 'must be a letter from a to l')),
  elements: z.array(Element).check(z.maxLength(MAX_ELEMENTS, `must hold at most ${MAX_ELEMENTS} elements`)),
});
export type Look = z.infer<typeof Look>;

const nails = Object.fromEntries(NAILS.map((nail) => [nail, Nail])) as Record<NailName, typeof Nail>;

/** The shape of a set, before the references inside it are checked. */
export const SetShape = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  id: Id,
  title: Words,
  note: z.string().check(z.maxLength(2000)),
  appointment: Appointed,
  state: z.enum(SET_STATES),
  /** What was quoted for it. */
  offered: z.optional(z.nullable(Offered)),
  /** What the artist keeps, whatever would be shorter: looks and elements by id, and ways of working. */
  keeps: z.optional(z.array(z.string().check(z.maxLength(120))).check(z.maxLength(100))),
  nails: z.strictObject(nails),
  /** Skin tone of the wearer's hands, for the pictures. */
  skin: Colour,
  looks: z.array(Look).check(z.maxLength(12)),
  builds: z.array(Build).check(z.minLength(1), z.maxLength(12)),
  practice: Practice,
  kit: Kit,
  edits: z.array(Edit).check(z.maxLength(500)),
});

/** A set document: all that ten nails shall look like, and all it needs to be planned. */
export type SetDocument = z.infer<typeof SetShape>;

/** Refers to something the document does not hold, or says the same id twice. */
export interface ReferenceFault {
  path: (string | number)[];
  message: string;
}

/** Checks what no schema of a single part can see: references and ids used twice. */
export function referenceFaults(set: SetDocument): ReferenceFault[] {
  const faults: ReferenceFault[] = [];
  const ids = (items: readonly { id: string }[], path: (string | number)[]) => {
    const seen = new Set<string>();
    items.forEach((item, i) => {
      if (seen.has(item.id)) faults.push({ path: [...path, i, 'id'], message: `"${item.id}" is used twice` });
      seen.add(item.id);
    });
    return seen;
  };
  const refer = (known: Set<string>, id: string, path: (string | number)[], what: string) => {
    if (!known.has(id)) faults.push({ path, message: `no ${what} "${id}" in this file` });
  };
  const products = ids(set.kit.products, ['kit', 'products']);
  ids(set.kit.lamps, ['kit', 'lamps']);
  ids(set.kit.tips, ['kit', 'tips']);
  const builds = ids(set.builds, ['builds']);
  const looks = ids(set.looks, ['looks']);

  for (const [role, id] of Object.entries(set.kit.roles))
    refer(products, id, ['kit', 'roles', role], 'product');
  const keys = new Set<string>();
  set.looks.forEach((look, i) => {
    if (keys.has(look.key))
      faults.push({ path: ['looks', i, 'key'], message: `"${look.key}" is used twice` });
    keys.add(look.key);
    ids(look.elements, ['looks', i, 'elements']);
    look.elements.forEach((element, j) => {
      const path = ['looks', i, 'elements', j];
      if ((RESERVED_ELEMENTS as readonly string[]).includes(element.id)) {
        faults.push({
          path: [...path, 'id'],
          message: `"${element.id}" is kept for the program's own steps`,
        });
      }
      const named = [...namedProducts(element), ...techniqueOf(element.kind).products(element)];
      for (const id of new Set(named)) refer(products, id, path, 'product');
    });
    append(faults, withinFaults(look, ['looks', i, 'elements']));
  });
  set.builds.forEach((build, i) => {
    for (const id of namedProducts(build)) refer(products, id, ['builds', i], 'product');
  });
  set.edits.forEach((edit, i) => {
    if (edit.kind !== 'insert') return;
    const path = ['edits', i, 'product'];
    if (edit.product === undefined) {
      if (edit.verb === 'coat') faults.push({ path, message: 'is missing: a coat is of a product' });
      return;
    }
    refer(products, edit.product, path, 'product');
    if (!isInsertedCoat(edit.verb)) faults.push({ path, message: 'is for a coat only' });
    const family = set.kit.products.find((product) => product.id === edit.product)?.family;
    if (family && COATED.every((laid) => laid !== FAMILIES[family].laid))
      faults.push({ path, message: `is ${FAMILIES[family].words}, which is not brushed on in a coat` });
  });
  for (const name of NAILS) {
    const nail = set.nails[name];
    refer(builds, nail.build, ['nails', name, 'build'], 'build');
    if (nail.look !== null) refer(looks, nail.look, ['nails', name, 'look'], 'look');
    nail.changes.forEach((change, i) => {
      if ('leave_off' in change) return;
      const path = ['nails', name, 'changes', i, 'options'];
      for (const id of namedProducts(change.options)) refer(products, id, path, 'product');
    });
  }
  return faults;
}

/** What is brushed on in an even coat over a nail. */
const COATED: readonly Laid[] = ['base', 'gel', 'two-stage', 'structure', 'top', 'art', 'lacquer'];

/** What an element is kept on is another of its look, and no chain of such leads back to itself. */
function withinFaults({ elements }: Look, at: (string | number)[]): ReferenceFault[] {
  const on = new Map(
    elements.map((element) => [element.id, 'within' in element ? element.within?.element : undefined]),
  );
  return elements.flatMap((element, j): ReferenceFault[] => {
    const first = on.get(element.id);
    if (first === undefined) return [];
    const path = [...at, j, 'within', 'element'];
    if (!on.has(first)) return [{ path, message: `no element "${first}" in this look` }];
    const seen = new Set<string>();
    for (let id: string | undefined = first; id !== undefined && !seen.has(id); id = on.get(id)) {
      if (id === element.id) return [{ path, message: 'leads back to itself' }];
      seen.add(id);
    }
    return [];
  });
}

/** The keys under which elements and builds name a product. */
const PRODUCT_KEYS: readonly string[] = ['product', 'clear', 'filler'];

/** Every product an element, its options or a build name, wherever it stands in them. */
function namedProducts(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(namedProducts);
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    PRODUCT_KEYS.includes(key) && typeof inner === 'string' ? [inner] : namedProducts(inner),
  );
}
