import type { Chance } from '../model/chance';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const ODD: readonly Json[] = [
  null,
  true,
  0,
  -0.0001,
  5e-324,
  1e-9,
  -1,
  0.5,
  2,
  7,
  12,
  60,
  1e6,
  1.7976931348623157e308,
  '',
  ' ',
  'ghost',
  'left-ring',
  'left-ring/top/coat#1',
  '#aabbcc',
  'whole',
  'usual',
  // What every object inherits.
  'constructor',
  '__proto__',
  'toString',
  { toString: 1, valueOf: 1 },
  { constructor: null, hasOwnProperty: [] },
  [],
  {},
  [[[[]]]],
];

interface Spot {
  owner: Json[] | Record<string, Json>;
  key: number | string;
}

/** Every place of a value, owners with their keys. */
function spots(value: Json, out: Spot[] = []): Spot[] {
  if (value === null || typeof value !== 'object') return out;
  const owner = value as Json[] | Record<string, Json>;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    out.push({ owner, key });
    spots((owner as Record<string | number, Json>)[key]!, out);
  }
  return out;
}

type Breakage = (spot: Spot, all: readonly Spot[], by: Chance) => void;
const at = ({ owner, key }: Spot) => (owner as Record<string | number, Json>)[key]!;
const set = ({ owner, key }: Spot, value: Json) => {
  (owner as Record<string | number, Json>)[key] = value;
};

/** Ways a file goes wrong: by hand, by another program, or on purpose. */
const BREAKAGES: readonly Breakage[] = [
  (spot, _all, by) => set(spot, by.pick(ODD)),
  (spot) => {
    if (Array.isArray(spot.owner)) spot.owner.splice(Number(spot.key), 1);
    else Reflect.deleteProperty(spot.owner, spot.key);
  },
  (spot, all, by) => set(spot, structuredClone(at(by.pick(all)))),
  (spot, _all, by) => {
    const value = at(spot);
    if (typeof value === 'number')
      set(spot, value * by.pick([-1, 0, 0.001, 0.5, 1.0001, 3, 1e5]) + by.pick([0, 1e-7, 1]));
    else if (typeof value === 'string') set(spot, value.slice(0, -1) + by.pick(['', '0', '/', 'é', value]));
    else if (Array.isArray(value)) set(spot, [...value, ...structuredClone(value)]);
  },
  (spot, _all, by) => {
    if (Array.isArray(spot.owner)) spot.owner.push(structuredClone(at(spot)));
    else spot.owner[`${spot.key}_${by.below(9)}`] = at(spot);
  },
];

/** What still looks right: a value where another of the same name stood, or a number a little off. */
const GENTLE: readonly Breakage[] = [
  (spot, all, by) => {
    const twins = all.filter((other) => other.key === spot.key && typeof at(other) === typeof at(spot));
    set(spot, structuredClone(at(by.pick(twins))));
  },
  (spot, _all, by) => {
    const value = at(spot);
    if (typeof value === 'number') set(spot, Number((value * (0.4 + 1.4 * by.next())).toFixed(3)));
    if (typeof value === 'boolean') set(spot, !value);
  },
];

/** Statements over the steps that a file's own edits name, and some any nail has: circles among them. */
function circles(file: Json, by: Chance): void {
  if (file === null || typeof file !== 'object' || Array.isArray(file)) return;
  const named = new Set(JSON.stringify(file.edits ?? []).match(/[a-z]+-[a-z]+\/[a-z0-9-]+\/[a-z0-9-]+#\d+/g));
  for (const nail of ['left-ring', 'left-index', 'right-thumb', 'right-ring'])
    for (const step of ['prep/sanitise', 'prep/brush', 'prep/prime', 'build/base', 'top/coat', 'care/oil'])
      named.add(`${nail}/${step}#1`);
  const ids = [...named];
  const before = (): Json => ({ kind: 'before', a: by.pick(ids), b: by.pick(ids) });
  const more = Array.from({ length: 1 + by.below(6) }, before);
  file.edits = [...(Array.isArray(file.edits) ? file.edits : []), ...more];
}

/** A copy of a file with a few things broken at random places of its structure: half of them hardly to be seen. */
export function brokenFile(file: Json, by: Chance): Json {
  const copy = structuredClone(file);
  const ways = by.below(2) === 0 ? BREAKAGES : GENTLE;
  const times = 1 + by.below(ways === GENTLE ? 8 : 3);
  for (let i = 0; i < times; i += 1) {
    const all = spots(copy);
    if (all.length > 0) by.pick(ways)(by.pick(all), all, by);
  }
  if (by.below(6) === 0) circles(copy, by);
  return copy;
}
