import * as z from 'zod';
import type { Structure } from '../build';
import type { NailContext } from '../context';
import { pouredStructure, puttyStructure } from '../structures';
import type { Field } from '../technique';

/** What an extension is built of. */
export const MATERIAL = z.enum(['builder', 'putty', 'acrylic']);
export type Material = z.infer<typeof MATERIAL>;

/** Thickness at the apex. */
export const APEX_UM = z.number().min(300, 'must be at least 300 µm').max(1500, 'must be at most 1500 µm');

export const MATERIAL_FIELDS: readonly Field[] = [
  {
    kind: 'choice',
    path: 'material',
    words: 'Built of',
    choices: [
      { value: 'builder', words: 'Builder gel' },
      { value: 'putty', words: 'Putty gel' },
      { value: 'acrylic', words: 'Acrylic' },
    ],
  },
  apexField(),
];

export function apexField(): Field {
  return {
    kind: 'number',
    path: 'apex_um',
    words: 'At the apex',
    unit: 'µm',
    min: 300,
    max: 1500,
    step: 50,
  };
}

/** Length of every nail of a build that has none of its own. */
export function lengthField(): Field {
  const words = 'Past the free edge, all of this build';
  return { kind: 'number', path: 'length_mm', words, unit: 'mm', min: 1, max: 30, step: 0.5 };
}

/**
 * The gel that is laid over the nail. Acrylic is laid and filed before any art comes on it; only over pieces, where it
 * was kept thin, does builder give the strength.
 */
export function gelStructure(
  material: Material,
  apex_um: number,
  context: NailContext,
): Structure | undefined {
  if (material === 'acrylic' && !context.inlaid) return undefined;
  return material === 'putty'
    ? puttyStructure(context.role('putty'), apex_um)
    : pouredStructure(context.role('builder'), apex_um);
}
