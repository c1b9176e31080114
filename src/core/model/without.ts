/** A copy of an object without one of its keys. */
export function without<T extends object, K extends keyof T>(object: T, key: K): Omit<T, K> {
  const copy = { ...object };
  Reflect.deleteProperty(copy, key);
  return copy;
}
