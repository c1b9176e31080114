import * as z from 'zod/mini';

/**
 * The bench's own time. What the table's clock shows may be put back, and a page may sleep or be loaded anew: `shift_ms` is what has
 * been put back since the work began, and is added to what the clock shows.
 */
export const BenchClock = z.strictObject({
  shift_ms: z.number(),
  /** What the clock showed when it was last looked at. */
  seen_ms: z.number(),
});
export type BenchClock = z.infer<typeof BenchClock>;

/** A clock put back by less is the grain of clocks. */
const GRAIN_MS = 50;

export function clockAt(wall_ms: number): BenchClock {
  return { shift_ms: 0, seen_ms: wall_ms };
}

/** A clock that was wrong, as with a dead battery, is set right by more than this. */
const SET_RIGHT_MS = 60_000;

/**
 * The clock as it is looked at. Forward it may jump: the machine slept, and light and drying went on. Backward it only goes where
 * someone has set it: what it showed before goes on, until it is set right and has caught up with that. Pure.
 */
export function looked({ shift_ms, seen_ms }: BenchClock, wall_ms: number): BenchClock {
  const on_ms = wall_ms - seen_ms;
  if (-on_ms > GRAIN_MS) return { shift_ms: shift_ms - on_ms, seen_ms: wall_ms };
  const isRightAgain = shift_ms > 0 && on_ms > Math.max(SET_RIGHT_MS, shift_ms);
  return { shift_ms: isRightAgain ? 0 : shift_ms, seen_ms: wall_ms };
}

/** The bench's time, in ms. */
export function timeOf({ shift_ms, seen_ms }: BenchClock): number {
  return seen_ms + shift_ms;
}
