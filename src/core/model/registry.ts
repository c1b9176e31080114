import * as z from 'zod/mini';

type SchemasOf<T extends readonly { schema: z.ZodMiniObject }[]> = {
  -readonly [K in keyof T]: T[K]['schema'];
};

/** The union of all schemas of a registry, told apart by `kind`. */
export function unionOf<
  const T extends readonly [{ schema: z.ZodMiniObject }, ...{ schema: z.ZodMiniObject }[]],
>(all: T) {
  const schemas = all.map((entry) => entry.schema);
  return z.discriminatedUnion(
    'kind',
    schemas as unknown as SchemasOf<T> & [z.ZodMiniObject, ...z.ZodMiniObject[]],
  ) as unknown as z.ZodMiniDiscriminatedUnion<SchemasOf<T>>;
}

/** The schema of one kind of a union that is told apart by `kind`. Throws where there is none: a mistake of the program. */
export function ofKind(
  union: z.ZodMiniDiscriminatedUnion<readonly z.ZodMiniType[]>,
  kind: string,
): z.ZodMiniObject {
  const found = union.def.options.find(
    (one) =>
      one instanceof z.ZodMiniObject &&
      (one.shape.kind as z.ZodMiniLiteral | undefined)?.def.values.includes(kind),
  );
  if (!found) throw new Error(`no schema of kind "${kind}"`);
  return found as z.ZodMiniObject;
}
