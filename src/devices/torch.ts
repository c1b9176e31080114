import { shining } from './shining';
import { signs } from './signs';

/** What a torch says of itself. */
export type TorchSign =
  | { kind: 'on'; seconds: number }
  | { kind: 'ended' }
  | { kind: 'lost'; given_s: number };

/** A light in the hand, held to one nail for some seconds. */
export interface Torch {
  words: string;
  shine: (seconds: number) => void;
  /** Calls back at each sign. Returns how to stop. */
  onSign: (listener: (sign: TorchSign) => void) => () => void;
}

/** The stand-in that ships: its battery can go in the middle. */
export interface SimulatedTorch extends Torch {
  goOut: () => void;
  remaining_s: () => number;
}

/** `speed`: how much quicker than the clock it runs, for a practice run. */
export function simulatedTorch(speed = 1, now?: () => number): SimulatedTorch {
  const { say, listen } = signs<[TorchSign]>();
  const light = shining(speed, now);
  return {
    words: 'Simulated torch',
    shine: (seconds) => {
      light.start(seconds, () => say({ kind: 'ended' }));
      say({ kind: 'on', seconds });
    },
    goOut: () => {
      const given_s = light.stop();
      if (given_s !== undefined) say({ kind: 'lost', given_s });
    },
    remaining_s: light.remaining_s,
    onSign: listen,
  };
}
