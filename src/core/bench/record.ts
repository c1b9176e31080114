import { parseOperationId } from '../craft/operation';
import type { NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { nailIn, nailsIn, standing } from './events';
import type { Bench, BenchEvent } from './log';

/** One line of what was done: when, on which nails, how long it took and was to take. */
export interface RecordLine {
  at_ms: number;
  what: BenchEvent['what'];
  nails: NailName[];
  words: string;
  /** Of work and light: how long it took, and how long it was planned. */
  took_s?: number;
  planned_s?: number;
  by?: string;
}

const WHY = { door: 'its door was opened', fault: 'it failed' } as const;

/** What happened at the table from first to last; what was taken back is not in it. */
export function recordOf({ events }: Pick<Bench, 'events'>): RecordLine[] {
  const cut = new Map(events.flatMap((one) => (one.what === 'cut-short' ? [[one.of, one] as const] : [])));
  return standing(events).flatMap((one, i): RecordLine[] => {
    if (!one) return [];
    const line = { at_ms: one.at_ms, what: one.what };
    switch (one.what) {
      case 'begun':
        return [{ ...line, nails: [], words: 'Begun' }];
      case 'ended':
        return [{ ...line, nails: [], words: 'Ended' }];
      case 'done':
        return [
          {
            ...line,
            nails: nailsIn(one.pieces),
            words: one.words,
            took_s: rounded((one.at_ms - one.from_ms) / 1000, 1),
            planned_s: rounded(
              one.pieces.reduce((sum, { seconds }) => sum + seconds, 0),
              1,
            ),
            by: one.by,
          },
        ];
      case 'lit': {
        const short = cut.get(i);
        const given_s = short ? (short.at_ms - one.at_ms) / 1000 : one.seconds;
        return [
          {
            ...line,
            nails: one.nails,
            words: `${one.words}${short ? `, cut short: ${WHY[short.why]}` : ''}`,
            took_s: rounded(given_s, 1),
            planned_s: one.seconds,
          },
        ];
      }
      case 'replanned':
        return [{ ...line, nails: [], words: `Planned from here: ${one.why}` }];
      case 'noted':
        return [{ ...line, nails: one.operation ? [nailIn(one.operation)] : [], words: one.text }];
      case 'cut-short':
      case 'taken-back':
        return [];
    }
  });
}

/** Hand work of one kind, as it was really done. */
export interface OwnTime {
  /** What is done, such as "coat" or "file". */
  work: string;
  times: number;
  /** The artist's time as a share of the planned one: the middle of all, and how far the middle half lies about it. */
  share: number;
  from: number;
  to: number;
}

/** Fewer times say too little. */
const LEAST_TIMES = 3;
/** A round that took so many times its plan was broken off by something else. */
const OUTLIER = 4;

/**
 * How long each kind of work took beside its plan, over many records: robust, by the median and the quartiles (Tukey's hinges). Rounds with
 * light in them, and such as took more than four times their plan, are left out.
 */
export function ownTimes(benches: readonly Pick<Bench, 'events'>[]): OwnTime[] {
  const shares = new Map<string, number[]>();
  for (const { events } of benches) {
    for (const one of standing(events)) {
      if (one?.what !== 'done' || one.pieces.some(({ light }) => light)) continue;
      const planned = one.pieces.reduce((sum, { seconds }) => sum + seconds, 0);
      const share = planned > 0 ? (one.at_ms - one.from_ms) / 1000 / planned : 0;
      const works = new Set(one.pieces.map(({ operation }) => workOf(operation)));
      const [work] = works;
      if (works.size === 1 && work && share > 0 && share < OUTLIER)
        shares.set(work, [...(shares.get(work) ?? []), share]);
    }
  }
  return [...shares]
    .filter(([, all]) => all.length >= LEAST_TIMES)
    .map(([work, all]) => {
      const sorted = all.toSorted((a, b) => a - b);
      const half = Math.ceil(sorted.length / 2);
      return {
        work,
        times: all.length,
        share: rounded(median(sorted), 2),
        from: rounded(median(sorted.slice(0, half)), 2),
        to: rounded(median(sorted.slice(-half)), 2),
      };
    })
    .sort((a, b) => a.work.localeCompare(b.work));
}

/** "left-ring/prep/buff#1" is "buff": the step, whatever it belongs to. */
function workOf(operation: string): string {
  return parseOperationId(operation)?.step ?? '';
}

function median(sorted: readonly number[]): number {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
