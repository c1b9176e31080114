/** A light that shines for a time, and can be ended before. */
export interface Shining {
  /** Begins anew, whatever was on. */
  start: (seconds: number, onOver: () => void) => void;
  /** Ends it; what it gave, in seconds, or nothing where none was on. */
  stop: () => number | undefined;
  remaining_s: () => number;
}

/** `speed`: how much quicker than the clock it runs, for a practice run. */
export function shining(speed = 1, now: () => number = () => performance.now()): Shining {
  let running: { from_ms: number; seconds: number; over: ReturnType<typeof setTimeout> } | undefined;
  const given_s = () => (running ? Math.min(running.seconds, ((now() - running.from_ms) * speed) / 1000) : 0);
  const stop = () => {
    if (!running) return undefined;
    const given = given_s();
    clearTimeout(running.over);
    running = undefined;
    return given;
  };
  return {
    start: (seconds, onOver) => {
      stop();
      const over = setTimeout(
        () => {
          running = undefined;
          onOver();
        },
        (seconds * 1000) / speed,
      );
      running = { from_ms: now(), seconds, over };
    },
    stop,
    remaining_s: () => (running ? Math.max(0, running.seconds - given_s()) : 0),
  };
}
