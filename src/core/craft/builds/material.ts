import * as z from 'zod/mini';
import { um } from '../../model/primitives';
import type { Refill, Structure } from '../build';
import type { NailContext } from '../context';
import {
  beadedStructure,
  pouredStructure,
  puttyStructure,
  sculpted,
  sprinkledStructure,
} from '../structures';
import { numberField, type Field } from '../technique';

/** What an extension is built of; powder is sprinkled into builder gel and cured in it. */
export const MATERIAL = z.enum(['builder', 'putty', 'acrylic', 'powder']);
export type Material = z.infer<typeof MATERIAL>;

/** Thickness at the apex. */
export const APEX_UM = um(300, 1500, 50);

export const MATERIAL_FIELDS: readonly Field[] = [
  {
    kind: 'choice',
    path: 'material',
    words: 'Built of',
    choices: [
      { value: 'builder', words: 'Builder gel' },
      { value: 'putty', words: 'Putty gel' },
      { value: 'acrylic', words: 'Acrylic' },
      { value: 'powder', words: 'Gel with acrylic powder' },
    ],
  },
  apexField(),
];

export function apexField(): Field {
  return numberField(z.object({ apex_um: APEX_UM }), 'apex_um', 'At the apex');
}

/** Acrylic is filled with acrylic, beaded into the gap and drawn out over the old. */
export function acrylicRefill(apex_um: number, context: NailContext): Refill {
  return {
    primer: 'always',
    foundation: sculpted(context.role('acrylic'), Math.round(apex_um / 2), context),
  };
}

/**
 * What is laid over the nail. Acrylic is laid and filed before any art comes on it; only over pieces, where it was kept
 * thin, do more beads give the strength, or builder where gel lies between.
 */
export function overlay(material: Material, apex_um: number, context: NailContext): Structure | undefined {
  if (material === 'acrylic' && !context.inlaid) return undefined;
  if (material === 'acrylic' && context.clear.family === 'acrylic')
    return beadedStructure(context.framed ? context.role('acrylic') : context.clear, apex_um);
  if (material === 'powder')
    return sprinkledStructure(context.role('builder'), context.role('acrylic'), apex_um);
  return material === 'putty'
    ? puttyStructure(context.role('putty'), apex_um)
    : pouredStructure(context.role('builder'), apex_um);
}
