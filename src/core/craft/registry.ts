import * as z from 'zod';

type SchemasOf<T extends readonly { schema: z.ZodObject }[]> = { -readonly [K in keyof T]: T[K]['schema'] };

/** The union of all schemas of a registry, told apart by `kind`. */
export function unionOf<const T extends readonly [{ schema: z.ZodObject }, ...{ schema: z.ZodObject }[]]>(
  all: T,
) {
  const schemas = all.map((entry) => entry.schema);
  return z.discriminatedUnion(
    'kind',
    schemas as unknown as SchemasOf<T> & [z.ZodObject, ...z.ZodObject[]],
  ) as unknown as z.ZodDiscriminatedUnion<SchemasOf<T>>;
}
