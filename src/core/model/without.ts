/** A copy of an object without some of its keys. */
export function without<T extends object, K extends keyof T>(object: T, ...keys: K[]): Omit<T, K> {
  const copy = { ...object };
  for (const key of keys) Reflect.deleteProperty(copy, key);
  return copy;
}
