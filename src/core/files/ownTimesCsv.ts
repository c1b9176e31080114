import type { OwnTime } from '../model/ownTime';
import { writeCsv } from './csv';

const COLUMNS = ['work', 'family', 'hand', 'share', 'from', 'to', 'times'] as const;

/** The artist's own times as CSV: shares of the guide, the middle and its middle half. */
export function ownTimesCsv(times: readonly OwnTime[]): string {
  return writeCsv(
    COLUMNS,
    times.map(({ work, family = '', hand = '', share, from, to, times: count }) => [
      work,
      family,
      hand,
      ...[share, from, to, count].map(String),
    ]),
  );
}
