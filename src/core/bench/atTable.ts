import { append } from '../model/extent';
import type { Hand, NailName } from '../model/names';
import { handsOf, nailIn, nailsIn } from './events';
import type { Bench, CourseRound } from './log';
import { progressOf, type Progress } from './progress';
import { givenLights, standingWork } from './standingWork';

/** Something that runs by the clock: a light, a rest, or what must follow soon. */
export interface Timer {
  kind: 'light' | 'rest' | 'window';
  words: string;
  nails: NailName[];
  from_ms: number;
  /** When it is over; of a window, when what must follow has come too late. */
  until_ms: number;
  /** Of a window: what is wished. */
  guide_ms?: number;
  /** Of a light: its event's place in the log. */
  event?: number;
  hand?: Hand | 'both';
  lamp?: string;
}

/** What the table is like at one moment. */
export interface AtTable extends Progress {
  /** The lamp or rest that has to be waited for before `now` may begin. */
  waitsFor: Timer | undefined;
  timers: Timer[];
}

/** The table as it is: what to do now, what runs, and what went short. Pure; by the clock and not by ticks. */
export function atTable(bench: Bench, now_ms: number, progress = progressOf(bench)): AtTable {
  const timers = timersOf(bench, progress, now_ms);
  return { ...progress, timers, waitsFor: progress.now && waited(progress.now, timers) };
}

/**
 * When the hands began with some work that is done at `at_ms`: after what they did last, not while a hand was in the lamp or a nail
 * rested, and a break is no work.
 */
export function beganAt_ms(bench: Bench, work: CourseRound, progress: Progress, at_ms: number): number {
  const last_ms = progress.last_ms ?? at_ms;
  const waits = waited(work, timersOf(bench, progress, last_ms));
  let away_ms = 0;
  let paused_ms: number | undefined;
  for (const one of bench.events) {
    if (one.what === 'paused' && one.at_ms >= last_ms) paused_ms = one.at_ms;
    if (one.what === 'resumed' && paused_ms !== undefined) {
      away_ms += one.at_ms - paused_ms;
      paused_ms = undefined;
    }
  }
  return Math.min(at_ms, Math.max(waits?.until_ms ?? last_ms, last_ms + away_ms));
}

/** Lights that are on, nails that rest, and what waits for what must follow it. */
function timersOf({ course, events }: Bench, { ended_ms }: Progress, now_ms: number): Timer[] {
  const real = standingWork(events);
  const timers: Timer[] = [];
  for (const [event, { lit, end_ms }] of givenLights(real))
    if (end_ms > now_ms)
      timers.push({
        kind: 'light',
        words: lit.words,
        nails: lit.nails,
        from_ms: lit.at_ms,
        until_ms: end_ms,
        event,
        lamp: lit.lamp,
        hand: handsOf(lit.nails),
      });
  for (const one of real) {
    const until_ms = one?.what === 'done' && one.rest_s ? one.at_ms + one.rest_s * 1000 : 0;
    if (one?.what === 'done' && until_ms > now_ms) {
      const nails = nailsIn(one.pieces);
      timers.push({
        kind: 'rest',
        words: one.words,
        nails,
        from_ms: one.at_ms,
        until_ms,
        hand: handsOf(nails),
      });
    }
  }
  append(timers, windowsOpen(course, ended_ms, now_ms));
  return timers;
}

/** A hand in the lamp is not worked on, and nothing rests that is taken in hand. */
function waited(now: CourseRound, timers: readonly Timer[]): Timer | undefined {
  const inTheWay = timers.filter(({ kind, hand, nails, lamp }) => {
    if (kind === 'window') return false;
    if (kind === 'rest') return now.nails.some((nail) => nails.includes(nail));
    if (now.kind === 'load' && lamp === now.light?.lamp) return true;
    return now.hand === 'both' || hand === 'both' || hand === now.hand;
  });
  return inTheWay.sort((a, b) => b.until_ms - a.until_ms)[0];
}

/**
 * What was done and has not been followed yet by what must follow it; of several that wait for the same, the last begins its time anew.
 * One for all nails of a round.
 */
function windowsOpen(
  course: readonly CourseRound[],
  ended: ReadonlyMap<string, number>,
  now_ms: number,
): Timer[] {
  const waiting = new Map<
    string,
    { window: CourseRound['windows'][number]; round: CourseRound; at_ms: number }
  >();
  for (const round of course)
    for (const window of round.windows) {
      const at_ms = ended.get(window.operation);
      if (at_ms === undefined || at_ms > now_ms || ended.has(window.follows)) continue;
      const known = waiting.get(window.follows);
      if (!known || known.at_ms <= at_ms) waiting.set(window.follows, { window, round, at_ms });
    }
  const rounds = new Map<CourseRound, Timer>();
  for (const { window, round, at_ms } of waiting.values()) {
    const nail = nailIn(window.operation);
    const known = rounds.get(round);
    if (known && known.from_ms <= at_ms) {
      known.nails.push(nail);
      continue;
    }
    rounds.set(round, {
      kind: 'window',
      words: window.words,
      nails: [...(known?.nails ?? []), nail],
      from_ms: at_ms,
      guide_ms: at_ms + window.guide_s * 1000,
      until_ms: at_ms + window.most_s * 1000,
    });
  }
  return [...rounds.values()];
}
