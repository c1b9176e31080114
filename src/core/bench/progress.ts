import type { NailName } from '../model/names';
import { handsOf, nailIn, nailsOf } from './events';
import type { Bench, BenchEvent, CourseRound } from './log';
import { givenLights, standingWork } from './standingWork';

/** A light that gave less than it was asked for. */
export interface ShortLight {
  event: number;
  nails: NailName[];
  given_s: number;
  asked_s: number;
}

/** How far a sitting has come: as its log says, whatever the clock shows. */
export interface Progress {
  begun_ms: number | undefined;
  ended: boolean;
  /** What is to be done now; undefined where all is done. */
  now: CourseRound | undefined;
  next: CourseRound[];
  short: ShortLight[];
  done: number;
  total: number;
  /** Each operation that is done, or under its lamp, with its end. */
  ended_ms: ReadonlyMap<string, number>;
  /** When the hands last were done with something; undefined where nothing was begun yet. */
  last_ms: number | undefined;
  /** Since when there is a break. */
  paused_ms: number | undefined;
}

/** Less than this short of what was asked is the lamp's own grain. */
const SHORT_S = 1;

/** What is done, what comes now and after, and which light went short. `first`: an operation whose round is done before its turn. Pure. */
export function progressOf({ course, events }: Pick<Bench, 'course' | 'events'>, first?: string): Progress {
  const real = standingWork(events);
  const lights = givenLights(real);
  const ended_ms = new Map<string, number>();
  for (const one of real)
    if (one?.what === 'done') for (const { operation } of one.pieces) ended_ms.set(operation, one.at_ms);
  const short: ShortLight[] = [];
  for (const [event, { lit, end_ms }] of lights) {
    const asked_s = lit.seconds;
    const given_s = (end_ms - lit.at_ms) / 1000;
    for (const operation of lit.operations) ended_ms.set(operation, end_ms);
    if (asked_s - given_s < SHORT_S) continue;
    // Lit again since, it has had its time.
    const again = [...lights].some(
      ([other, { lit: later }]) =>
        other > event && lit.operations.every((id) => later.operations.includes(id)),
    );
    if (!again) short.push({ event, nails: lit.nails, given_s, asked_s });
  }
  const open = course.flatMap((round) => leftOf(round, ended_ms));
  const before = open.find(({ operations }) => first !== undefined && operations.includes(first));
  const [now, ...next] = before ? [before, ...open.filter((one) => one !== before)] : open;
  const last = real.findLast((one) => one && HANDS_DONE.includes(one.what));
  const breaks = real.findLast((one) => one?.what === 'paused' || one?.what === 'resumed');
  return {
    begun_ms: real.find((one) => one?.what === 'begun')?.at_ms,
    ended: real.some((one) => one?.what === 'ended'),
    now,
    next,
    short,
    done: course.length - open.length,
    total: course.length,
    ended_ms,
    last_ms: last?.at_ms,
    paused_ms: breaks?.what === 'paused' ? breaks.at_ms : undefined,
  };
}

/** After these the hands are free for the next. */
const HANDS_DONE: readonly BenchEvent['what'][] = ['begun', 'done', 'lit'];

/** What of a round is still to do: all of it, or the nails on which it is not done, or nothing. */
function leftOf(round: CourseRound, ended: ReadonlyMap<string, number>): CourseRound[] {
  const own = round.kind === 'load' ? round.operations : round.pieces.map(({ operation }) => operation);
  const left = own.filter((id) => !ended.has(id));
  if (left.length === 0) return [];
  if (left.length === own.length) return [round];
  const nails = nailsOf(left);
  return [
    {
      ...round,
      hand: handsOf(nails),
      nails: round.nails.filter((nail) => nails.includes(nail)),
      operations: round.operations.filter((id) => !ended.has(id) && nails.includes(nailIn(id))),
      pieces: round.pieces.filter(({ operation }) => !ended.has(operation)),
    },
  ];
}

/** The rounds that could be done before their turn: nothing else is to be done first on any nail of theirs. */
export function couldBeFirst({ now, next }: Pick<Progress, 'now' | 'next'>): CourseRound[] {
  const taken = new Set(now?.nails);
  return next.filter(({ nails }) => {
    const free = nails.every((nail) => !taken.has(nail));
    for (const nail of nails) taken.add(nail);
    return free;
  });
}
