import * as z from 'zod/mini';
import { Id, share } from '../../model/primitives';
import type { Product, ProductFamily, Role } from '../../model/product';
import type { Paint } from '../matter';
import { defineTechnique, ELEMENT_BASE, numberField } from '../technique';

const MOST_STOPS = 5;

/** What a build can be made of, and the part of the kit that it stands in for. */
export const BUILT_ROLES: Partial<Record<ProductFamily, Role>> = {
  'builder-gel': 'builder',
  'putty-gel': 'putty',
  acrylic: 'acrylic',
  dip: 'dip',
};
export const BUILT_FAMILIES = Object.keys(BUILT_ROLES) as ProductFamily[];

const Stop = z.strictObject({ product: Id, at: share() });
const schema = z
  .strictObject({
    ...ELEMENT_BASE,
    kind: z.literal('built'),
    /** One product; or several from cuticle to tip, each full at its share of the way. */
    stops: z.array(Stop).check(z.minLength(1), z.maxLength(MOST_STOPS)),
  })
  .check(
    z.refine((element) => element.stops.every((stop, i, all) => i === 0 || stop.at >= all[i - 1]!.at), {
      path: ['stops'],
      message: 'must lie in rising order of "at"',
    }),
  );
type Built = z.infer<typeof schema>;

/** Nearer to each other than this, one is laid up against the other; further, they are drawn into each other. */
const EDGE = 0.06;

/** What the build itself is made of on the nails of a look: acrylic, putty, builder or dip in colour. */
export const built = defineTechnique({
  kind: 'built',
  words: 'Built in colour',
  blurb: 'The build itself in colour: one for all of it, tip and bed apart, or beads drawn into each other.',
  schema,
  ground: true,
  seats: ['under'],
  usual: () => 'under',
  fields: [
    {
      kind: 'list',
      path: 'stops',
      words: 'From cuticle to tip',
      item: [
        { kind: 'product', path: 'product', words: 'In', families: BUILT_FAMILIES },
        numberField(Stop, 'at', 'Place'),
      ],
      fresh: null,
      min: 1,
      max: MOST_STOPS,
    },
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'built' as const,
    stops: [{ product: pick({ families: ['builder-gel'], coloured: true }), at: 0.5 }],
  }),
  products: (element) => element.stops.map(({ product }) => product),
  called: ({ stops }, nameOf) =>
    `built in ${[...new Set(stops.map(({ product }) => nameOf(product)))].join(' and ')}`,
  builds: (element, context) => {
    const products = element.stops.map(({ product }) => context.product(product));
    const first = products[0]!;
    return {
      role: BUILT_ROLES[first.family] ?? 'builder',
      product: first,
      paint: paintOf(element),
      ...(products.length > 1 ? { words: mannerOf(element, products) } : {}),
    };
  },
  plan: () => [],
});

function paintOf({ stops }: Built): Paint {
  return stops.length === 1
    ? { kind: 'product' }
    : { kind: 'blend', direction: 'along', stops: stops.map((stop) => ({ ...stop })), mirror: false };
}

/** Tip first, as it is worked: the next colour up against it, or wetter and drawn over its end. */
function mannerOf({ stops }: Built, products: readonly Product[]): string {
  const parts = stops.map((stop, i) => ({ at: stop.at, name: products[i]!.name })).reverse();
  return parts
    .map(({ at, name }, i) => {
      if (i === 0) return `the tip in ${name}`;
      const against = parts[i - 1]!.at - at <= EDGE;
      return against ? `${name} up against it` : `${name} wetter, drawn over its end`;
    })
    .join(', ');
}
