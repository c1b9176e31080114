import * as z from 'zod/mini';
import { leastOf, mostOf } from './extent';

/** What a number may be, as its schema says: the one place where its limits stand. */
export interface Limits {
  min: number;
  max: number;
  step: number;
  unit?: string;
}

/** A number of something, at its dotted path, with what it is called. */
export type Figure = Limits & { path: string; words: string };

/**
 * The limits of the number at a dotted path of a schema, through what may be missing, and through lists by their items. Throws
 * where there is no number with limits and a step: that is a mistake of the program, found when it starts.
 */
export function limitsOf(schema: z.ZodMiniType, path: string): Limits {
  const found = numberAt(at(schema, path === '' ? [] : path.split('.')));
  const { step, unit } = ((found && z.globalRegistry.get(found)) ?? {}) as { step?: number; unit?: string };
  const min = mostOf(valuesOf(found, 'greater_than'));
  const max = leastOf(valuesOf(found, 'less_than'));
  if (!Number.isFinite(min) || !Number.isFinite(max) || step === undefined)
    throw new Error(`no limits and step for "${path}" in its schema`);
  return { min, max, step, ...(unit ? { unit } : {}) };
}

/** A figure of a schema. */
export function figure(schema: z.ZodMiniType, path: string, words: string): Figure {
  return { path, words, ...limitsOf(schema, path) };
}

/** The nearest value that a number's limits allow. */
export function within({ min, max }: Pick<Limits, 'min' | 'max'>, value: number): number {
  return Math.max(min, Math.min(max, value));
}

function bare(schema: z.ZodMiniType): z.ZodMiniType {
  if (schema instanceof z.ZodMiniOptional || schema instanceof z.ZodMiniNullable)
    return bare(schema.def.innerType as z.ZodMiniType);
  return schema;
}

function at(schema: z.ZodMiniType, keys: readonly string[]): z.ZodMiniType | undefined {
  const [key, ...rest] = keys;
  const here = bare(schema);
  if (key === undefined) return here;
  if (here instanceof z.ZodMiniArray) return at(here.def.element as z.ZodMiniType, keys);
  if (!(here instanceof z.ZodMiniObject)) return undefined;
  const next = here.shape[key] as z.ZodMiniType | undefined;
  return next && at(next, rest);
}

/** What a number is checked against; a limit may be drawn closer by another. */
function valuesOf(schema: z.ZodMiniNumber | undefined, check: 'greater_than' | 'less_than'): number[] {
  const all = schema?.def.checks?.map((one) => one._zod.def as { check: string; value?: number }) ?? [];
  return all.flatMap((one) => (one.check === check && one.value !== undefined ? [one.value] : []));
}

/** Of a choice between words and a number, the number. */
function numberAt(schema: z.ZodMiniType | undefined): z.ZodMiniNumber | undefined {
  if (!schema) return undefined;
  const here = bare(schema);
  if (here instanceof z.ZodMiniNumber) return here;
  if (here instanceof z.ZodMiniUnion)
    return (here.def.options as z.ZodMiniType[]).map(numberAt).find((one) => one !== undefined);
  return undefined;
}
