import type { Bench } from '../bench/log';
import { recordOf } from '../bench/record';
import { handOf, type Hand, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { safeCell, writeCsv } from './csv';

const COLUMNS = ['at_s', 'what', 'hand', 'nails', 'words', 'took_s', 'planned_s', 'by'] as const;

/** The record of a sitting as CSV, in seconds from its beginning. */
export function recordCsv(bench: Pick<Bench, 'events'>): string {
  const lines = recordOf(bench);
  const start = lines[0]?.at_ms ?? 0;
  const rows = lines.map(({ at_ms, what, nails, words, took_s, planned_s, by }) => [
    String(rounded((at_ms - start) / 1000, 1)),
    what,
    handsOf(nails),
    nails.join(' '),
    safeCell(words),
    figure(took_s),
    figure(planned_s),
    by ?? '',
  ]);
  return writeCsv(COLUMNS, rows);
}

function figure(value: number | undefined): string {
  return value === undefined ? '' : String(value);
}

function handsOf(nails: readonly NailName[]): Hand | 'both' | '' {
  const hands = new Set(nails.map(handOf));
  return hands.size === 0 ? '' : hands.size === 2 ? 'both' : [...hands][0]!;
}
