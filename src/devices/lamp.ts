import { shining } from './shining';
import { signs } from './signs';

/** What a lamp says of itself. */
export type LampSign =
  | { kind: 'started'; seconds: number }
  /** Its time is over. */
  | { kind: 'ended'; given_s: number }
  /** Stopped before its time. */
  | { kind: 'stopped'; why: 'door' | 'fault'; given_s: number };

/** A lamp that can be told how long to shine, and says when it begins and ends. */
export interface Lamp {
  words: string;
  start: (seconds: number) => void;
  /** Calls back at each sign. Returns how to stop. */
  onSign: (listener: (sign: LampSign) => void) => () => void;
}

/** The stand-in that ships: it has a door, and it can fail. */
export interface SimulatedLamp extends Lamp {
  openDoor: () => void;
  fail: () => void;
  /** Says something no lamp can say. */
  talkNonsense: () => void;
  remaining_s: () => number;
}

/** `speed`: how much quicker than the clock it runs, for a practice run. */
export function simulatedLamp(speed = 1, now?: () => number): SimulatedLamp {
  const { say, listen } = signs<[LampSign]>();
  const light = shining(speed, now);
  const stopped = (why: 'door' | 'fault') => {
    const given_s = light.stop();
    if (given_s !== undefined) say({ kind: 'stopped', why, given_s });
  };
  return {
    words: 'Simulated lamp',
    start: (seconds) => {
      light.start(seconds, () => say({ kind: 'ended', given_s: seconds }));
      say({ kind: 'started', seconds });
    },
    openDoor: () => stopped('door'),
    fail: () => stopped('fault'),
    talkNonsense: () => say({ kind: 'stopped', why: 'fault', given_s: NaN }),
    remaining_s: light.remaining_s,
    onSign: listen,
  };
}
