import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import { ART_FAMILIES, artFilm } from '../artFilm';
import { placeOf } from '../context';
import { partHandles } from '../partHandles';
import { Fade, FADE_FIELDS, fadeHandles, fadeOn, fadesTo, FRESH_FADE } from '../fadeOut';
import { defineTechnique, FILM_BASE, FILM_FIELDS, FILM_SEATS, FRESH_FILM, twoColours } from '../technique';

const schema = z.strictObject({ ...FILM_BASE, kind: z.literal('fade'), product: Id, fade: Fade });

/** One colour that thins out to nothing: dragged out with a dry brush, in one pass, over whatever lies below. */
export const fade = defineTechnique({
  kind: 'fade',
  words: 'Fade to nothing',
  blurb: 'One colour dragged out with a dry brush until nothing of it is left.',
  schema,
  ...FILM_SEATS,
  fields: [
    { kind: 'product', path: 'product', words: 'Colour', families: ART_FAMILIES },
    ...FADE_FIELDS,
    ...FILM_FIELDS,
  ],
  fresh: (id, pick) => ({
    id,
    kind: 'fade' as const,
    ...FRESH_FILM,
    product: twoColours(pick)[1],
    fade: FRESH_FADE,
  }),
  handles: (element, context) => [...fadeHandles(element, context), ...partHandles(element, context)],
  products: (element) => [element.product],
  called: ({ product }, nameOf) => `${nameOf(product)} fading out`,
  plan: (element, context) => {
    const product = context.product(element.product);
    return artFilm(
      product,
      {
        step: 'coat',
        cureStep: 'cure',
        place: placeOf(context, element),
        paint: { kind: 'product' },
        profile: fadeOn(element, element.fade, context),
        passes: 1,
        words: `${product.name}, faded out to nothing ${fadesTo(element.fade, element, context)}`,
        hand_s: DRAGGED_S,
        reason: 'Laid full where it begins, and dragged out with a dry brush; no clear is wanted to thin it.',
      },
      context,
    );
  },
});

/** A coat, and the brush wiped between drags (common practice). */
const DRAGGED_S = 35;
