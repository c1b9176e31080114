import { FAMILIES } from '../craft/families';
import { tidyWords } from '../model/primitives';
import type { Product, ProductFamily } from '../model/product';
import type { PotGrains } from '../model/grains';
import type { ShelfItem } from '../model/shelf';
import { genericKit, lacquer, shade } from './kit';

/** Twenty-four colours that go round the wheel, then whites, blacks, nudes, sheers and metallics. */
const ROUND: readonly (readonly [name: string, colour: string])[] = [
  ['Red 21', '#c21e2b'],
  ['Scarlet 22', '#d8391f'],
  ['Vermilion 23', '#e2531c'],
  ['Orange 24', '#ea6f1a'],
  ['Tangerine 25', '#f08a1d'],
  ['Saffron 26', '#f2a526'],
  ['Gold yellow 27', '#f3bf2f'],
  ['Yellow 28', '#f0d43a'],
  ['Lime 29', '#c3cf3f'],
  ['Spring 30', '#8fbf45'],
  ['Leaf 31', '#4f9e4a'],
  ['Emerald 32', '#1f8a5b'],
  ['Jade 33', '#159078'],
  ['Teal 34', '#0f7f88'],
  ['Petrol 35', '#12667f'],
  ['Sky 36', '#4d9fd0'],
  ['Azure 37', '#2f7cc4'],
  ['Blue 38', '#2a57ad'],
  ['Ultramarine 39', '#32409a'],
  ['Indigo 40', '#46358c'],
  ['Violet 41', '#6a3795'],
  ['Purple 42', '#8a3590'],
  ['Magenta 43', '#b02d7d'],
  ['Raspberry 44', '#bf2557'],
];
const PLAIN: readonly (readonly [name: string, colour: string, coats: number, depth_um: number])[] = [
  ['White 51', '#f7f5f1', 2, 90],
  ['Milk 52', '#f3ece2', 2, 110],
  ['Black 53', '#17151a', 1, 45],
  ['Charcoal 54', '#3a393d', 2, 50],
  ['Grey 55', '#8b8a8c', 2, 70],
  ['Nude 56', '#e3bfa9', 2, 95],
  ['Nude 57', '#cf9f86', 2, 95],
  ['Nude 58', '#a87358', 2, 85],
  ['Nude 59', '#7b4e3a', 2, 75],
];
const SHEER: readonly (readonly [name: string, colour: string])[] = [
  ['Milky sheer 61', '#faf4ee'],
  ['Peach sheer 62', '#f9ddcc'],
  ['Jelly red 63', '#d9344a'],
];
const METALLIC: readonly (readonly [name: string, colour: string])[] = [
  ['Gold metallic 71', '#c39a45'],
  ['Rose gold metallic 72', '#c98d79'],
  ['Silver metallic 73', '#b7bbc0'],
  ['Bronze metallic 74', '#8d6238'],
];

/** Clear with glitter in it, and how it lies. */
const GLITTERS: readonly (readonly [name: string, grains: PotGrains])[] = [
  ['Gold glitter 81', { shape: 'hexagon', size_mm: 0.3, colour: '#d9b45b', metallic: true, per_cm2: 1100 }],
  ['Silver dust 82', { shape: 'round', size_mm: 0.1, colour: '#dfe3e8', metallic: true, per_cm2: 5000 }],
  ['Rose flecks 83', { shape: 'square', size_mm: 0.5, colour: '#cf7f8f', metallic: false, per_cm2: 220 }],
];

const LACQUERS: readonly (readonly [name: string, colour: string])[] = [
  ['Lacquer white', '#f4f0ea'],
  ['Lacquer nude', '#d9ab95'],
  ['Lacquer plum', '#5c2340'],
  ['Lacquer navy', '#20294f'],
  ['Lacquer black', '#161419'],
];

function idOf(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
}

/** The shelf that a new artist begins with: plain products with guide figures (common practice). */
export function genericShelf(): Product[] {
  return [
    ...genericKit().products,
    ...ROUND.map(([name, colour]) => shade({ id: idOf(name), name, colour, coats: 2, depth_um: 80 })),
    ...PLAIN.map(([name, colour, coats, depth_um]) =>
      shade({ id: idOf(name), name, colour, coats, depth_um }),
    ),
    ...SHEER.map(([name, colour]) =>
      shade({ id: idOf(name), name, colour, coats: 3, depth_um: 200, effect: 'sheer' }),
    ),
    ...LACQUERS.map(([name, colour]): Product => lacquer(idOf(name), name, colour)),
    ...METALLIC.map(([name, colour]) =>
      shade({ id: idOf(name), name, colour, coats: 2, depth_um: 60, effect: 'metallic' }),
    ),
    ...GLITTERS.map(([name, grains]): Product => ({
      id: idOf(name),
      name,
      family: 'gel-colour',
      coat_um: 60,
      lamp: { cure_s: 60, flash_s: 10, depth_um: 250 },
      grains,
    })),
  ];
}

/** A product that stands on the shelf, with nothing noted of it yet. */
export function onShelf(product: Product): ShelfItem {
  return { product, count: null, price: null, opened_on: null };
}

/** A first product of a family: the plain one of it, under the family's name. */
export function firstOf(family: ProductFamily, taken: ReadonlySet<string>): Product {
  const of = (wanted: ProductFamily) => genericShelf().find((one) => one.family === wanted);
  // The plain kit has no top that is wiped: it begins as the other one.
  const plain = { ...(of(family) ?? of('top-no-wipe')!), family };
  return renamed(plain, `New ${FAMILIES[family].words}`, taken);
}

/** A product like another, in another colour and under another name; its id is none of those taken. */
export function recoloured(
  product: Product,
  name: string,
  colour: string,
  taken: ReadonlySet<string>,
): Product {
  return { ...renamed(product, name, taken), colour };
}

/** A product like another under another name; its id is none of those taken. */
export function renamed(product: Product, name: string, taken: ReadonlySet<string>): Product {
  const wanted =
    idOf(name)
      .replace(/^-+|-+$/g, '')
      .slice(0, 34) || 'colour';
  let id = wanted;
  for (let n = 2; taken.has(id); n += 1) id = `${wanted}-${n}`;
  return { ...product, id, name: tidyWords(name) ?? product.name };
}
