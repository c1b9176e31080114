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
export function simulatedTorch(speed = 1, now: () => number = () => performance.now()): SimulatedTorch {
  const listeners = new Set<(sign: TorchSign) => void>();
  let running: { from_ms: number; seconds: number; over: ReturnType<typeof setTimeout> } | undefined;
  const say = (sign: TorchSign) => {
    for (const listener of listeners) listener(sign);
  };
  const given_s = () => (running ? Math.min(running.seconds, ((now() - running.from_ms) * speed) / 1000) : 0);
  const end = (sign: TorchSign) => {
    if (!running) return;
    clearTimeout(running.over);
    running = undefined;
    say(sign);
  };
  return {
    words: 'Simulated torch',
    shine: (seconds) => {
      if (running) clearTimeout(running.over);
      const over = setTimeout(() => end({ kind: 'ended' }), (seconds * 1000) / speed);
      running = { from_ms: now(), seconds, over };
      say({ kind: 'on', seconds });
    },
    goOut: () => end({ kind: 'lost', given_s: given_s() }),
    remaining_s: () => (running ? Math.max(0, running.seconds - given_s()) : 0),
    onSign: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
