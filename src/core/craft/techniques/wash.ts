import * as z from 'zod/mini';
import { regionNoun } from '../../regions';
import type { ProductFamily } from '../../model/product';
import { count, Id } from '../../model/primitives';
import { artFilm } from '../artFilm';
import { placeOf } from '../context';
import { mixedWithClear, Strength } from '../dilution';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo, FRESH_FADE } from '../fadeOut';
import { HAND_S } from '../handwork';
import { recalledFigures } from '../recalled';
import { partHandles } from '../partHandles';
import {
  defineTechnique,
  FILM_BASE,
  FILM_FIELDS,
  FILM_SEATS,
  FRESH_FILM,
  numberField,
  twoColours,
} from '../technique';

/** What is thinned with clear of its own kind. */
const WASHED: readonly ProductFamily[] = ['gel-colour', 'art-gel', 'liner-gel', 'lacquer'];

const schema = z.strictObject({
  ...FILM_BASE,
  kind: z.literal('wash'),
  product: Id,
  strength: Strength,
  passes: count(1, 6),
  /** Smoke thins out to nothing; a tint lies even. */
  fade: z.nullable(Fade),
});

/** Colour thinned with much clear: what lies below stays seen, and each pass deepens it. */
export const wash = defineTechnique({
  kind: 'wash',
  words: 'Tint, wash, smoke',
  blurb: 'A little colour in much clear: what lies below stays seen, each pass deepens it.',
  schema,
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Colour', families: WASHED },
    numberField(schema, 'strength', 'Colour in the clear'),
    numberField(schema, 'passes', 'Passes'),
    { kind: 'optional', path: 'fade', words: 'Smoke: thinning out to none', fresh: () => FRESH_FADE },
    ...FADE_FIELDS,
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'wash' as const,
    ...FRESH_FILM,
    product: twoColours(pick)[1],
    strength: 0.15,
    passes: 2,
    fade: FRESH_FADE,
  }),
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  recalled: {
    step: 'coat',
    figures: (element) => recalledFigures(schema, element, { strength: 'Colour in the mix' }),
  },
  products: (element) => [element.product],
  called: ({ product, region, fade }, nameOf) =>
    [`${fade ? 'smoke' : 'wash'} of ${nameOf(product)}`, regionNoun(region)].join(' ').trim(),
  plan: (element, context) => {
    const product = context.product(element.product);
    return artFilm(
      product,
      {
        step: 'coat',
        cureStep: 'cure',
        place: placeOf(context, element),
        paint: { kind: 'diluted', strength: element.strength },
        ...(element.fade ? { profile: fadeOn(element, element.fade, context) } : {}),
        passes: element.passes,
        manner: 'pass',
        words: `${product.name} washed thin, ${mixedWithClear(element.strength)}${element.fade ? `, smoked out ${fadesTo(element.fade, element, context)}` : ''}`,
        hand_s: HAND_S.coat,
        reason: 'Mixed on the palette, not in the bottle: thin and even, so that no edge stands in it.',
      },
      context,
    );
  },
});
