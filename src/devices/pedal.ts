import { signs } from './signs';

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
  const { say, listen } = signs<[]>();
  return { words: 'Simulated pedal', onPress: listen, send: say };
}
