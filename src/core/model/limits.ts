import * as z from 'zod';

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
export function limitsOf(schema: z.ZodType, path: string): Limits {
  const found = numberAt(at(schema, path === '' ? [] : path.split('.')));
  const { step, unit } = (found?.meta() ?? {}) as { step?: number; unit?: string };
  const [min, max] = [found?.minValue, found?.maxValue];
  if (typeof min !== 'number' || typeof max !== 'number' || step === undefined)
    throw new Error(`no limits and step for "${path}" in its schema`);
  return { min, max, step, ...(unit ? { unit } : {}) };
}

/** A figure of a schema. */
export function figure(schema: z.ZodType, path: string, words: string): Figure {
  return { path, words, ...limitsOf(schema, path) };
}

/** The nearest value that a number's limits allow. */
export function within({ min, max }: Pick<Limits, 'min' | 'max'>, value: number): number {
  return Math.max(min, Math.min(max, value));
}

function bare(schema: z.ZodType): z.ZodType {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable)
    return bare(schema.unwrap() as z.ZodType);
  return schema;
}

function at(schema: z.ZodType, keys: readonly string[]): z.ZodType | undefined {
  const [key, ...rest] = keys;
  const here = bare(schema);
  if (key === undefined) return here;
  if (here instanceof z.ZodArray) return at(here.element as z.ZodType, keys);
  if (!(here instanceof z.ZodObject)) return undefined;
  const next = here.shape[key] as z.ZodType | undefined;
  return next && at(next, rest);
}

/** Of a choice between words and a number, the number. */
function numberAt(schema: z.ZodType | undefined): z.ZodNumber | undefined {
  if (!schema) return undefined;
  const here = bare(schema);
  if (here instanceof z.ZodNumber) return here;
  if (here instanceof z.ZodUnion)
    return (here.options as z.ZodType[]).map(numberAt).find((one) => one !== undefined);
  return undefined;
}
