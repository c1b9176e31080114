import { signs } from './signs';

/**
 * A caliper that sends what it reads. One that types like a keyboard needs no port: it types into the field at hand
 * and presses Enter.
 */
export interface Caliper {
  words: string;
  /** Calls back at each reading, in mm. Returns how to stop. */
  onReading: (listener: (mm: number) => void) => () => void;
}

/** The stand-in that ships: its jaws are opened on the screen. */
export interface SimulatedCaliper extends Caliper {
  /** Reads what its jaws are open, as the button on a caliper does. */
  send: (mm: number) => void;
}

export function simulatedCaliper(): SimulatedCaliper {
  const { say, listen } = signs<[number]>();
  return {
    words: 'Simulated caliper',
    onReading: listen,
    // As fine as the display of a usual caliper.
    send: (mm) => say(Math.round(mm * 100) / 100),
  };
}
