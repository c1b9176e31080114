/** Repeatable chance: numbers from a seed (mulberry32, a common 32-bit generator). */
export interface Chance {
  /** 0 ≤ n < 1. */
  next: () => number;
  /** A whole number from 0 to below `n`. */
  below: (n: number) => number;
  pick: <T>(items: readonly T[]) => T;
}

export function chance(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const below = (n: number) => Math.floor(next() * n);
  return { next, below, pick: (items) => items[below(items.length)]! };
}

/** A seed from what is there: another throw each time, and the same after undo (FNV-1a). */
export function seedOf(of: unknown): number {
  let hash = 2166136261;
  for (const char of JSON.stringify(of)) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619);
  return hash >>> 0;
}
