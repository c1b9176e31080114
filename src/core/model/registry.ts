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

/** The schema of one kind of a union that is told apart by `kind`. Throws where there is none: a mistake of the program. */
export function ofKind(union: { options: readonly z.ZodType[] }, kind: string): z.ZodObject {
  const found = union.options.find(
    (one) => one instanceof z.ZodObject && (one.shape.kind as z.ZodLiteral | undefined)?.value === kind,
  );
  if (!found) throw new Error(`no schema of kind "${kind}"`);
  return found as z.ZodObject;
}
