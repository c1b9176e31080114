import type { NailFrame } from './frame';

const MOST = 80;

/**
 * Remembers what depends on a nail's frame and a key alone. It is asked for again by every plan and picture of that nail
 * while an artist edits; what has not been asked for longest leaves first.
 */
export function perFrame<T>(most = MOST): (frame: NailFrame, key: string, make: () => T) => T {
  const byFrame = new WeakMap<NailFrame, Map<string, T>>();
  return (frame, key, make) => {
    let known = byFrame.get(frame);
    if (!known) byFrame.set(frame, (known = new Map()));
    const before = known.get(key);
    const value = before ?? make();
    known.delete(key);
    known.set(key, value);
    if (known.size > most) known.delete(known.keys().next().value!);
    return value;
  };
}
