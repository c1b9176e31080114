/** Those who listen to a device, and how it is said to all of them. */
export function signs<T extends unknown[]>() {
  const listeners = new Set<(...sign: T) => void>();
  return {
    say: (...sign: T) => {
      for (const listener of listeners) listener(...sign);
    },
    /** Calls back at each sign. Returns how to stop. */
    listen: (listener: (...sign: T) => void): (() => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
