import { append } from '../model/extent';
import { HANDS, handOf, type Hand, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import type { Begun, Load, Stroke } from '../timing/problem';
import { nailIn, nailsIn, standing } from './events';
import type { Bench, BenchEvent, CourseRound } from './log';

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

/** What the table is like at one moment. */
export interface AtTable extends Progress {
  /** The lamp or rest that has to be waited for before `now` may begin. */
  waitsFor: Timer | undefined;
  timers: Timer[];
}

type Lit = Extract<BenchEvent, { what: 'lit' }>;
type Done = Extract<BenchEvent, { what: 'done' }>;

/** What of the log has come to something: what was done again since is gone, piece by piece. */
function standingWork(events: readonly BenchEvent[]): (BenchEvent | undefined)[] {
  const all = standing(events);
  const gone = new Set<string>();
  return all
    .toReversed()
    .map((one) => {
      if (one?.what === 'undone') for (const id of one.operations) gone.add(id);
      if (one?.what === 'done' || one?.what === 'lit') {
        const left = withoutGone(one, gone);
        // It was done anew after that: only this one was for nothing.
        for (const id of operationsOf(one)) gone.delete(id);
        return left;
      }
      return one;
    })
    .toReversed();
}

function operationsOf(one: Done | Lit): string[] {
  return one.what === 'lit' ? one.operations : one.pieces.map(({ operation }) => operation);
}

function withoutGone(one: Done | Lit, gone: ReadonlySet<string>): Done | Lit | undefined {
  if (operationsOf(one).every((id) => !gone.has(id))) return one;
  const left =
    one.what === 'lit'
      ? { ...one, operations: one.operations.filter((id) => !gone.has(id)) }
      : { ...one, pieces: one.pieces.filter(({ operation }) => !gone.has(operation)) };
  return operationsOf(left).length > 0 ? left : undefined;
}

/** How long each light was really on, by its place in the log. */
function givenLights(events: readonly (BenchEvent | undefined)[]): Map<number, { lit: Lit; end_ms: number }> {
  const given = new Map<number, { lit: Lit; end_ms: number }>();
  events.forEach((one, i) => {
    if (one?.what === 'lit') given.set(i, { lit: one, end_ms: one.at_ms + one.seconds * 1000 });
    const cut = one?.what === 'cut-short' ? given.get(one.of) : undefined;
    if (cut) cut.end_ms = Math.max(cut.lit.at_ms, Math.min(cut.end_ms, one!.at_ms));
  });
  return given;
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
  const nails = [...new Set(left.map(nailIn))];
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

/** The rounds that could be done before their turn: nothing else is to be done first on any nail of theirs. */
export function couldBeFirst({ now, next }: Pick<Progress, 'now' | 'next'>): CourseRound[] {
  const taken = new Set(now?.nails);
  return next.filter(({ nails }) => {
    const free = nails.every((nail) => !taken.has(nail));
    for (const nail of nails) taken.add(nail);
    return free;
  });
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

function handsOf(nails: readonly NailName[]): Hand | 'both' {
  const hands = HANDS.filter((hand) => nails.some((nail) => handOf(nail) === hand));
  return hands.length === 1 ? hands[0]! : 'both';
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

/** A held light runs its time however quick the hands are; where less time went by than that, it was cut with them. */
function sharesOf(pieces: Done['pieces'], took_s: number): { hand: number; light: number } {
  const sum = (lit: boolean) =>
    pieces.reduce((all, { seconds, light }) => all + ((light !== undefined) === lit ? seconds : 0), 0);
  const [light_s, hand_s] = [sum(true), sum(false)];
  const light = light_s > took_s ? took_s / light_s : 1;
  return { light, hand: hand_s > 0 ? Math.max(0, took_s - light_s * light) / hand_s : 0 };
}

/**
 * What is done as the planner takes it: in seconds from the beginning, each piece of work with its share of the time that the whole of
 * it took, each light with the seconds that it really gave.
 */
export function begunOf({ events }: Bench, now_ms: number): Begun | undefined {
  const real = standingWork(events);
  const start = real.find((one) => one?.what === 'begun');
  if (!start) return undefined;
  const s = (ms: number) => Math.round(ms - start.at_ms) / 1000;
  const strokes: Stroke[] = [];
  const loads: Load[] = [];
  const wipes: Begun['wipes'] = [];
  for (const [, { lit, end_ms }] of givenLights(real))
    loads.push({
      lamp: lit.lamp,
      hand: handOf(lit.nails[0]!),
      nails: lit.nails,
      operations: lit.operations,
      mode: lit.mode,
      start_s: s(lit.at_ms),
      end_s: s(end_ms),
    });
  for (const one of real) {
    if (one?.what !== 'done') continue;
    let t = s(one.from_ms);
    const share = sharesOf(one.pieces, s(one.at_ms) - t);
    for (const { operation, seconds, light, after } of one.pieces) {
      const end = t + seconds * (light ? share.light : share.hand);
      const nail = nailIn(operation);
      const times = { start_s: rounded(t), end_s: rounded(end) };
      if (light)
        loads.push({
          lamp: light.lamp,
          hand: handOf(nail),
          nails: [nail],
          operations: [operation],
          mode: light.mode,
          held: true,
          ...times,
        });
      else if (after) wipes.push({ operation, nail, hand: handOf(nail), changeover_s: 0, after, ...times });
      else strokes.push({ operation, nail, hand: handOf(nail), changeover_s: 0, ...times });
      t = end;
    }
  }
  const byStart = (a: { start_s: number }, b: { start_s: number }) => a.start_s - b.start_s;
  return { now_s: s(now_ms), strokes: strokes.sort(byStart), loads: loads.sort(byStart), wipes };
}
