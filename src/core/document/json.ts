/** What of a file may be anything yet: read through guards, so that nothing is taken for what it is not. */
export type Json = Record<string, unknown>;

export function isObject(value: unknown): value is Json {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}

/** The objects of a list; what is none is left to the schema to refuse. */
export function list(value: unknown): Json[] {
  return Array.isArray(value) ? value.filter(isObject) : [];
}

/** A word of a file; what is none is left to the schema to refuse. */
export function text(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

/** What a table itself holds under a name out of a file: never what every object inherits. */
export function own<T>(table: Record<string, T>, name: string): T | undefined {
  return Object.hasOwn(table, name) ? table[name] : undefined;
}
