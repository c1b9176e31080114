/** The least of any number of values, however many; Infinity of none. */
export function leastOf(values: Iterable<number>): number {
  let found = Infinity;
  for (const value of values) if (value < found || Number.isNaN(value)) found = value;
  return found;
}

/** The most of any number of values, however many; −Infinity of none. */
export function mostOf(values: Iterable<number>): number {
  let found = -Infinity;
  for (const value of values) if (value > found || Number.isNaN(value)) found = value;
  return found;
}

/** Puts items at the end of a list, however many. */
export function append<T>(list: T[], items: Iterable<T>): void {
  for (const item of items) list.push(item);
}
