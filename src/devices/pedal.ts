/**
 * A pedal under the table. One that types like a keyboard needs no port: it sends a space, an Enter or an arrow, and those are the
 * keys of the table.
 */
export interface Pedal {
  words: string;
  onPress: (listener: () => void) => () => void;
}

/** The stand-in that ships: pressed on the screen. */
export interface SimulatedPedal extends Pedal {
  send: () => void;
}

export function simulatedPedal(): SimulatedPedal {
  const listeners = new Set<() => void>();
  return {
    words: 'Simulated pedal',
    onPress: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    send: () => {
      for (const listener of listeners) listener();
    },
  };
}
