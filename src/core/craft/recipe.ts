import * as z from 'zod/mini';
import { leastOf } from '../model/extent';
import { FINGERS, fingerOf } from '../model/names';
import { count, Id, mm, share, Turn } from '../model/primitives';
import type { ProductFamily } from '../model/product';
import { isMirrored, scaleOn, type Fitting, type NailContext } from './context';
import type { Marble } from './matter';
import { recalledFigures, type RecalledFigure } from './recalled';
import { numberField, type Field } from './technique';
import type { Ways } from './ways';

const MOST_PARTS = 6;

const Part = z.strictObject({ product: Id, share: share() });

/** How a marble is mixed: what a nail's is, whatever is made of it. */
export const RECIPE = {
  /** What is poured of each: shares of the whole, whatever they add up to. */
  parts: z
    .array(Part)
    .check(
      z.minLength(2, 'must be of two colours at least'),
      z.maxLength(MOST_PARTS, `must be of ${MOST_PARTS} colours at most`),
    ),
  vein_mm: mm(0.3, 12),
  /** The way it was drawn. */
  turn_deg: Turn,
  /** 0 side by side, 1 stirred into one colour. */
  mixed: share(),
  /** Another throw of the same recipe. */
  throw: count(1, 99),
} as const;
const schema = z.strictObject(RECIPE);
export type Recipe = z.infer<typeof schema>;

/** The fields of a recipe, of products that can be marbled so. */
export function recipeFields(families: readonly ProductFamily[]): readonly Field[] {
  return [
    {
      kind: 'list',
      path: 'parts',
      words: 'Poured',
      item: [
        { kind: 'product', path: 'product', words: 'Colour', families },
        numberField(Part, 'share', 'Parts'),
      ],
      fresh: null,
      min: 2,
      max: MOST_PARTS,
    },
    numberField(schema, 'vein_mm', 'Veins across'),
    numberField(schema, 'turn_deg', 'Drawn'),
    numberField(schema, 'mixed', 'Stirred'),
    numberField(schema, 'throw', 'Throw'),
  ];
}

/** A recipe to begin with, of two colours. */
export function freshRecipe(first: string, second: string): Recipe {
  return {
    parts: [
      { product: first, share: 0.3 },
      { product: second, share: 0.7 },
    ],
    vein_mm: 1.6,
    turn_deg: 25,
    mixed: 0.15,
    throw: 1,
  };
}

/** What of a recipe is asked for at the table: the parts as they were poured, and how far they were stirred. */
export function recalledRecipe(recipe: Recipe, nameOf: (product: string) => string): RecalledFigure[] {
  const poured = recipe.parts.map(({ product }, i) => [`parts.${i}.share`, nameOf(product)] as const);
  return recalledFigures(schema, recipe, { ...Object.fromEntries(poured), mixed: 'Stirred' });
}

export const MIXED_WAYS: Ways<Pick<Recipe, 'mixed' | 'parts'>> = {
  'stir-less': () => [{ words: 'Stir it less', options: { mixed: 0.3 } }],
  'another-part': ({ parts }, { product, words, at }) => [
    {
      words: `Take ${words} in its place`,
      options: { parts: parts.map((part, i) => (i === at ? { ...part, product } : part)) },
    },
  ],
};

/** The colour there is most of. */
export function mainOf({ parts }: Pick<Recipe, 'parts'>): string {
  return parts.reduce((most, part) => (part.share > most.share ? part : most)).product;
}

/** The marble on one nail: each has a throw of its own, no two are alike. */
export function marbleOn(recipe: Recipe & Fitting, context: NailContext): Marble {
  const { parts, vein_mm, turn_deg, mixed } = recipe;
  return {
    kind: 'marble',
    parts,
    vein_mm: vein_mm * scaleOn(context.frame, recipe),
    turn_deg,
    mixed,
    seed: recipe.throw * 131 + FINGERS.indexOf(fingerOf(context.name)) * 17,
    mirror: isMirrored(context.name, recipe),
  };
}

/** "1 : 3": what is poured of each against the least. */
export function partsWords(parts: Recipe['parts']): string {
  const least = Math.min(1, leastOf(parts.map((part) => part.share).filter((one) => one > 0)));
  return parts.map((part) => `${Math.round((part.share / least) * 10) / 10}`).join(' : ');
}
