import type { Begun, Schedule } from './problem';

/** What a sitting that is run just as it was planned has behind it at a moment; work that is under way then is still to do. */
export function begunAt({ strokes, loads, wipes }: Schedule, now_s: number): Begun {
  const wiped = new Set(wipes.map(({ operation }) => operation));
  return {
    now_s,
    strokes: strokes.filter(({ operation, end_s }) => end_s <= now_s && !wiped.has(operation)),
    loads: loads.filter(({ start_s, end_s, held }) => (held ? end_s : start_s) <= now_s),
    wipes: wipes.filter(({ end_s }) => end_s <= now_s),
  };
}
