import type { SetDocument } from './document';

type Place = (string | number)[];
/** What stands at a place, before and after; left out where nothing stood there. */
interface Spot {
  at: Place;
  was?: unknown;
  is?: unknown;
}
/** What tells one set from another. Plain data; small where the sets share most of what they hold. */
export type Difference = Spot[];

/** The difference from one set to another. What both hold as the very same object is passed over unread. */
export function difference(from: SetDocument, to: SetDocument): Difference {
  const spots: Difference = [];
  compare(from, to, [], spots);
  return spots;
}

function compare(a: unknown, b: unknown, at: Place, spots: Difference): void {
  if (Object.is(a, b)) return;
  if (Array.isArray(a) && Array.isArray(b) && a.length === b.length) {
    a.forEach((item, i) => compare(item, b[i], [...at, i], spots));
  } else if (isObject(a) && isObject(b)) {
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
      const [had, has] = [Object.hasOwn(a, key), Object.hasOwn(b, key)];
      if (had && has) compare(a[key], b[key], [...at, key], spots);
      else spots.push({ at: [...at, key], ...(had ? { was: a[key] } : { is: b[key] }) });
    }
  } else {
    spots.push({ at, was: a, is: b });
  }
}

/** The set that a difference leads to. Neither is altered; the difference must be one from this very set. */
export function goForward(set: SetDocument, by: Difference): SetDocument {
  return by.reduce((now, { at, ...spot }) => put(now, at, spot, 'is'), set as unknown) as SetDocument;
}

/** The set that a difference came from. */
export function goBack(set: SetDocument, by: Difference): SetDocument {
  return by.reduce((now, { at, ...spot }) => put(now, at, spot, 'was'), set as unknown) as SetDocument;
}

function put(holder: unknown, at: Place, spot: Omit<Spot, 'at'>, side: 'was' | 'is'): unknown {
  const [key, ...rest] = at;
  if (key === undefined) return spot[side];
  if (Array.isArray(holder))
    return holder.map((item: unknown, i) => (i === key ? put(item, rest, spot, side) : item));
  // Own entries only: a file may well hold a key such as "__proto__".
  const entries = new Map(Object.entries(holder as object));
  if (rest.length === 0 && !(side in spot)) entries.delete(String(key));
  else entries.set(String(key), put(entries.get(String(key)), rest, spot, side));
  return Object.fromEntries(entries);
}

function isObject(value: unknown): value is Record<string, unknown> {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}
