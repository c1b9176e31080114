import * as z from 'zod/mini';
import type { Product } from '../../model/product';
import { Id, um } from '../../model/primitives';
import type { Draft, Place } from '../operation';
import { placeOf, wholePlace, type NailContext } from '../context';
import { coatOf } from '../cure';
import { hardenOf, wipedTop } from '../drafts';
import { dries_s } from '../families';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import {
  defineTechnique,
  FILM_SEATS,
  fitField,
  FRESH_PAINTED,
  FRESH_REGION,
  HAND_FIELD,
  numberField,
  PAINTED_BASE,
  REGION,
  REGION_FIELD,
  WITHIN_FIELDS,
} from '../technique';

const schema = z.strictObject({
  ...PAINTED_BASE,
  ...REGION,
  kind: z.literal('finish'),
  finish: z.enum(['gloss', 'matte', 'satin']),
  /** A second coat, once the first is cured. */
  doubled: z.boolean(),
  /** Laid thick, so that it levels itself over what stands below it. */
  thick_um: z.nullable(um(100, 600, 10)),
  /** The underside of what is worn past the fingertip as well. */
  underside: z.boolean(),
  /** A top of its own in place of the kit's. */
  product: z.optional(z.nullable(Id)),
});
type Finish = z.infer<typeof schema>;

const TOPS = ['top-no-wipe', 'top-wipe', 'top-matte'] as const;
/** Gloss and matte top mixed half and half (common practice). */
const SATIN = 0.5;
const PLAIN = { doubled: false, thick_um: null, underside: false } as const;

/** Gloss or matte, on the whole nail or as an accent on a region of it. */
export const finish = defineTechnique({
  kind: 'finish',
  words: 'Finish',
  blurb: 'Gloss, satin or matte top, all over or as an accent.',
  schema,
  // Up to version 15 it was one thin coat, from above.
  was: { 15: (options) => ('finish' in options && 'region' in options ? { ...options, ...PLAIN } : options) },
  ...FILM_SEATS,
  around: true,
  ground: true,
  sheen: true,
  fields: [
    {
      kind: 'choice',
      path: 'finish',
      words: 'Finish',
      choices: [
        { value: 'gloss', words: 'Gloss' },
        { value: 'satin', words: 'Satin' },
        { value: 'matte', words: 'Matte' },
      ],
    },
    { kind: 'switch', path: 'doubled', words: 'A second coat' },
    { kind: 'optional', path: 'thick_um', words: 'Laid thick, to level', fresh: () => 250 },
    numberField(schema, 'thick_um', 'At its fullest'),
    { kind: 'switch', path: 'underside', words: 'The underside as well, hand turned over' },
    {
      kind: 'optional',
      path: 'product',
      words: 'A top of its own',
      fresh: (pick) => pick({ families: TOPS }),
    },
    { kind: 'product', path: 'product', words: 'Top', families: TOPS },
    REGION_FIELD,
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
  ],
  fresh: (id) => ({
    id,
    kind: 'finish' as const,
    ...FRESH_REGION,
    ...FRESH_PAINTED,
    finish: 'matte' as const,
    ...PLAIN,
  }),
  also: [
    {
      key: 'satin',
      words: 'Satin',
      blurb: 'Between gloss and matte: both tops mixed, half and half.',
      fresh: (id) => ({ ...gloss(id), finish: 'satin' as const }),
    },
    {
      key: 'thick-gloss',
      words: 'Thick gloss',
      blurb: 'A top laid thick, that levels itself over relief and pieces.',
      fresh: (id) => ({ ...gloss(id), thick_um: 250 }),
    },
  ],
  ways: {
    'less-clear': ({ thick_um }) =>
      thick_um === null ? [] : [{ words: 'Lay the top thin', options: { thick_um: null } }],
    'underside-too': () => [{ words: 'Finish the underside as well', options: { underside: true } }],
  },
  handles: partHandles,
  products: ({ product }) => (product ? [product] : []),
  called: ({ finish }) => `${finish} top`,
  seals: (element) => element.region.kind === 'whole',
  plan: (element, context) => {
    const shiny = element.finish === 'gloss';
    const product = element.product
      ? context.product(element.product)
      : context.role(shiny ? 'top' : 'matte_top');
    const satin = element.finish === 'satin' && product.family === 'top-matte';
    const name = satin
      ? `${context.role('top').name} and ${product.name}, mixed half and half`
      : product.name;
    const place = placeOf(context, element);
    const free = context.standing.filter((one) => !one.topped);
    const over = free.length < context.standing.length;
    if (free.length > 0) place.free = free.map(({ x, y, r_mm }) => ({ x, y, r_mm }));
    const round = [...new Set(free.map((one) => one.what))].sort().reverse().join(' and ');
    const t_um = element.thick_um ?? coatOf(product);
    const top = (pass: number): Draft[] => [
      {
        step: 'coat',
        pass,
        verb: over ? 'top-over' : shiny ? 'top' : 'matte-top',
        words: `${name}${element.thick_um ? ', laid thick' : ''}${element.doubled ? `, coat ${pass} of 2` : ''}${over ? ' over the stones' : round ? ` around the ${round}` : ''}`,
        product: product.id,
        place,
        deposit: element.thick_um
          ? { kind: 'level', t_um }
          : { kind: 'conformal', t_um, ...(satin ? { sheen: SATIN } : {}) },
        hand_s: HAND_S.top + (free.length > 0 ? 25 : 0),
        ...(dries_s(product) === undefined ? {} : { wait_s: dries_s(product)! }),
        reason: over
          ? 'Run over the set stones as well, as you work: they hold more safely and lose some of their fire.'
          : free.length > 0
            ? 'Taken around stones and charms with a fine brush; over them it would drown their fire.'
            : 'Seals the art and fills the strip at the cuticle; run over the tip so that nothing peels there.',
      },
      ...hardenOf(product, t_um, place, 'cure', pass),
      ...wipedTop(product, context, place).map((draft) => ({ ...draft, pass })),
    ];
    return [
      ...top(1),
      ...(element.doubled ? top(2) : []),
      ...(element.underside ? undersideOf(context.role('top'), context) : []),
    ];
  },
});

/** What is clear is seen from beneath as well: bare there, it is dull and yellows. */
function undersideOf(top: Product, context: NailContext): Draft[] {
  const place: Place = {
    ...wholePlace(),
    region: { kind: 'tip', smile: { rise_mm: 0, depth_mm: 0, tilt_mm: 0 } },
  };
  if (context.frame.length_mm <= context.frame.bed_mm + LEAST_EDGE_MM) return [];
  return [
    {
      step: 'underside',
      verb: 'underside',
      words: `${top.name} along the underside of the free edge, the hand turned over`,
      product: top.id,
      place,
      hand_s: HAND_S.underside,
      reason: 'Thin, and off the skin below the edge: what is clear shines from both sides.',
    },
    ...hardenOf(top, coatOf(top), place, 'cure-underside').map((draft) => ({
      ...draft,
      reason: 'The palm up: light from above does not reach what lies below the edge.',
    })),
    ...wipedTop(top, context, place).map((draft) => ({
      ...draft,
      step: 'wipe-underside',
      words: `${draft.words}, from below as well`,
    })),
  ];
}
/** Shorter than this there is no underside to brush. */
const LEAST_EDGE_MM = 1;

/** Gloss over the whole nail, as it is added where a look says nothing of its finish. */
export function gloss(id: string): Finish {
  return { id, kind: 'finish', ...FRESH_REGION, ...FRESH_PAINTED, ...PLAIN, finish: 'gloss' };
}
