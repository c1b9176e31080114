import { standing } from './events';
import type { Bench, BenchEvent, CourseRound } from './log';
import { atTable, beganAt_ms } from './atTable';
import { progressOf, type Progress } from './progress';

/** Two presses nearer than this are one that slipped: nobody does work in so short a time. */
const TWICE_MS = 400;

/** What a press comes to: what is written down, or why nothing is. */
export type Pressed =
  | { event: BenchEvent }
  | { refused: 'twice' }
  | { refused: 'waits'; words: string; until_ms: number }
  | { refused: 'before'; at_ms: number }
  | { refused: 'over' };

type By = Extract<BenchEvent, { what: 'done' }>['by'];

/**
 * The one press of the table: begins, says that what is shown is done, or puts the nails into the lamp and begins its light. A press
 * that comes twice, or while a hand is still in the lamp, does nothing and says so: nothing is skipped. It ends a break, and no more.
 * `now_ms` may lie before this moment, where the press was forgotten; `first`: an operation whose round is done before its turn; `whole`: all
 * that is left of the pass.
 */
export function press(
  bench: Bench,
  now_ms: number,
  by: By,
  { first, whole = false }: { first?: string | undefined; whole?: boolean } = {},
): Pressed {
  const progress = progressOf(bench, first);
  const { now, begun_ms, ended, last_ms, paused_ms } = progress;
  if (ended) return { refused: 'over' };
  if (begun_ms === undefined) return { event: { what: 'begun', at_ms: now_ms } };
  const last = bench.events.at(-1);
  if (last && last.what !== 'taken-back' && Math.abs(now_ms - last.at_ms) < TWICE_MS)
    return { refused: 'twice' };
  if (paused_ms !== undefined) return { event: { what: 'resumed', at_ms: now_ms } };
  if (last_ms !== undefined && now_ms < last_ms) return { refused: 'before', at_ms: last_ms };
  if (!now) return { event: { what: 'ended', at_ms: now_ms } };
  const { waitsFor } = atTable(bench, now_ms, progress);
  if (waitsFor) return { refused: 'waits', words: waitsFor.words, until_ms: waitsFor.until_ms };
  if (now.kind === 'load')
    return {
      event: {
        what: 'lit',
        at_ms: now_ms,
        words: now.words,
        lamp: now.light!.lamp,
        mode: now.light!.mode,
        seconds: now.light!.seconds,
        nails: now.nails,
        operations: now.operations,
      },
    };
  const done = whole ? restOfPass(progress) : [now];
  const { wait_s } = done.at(-1)!;
  return {
    event: {
      what: 'done',
      at_ms: now_ms,
      from_ms: beganAt_ms(bench, now, progress, now_ms),
      words: done.map(({ words }) => words).join('; '),
      by,
      pieces: done.flatMap(({ pieces }) => pieces),
      ...(wait_s ? { rest_s: wait_s } : {}),
    },
  };
}

/**
 * The work of the pass that stands now, as far as it is done in one go: up to a light, a rest that has to be waited for, or the next
 * pass. One round, or none, where there is nothing to do at once.
 */
export function restOfPass({ now, next }: Pick<Progress, 'now' | 'next'>): CourseRound[] {
  if (!now || now.kind === 'load') return [];
  const all = [now];
  for (const round of next) {
    const goesOn = round.kind === 'work' && now.pass !== undefined && round.pass?.number === now.pass.number;
    // What rests has a press of its own: its nails rest, and no others.
    if (!goesOn || all.at(-1)!.wait_s || round.wait_s) break;
    all.push(round);
  }
  return all;
}

/** Takes back the last that was done or lit; undefined where nothing was. */
export function takeBack({ events }: Bench, now_ms: number): BenchEvent | undefined {
  const of = standing(events).findLastIndex(
    (one) => one?.what === 'done' || one?.what === 'lit' || one?.what === 'undone' || one?.what === 'ended',
  );
  return of < 0 ? undefined : { what: 'taken-back', at_ms: now_ms, of };
}

/** A light that ended early, as its lamp or the artist says; undefined where it has had its time. */
export function cutShort(
  bench: Bench,
  of: number,
  why: Extract<BenchEvent, { what: 'cut-short' }>['why'],
  now_ms: number,
): BenchEvent | undefined {
  const running = atTable(bench, now_ms).timers.some(({ kind, event }) => kind === 'light' && event === of);
  return running ? { what: 'cut-short', at_ms: now_ms, of, why } : undefined;
}

/** The light of an event once more, its whole time. */
export function again({ events }: Bench, of: number, now_ms: number): BenchEvent | undefined {
  const lit = events[of];
  return lit?.what === 'lit' ? { ...lit, at_ms: now_ms } : undefined;
}
