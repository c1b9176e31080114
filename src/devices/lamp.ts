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
export function simulatedLamp(speed = 1, now: () => number = () => performance.now()): SimulatedLamp {
  const listeners = new Set<(sign: LampSign) => void>();
  let running: { from_ms: number; seconds: number; over: ReturnType<typeof setTimeout> } | undefined;
  const say = (sign: LampSign) => {
    for (const listener of listeners) listener(sign);
  };
  const given_s = () => (running ? Math.min(running.seconds, ((now() - running.from_ms) * speed) / 1000) : 0);
  const end = (sign: (given: number) => LampSign) => {
    if (!running) return;
    const given = given_s();
    clearTimeout(running.over);
    running = undefined;
    say(sign(given));
  };
  return {
    words: 'Simulated lamp',
    start: (seconds) => {
      if (running) clearTimeout(running.over);
      const over = setTimeout(
        () => end(() => ({ kind: 'ended', given_s: seconds })),
        (seconds * 1000) / speed,
      );
      running = { from_ms: now(), seconds, over };
      say({ kind: 'started', seconds });
    },
    openDoor: () => end((given) => ({ kind: 'stopped', why: 'door', given_s: given })),
    fail: () => end((given) => ({ kind: 'stopped', why: 'fault', given_s: given })),
    talkNonsense: () => say({ kind: 'stopped', why: 'fault', given_s: NaN }),
    remaining_s: () => (running ? Math.max(0, running.seconds - given_s()) : 0),
    onSign: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
