import type { Found } from '@/core/timing/sitting';

/** What long searches have found, by set: kept in this browser, so that a sitting once shown is shown again. */
export interface KnownSittings {
  of: (set: string) => Found | undefined;
  keep: (set: string, found: Found) => void;
}

const key = (set: string) => `found ${set}`;

/** Never throws: what cannot be read or kept is searched for anew. */
export const knownSittings: KnownSittings = {
  of: (set) => {
    try {
      const text = localStorage.getItem(key(set));
      const found = text === null ? undefined : (JSON.parse(text) as unknown);
      return isFound(found) ? found : undefined;
    } catch {
      return undefined;
    }
  },
  keep: (set, found) => {
    try {
      localStorage.setItem(key(set), JSON.stringify(found));
    } catch {
      // No room, or no store: the next opening searches again.
    }
  },
};

function isFound(value: unknown): value is Found {
  if (value === null || typeof value !== 'object') return false;
  const { mark, order, close, keep, hand_after_hand_s } = value as Partial<Record<keyof Found, unknown>>;
  return (
    typeof mark === 'string' &&
    [order, close, keep].every(Array.isArray) &&
    (hand_after_hand_s === undefined || Number.isFinite(hand_after_hand_s))
  );
}
