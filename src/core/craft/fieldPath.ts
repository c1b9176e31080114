import { without } from '../model/without';

/** Reads the value at a dotted path; the empty path is the value itself. */
export function readPath(value: unknown, path: string): unknown {
  if (path === '') return value;
  return path
    .split('.')
    .reduce<unknown>(
      (at, key) => (at !== null && typeof at === 'object' ? (at as Record<string, unknown>)[key] : undefined),
      value,
    );
}

/** A copy of the value with another value at a dotted path, or with none there (undefined); nothing on the way is altered. */
export function writePath(value: unknown, path: string, next: unknown): unknown {
  if (path === '') return next;
  const [key, ...rest] = path.split('.') as [string, ...string[]];
  const at = value !== null && typeof value === 'object' ? (value as Record<string, unknown>) : {};
  if (rest.length > 0 || next !== undefined)
    return { ...at, [key]: writePath(at[key], rest.join('.'), next) };
  return without(at, key);
}
