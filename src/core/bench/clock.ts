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

/**
 * The clock as it is looked at. Forward it may jump: the machine slept, and light and drying went on. Backward it only goes where
 * someone has set it: what it showed before goes on. Pure.
 */
export function looked({ shift_ms, seen_ms }: BenchClock, wall_ms: number): BenchClock {
  const back_ms = seen_ms - wall_ms;
  return { shift_ms: back_ms > GRAIN_MS ? shift_ms + back_ms : shift_ms, seen_ms: wall_ms };
}

/** The bench's time, in ms. */
export function timeOf({ shift_ms, seen_ms }: BenchClock): number {
  return seen_ms + shift_ms;
}
