import * as z from 'zod/mini';
import {
  freshRecipe,
  mainOf,
  marbleOn,
  partsWords,
  RECIPE,
  recalledRecipe,
  recipeFields,
  MIXED_WAYS,
} from '../recipe';
import { defineTechnique, ELEMENT_BASE, HAND_FIELD } from '../technique';
import { BUILT_FAMILIES, BUILT_ROLES } from './built';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('half-mixed'),
  ...RECIPE,
  /** On the right hand: turned over, or the same. */
  hand: z.enum(['mirror', 'same']),
});

/** The build itself of colours that are half mixed: one batch for all nails of the look, each its own throw of it. */
export const halfMixed = defineTechnique({
  kind: 'half-mixed',
  words: 'Built half mixed',
  blurb: 'The build itself of two or more colours half mixed: veins of each all through it.',
  schema,
  // Up to version 14 there was none.
  was: { 14: (options) => options },
  ground: true,
  seats: ['under'],
  usual: () => 'under',
  fields: [...recipeFields(BUILT_FAMILIES), HAND_FIELD],
  fresh: (id, pick) => {
    const first = pick({ families: ['builder-gel'], coloured: true });
    const second = pick({ families: ['builder-gel'], beside: first });
    return { id, kind: 'half-mixed' as const, ...freshRecipe(first, second), hand: 'mirror' as const };
  },
  ways: MIXED_WAYS,
  recalled: { figures: recalledRecipe },
  products: (element) => element.parts.map(({ product }) => product),
  called: ({ parts }, nameOf) =>
    `built in ${nameOf(parts[0]!.product)} and ${nameOf(parts[1]!.product)}, half mixed`,
  builds: (element, context) => {
    const product = context.product(mainOf(element));
    const names = element.parts.map((part) => context.product(part.product).name);
    return {
      role: BUILT_ROLES[product.family] ?? 'builder',
      product,
      paint: marbleOn({ ...element, fit: 'scale' }, context),
      words: `${names.join(' and ')} half mixed, ${partsWords(element.parts)}, and laid as one`,
    };
  },
  plan: () => [],
});
