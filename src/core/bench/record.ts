import { handOf, type Hand, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
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

const WHY = {
  door: 'its door was opened',
  fault: 'it failed',
  'taken-out': 'the hand was taken out',
} as const;

/** What happened at the table from first to last; what was taken back is not in it. */
export function recordOf({ events }: Pick<Bench, 'events'>): RecordLine[] {
  const back = new Set(events.flatMap((one) => (one.what === 'taken-back' ? [one.of] : [])));
  const cut = new Map(events.flatMap((one) => (one.what === 'cut-short' ? [[one.of, one] as const] : [])));
  return events.flatMap((one, i): RecordLine[] => {
    if (back.has(i)) return [];
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
            nails: [...new Set(one.pieces.map(({ operation }) => nailOf(operation)))],
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
        return [{ ...line, nails: one.operation ? [nailOf(one.operation)] : [], words: one.text }];
      case 'cut-short':
      case 'taken-back':
        return [];
    }
  });
}

function nailOf(operation: string): NailName {
  return operation.split('/')[0] as NailName;
}

const COLUMNS = ['at_s', 'what', 'hand', 'nails', 'words', 'took_s', 'planned_s', 'by'] as const;

/** The record as CSV (RFC 4180), in seconds from its beginning. A cell that a table program would take for a formula stands behind an apostrophe. */
export function recordCsv(bench: Pick<Bench, 'events'>): string {
  const lines = recordOf(bench);
  const start = lines[0]?.at_ms ?? 0;
  const rows = lines.map(({ at_ms, what, nails, words, took_s, planned_s, by }) => [
    String(rounded((at_ms - start) / 1000, 1)),
    what,
    handsOf(nails),
    nails.join(' '),
    words,
    took_s === undefined ? '' : String(took_s),
    planned_s === undefined ? '' : String(planned_s),
    by ?? '',
  ]);
  return `${[[...COLUMNS], ...rows].map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}

function handsOf(nails: readonly NailName[]): Hand | 'both' | '' {
  const hands = new Set(nails.map(handOf));
  return hands.size === 0 ? '' : hands.size === 2 ? 'both' : [...hands][0]!;
}

function cell(text: string): string {
  const safe = /^[=+\-@\t\r]/.test(text) && !/^-?\d/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
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
    const back = new Set(events.flatMap((one) => (one.what === 'taken-back' ? [one.of] : [])));
    events.forEach((one, i) => {
      if (one.what !== 'done' || back.has(i) || one.pieces.some(({ light }) => light)) return;
      const planned = one.pieces.reduce((sum, { seconds }) => sum + seconds, 0);
      const share = planned > 0 ? (one.at_ms - one.from_ms) / 1000 / planned : 0;
      const works = new Set(one.pieces.map(({ operation }) => workOf(operation)));
      const [work] = works;
      if (works.size === 1 && work && share > 0 && share < OUTLIER)
        shares.set(work, [...(shares.get(work) ?? []), share]);
    });
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
  return (operation.split('/')[2] ?? '').replace(/#\d+$/, '');
}

function median(sorted: readonly number[]): number {
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
