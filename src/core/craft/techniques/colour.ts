import * as z from 'zod';
import { Id } from '../../model/primitives';
import type { Draft } from '../operation';
import { coatOf, cureOf, passesOf, placeOf } from '../context';
import { HAND_S } from '../handwork';
import { defineTechnique, ELEMENT_BASE, HAND_FIELD, REGION_FIELD } from '../technique';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('colour'),
  product: Id,
  /** As many coats as the colour needs to cover, or a number of the artist's own. */
  passes: z.union([z.literal('cover'), z.number().int().min(1).max(5)]),
});

/** One colour on the whole nail or a region of it. */
export const colour = defineTechnique({
  kind: 'colour',
  words: 'Colour',
  blurb: 'One colour, in as many thin coats as it needs to cover.',
  schema,
  shows: 'colour',
  fields: [
    { kind: 'product', path: 'product', words: 'Colour', families: ['gel-colour'] },
    {
      kind: 'choice',
      path: 'passes',
      words: 'Coats',
      choices: [
        { value: 'cover', words: 'Until it covers' },
        { value: 1, words: 'One' },
        { value: 2, words: 'Two' },
        { value: 3, words: 'Three' },
      ],
    },
    REGION_FIELD,
    HAND_FIELD,
  ],
  fresh: (id, products) => ({
    id,
    kind: 'colour' as const,
    region: { kind: 'whole' as const },
    fit: 'scale' as const,
    hand: 'mirror' as const,
    product: products.colour,
    passes: 'cover' as const,
  }),
  products: (element) => [element.product],
  plan: (element, context) => {
    const product = context.product(element.product);
    const place = placeOf(context, element);
    const passes = passesOf(product, element.passes);
    const drafts: Draft[] = [];
    for (let pass = 1; pass <= passes; pass += 1) {
      drafts.push({
        step: 'coat',
        pass,
        verb: 'coat',
        words: `${product.name}, coat ${pass} of ${passes}`,
        product: product.id,
        place,
        paint: { kind: 'product' },
        deposit: { kind: 'conformal', t_um: coatOf(product) },
        hand_s: HAND_S.coat,
        open_s: product.runny ? 40 : undefined,
        reason:
          element.passes === 'cover'
            ? `It covers in ${product.coats_to_cover ?? 2} coats; thin coats cure through.`
            : `${passes === 1 ? 'One coat' : `${passes} coats`}, as chosen for this look.`,
      });
      drafts.push(cureOf(product, coatOf(product), place, 'cure', pass));
    }
    return drafts;
  },
});
