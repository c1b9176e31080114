import type * as z from 'zod/mini';
import { PotGrains } from '../model/grains';
import { numberField, type Field } from './technique';

/** What is asked of grains, wherever they lie: `at` is where they stand in their element or product. */
export function grainFields(schema: z.ZodMiniType, at = ''): Field[] {
  const below = (field: Field): Field => ({ ...field, path: at + field.path });
  return [
    {
      kind: 'choice',
      path: `${at}shape`,
      words: 'Grains',
      choices: [
        { value: 'round', words: 'Round' },
        { value: 'hexagon', words: 'Hexagons' },
        { value: 'square', words: 'Squares' },
        { value: 'sliver', words: 'Slivers' },
      ],
    },
    { kind: 'shade', path: `${at}colour`, words: 'Colour' },
    { kind: 'switch', path: `${at}metallic`, words: 'Metal' },
    below(numberField(schema, 'size_mm', 'Across')),
  ];
}

/** Grains in the pot begin as a fine gold shimmer. */
export const FRESH_POT_GRAINS: PotGrains = {
  shape: 'hexagon',
  size_mm: 0.2,
  colour: '#d9b45b',
  metallic: true,
  per_cm2: 800,
};

export const POT_GRAIN_FIELDS: readonly Field[] = [
  ...grainFields(PotGrains, 'grains.'),
  { ...numberField(PotGrains, 'per_cm2', 'To a cm² of a coat'), path: 'grains.per_cm2' },
];
