import { fail, ok, type Result } from '../model/result';

type Json = Record<string, unknown>;

/** One step forward. Pure; gets a copy and may change it freely. */
type Migration = (file: Json) => Result<Json>;

/**
 * Version 0 wrote the practice as switches (`wipe_base`, `bed_stones`), called the length past the free edge
 * of a nail `free_mm`, and had no word on whether the hands are alike.
 */
const fromVersion0: Migration = (file) => {
  const practice = file.practice;
  if (!isObject(practice)) return fail('practice', 'must be an object');
  const { wipe_base, bed_stones, ...rest } = practice;
  file.practice = {
    base: wipe_base === true ? 'wipe' : 'leave',
    stones: bed_stones === true ? 'bedded' : 'wet-top',
    hands: 'alike',
    ...rest,
  };
  if (!isObject(file.nails)) return fail('nails', 'must be an object');
  for (const [name, nail] of Object.entries(file.nails)) {
    if (!isObject(nail) || !isObject(nail.plate)) return fail(`nails.${name}.plate`, 'must be an object');
    const { free_mm, ...plate } = nail.plate;
    nail.plate = { ...plate, free_edge_mm: free_mm };
  }
  return ok(file);
};

/** The step that leads away from each version. */
const STEPS: readonly Migration[] = [fromVersion0];

/** Brings a file of an older version forward. The input is left as it is. */
export function migrate(file: Json, version: number): Result<Json> {
  let current = version < STEPS.length ? (structuredClone(file) as Json) : file;
  for (let v = version; v < STEPS.length; v += 1) {
    const next = STEPS[v]!(current);
    if (!next.ok) return next;
    current = { ...next.value, version: v + 1 };
  }
  return ok(current);
}

function isObject(value: unknown): value is Json {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}
