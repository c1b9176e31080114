import { IN_ONE, UNIT_WORDS } from '../stock/amounts';
import type { TableLine, ToBuy } from '../stock/onTable';
import { rounded } from '../model/rounded';
import { safeCell, writeCsv } from './csv';

const COLUMNS = [
  'first_used_s',
  'thing',
  'amount',
  'unit',
  'on_nails',
  'left',
  'standing',
  'good_until',
] as const;

/** What goes on the table as CSV (RFC 4180), in order of first use. */
export function tableCsv(lines: readonly TableLine[]): string {
  return writeCsv(
    COLUMNS,
    lines.map(({ first_s, words, amount, unit, on_nails, left, standing, past }) => [
      String(Math.round(first_s)),
      safeCell(words),
      String(rounded(amount / IN_ONE[unit])),
      UNIT_WORDS[unit],
      String(rounded(on_nails / IN_ONE[unit])),
      left === undefined ? '' : String(rounded(left / IN_ONE[unit])),
      standing,
      past?.good_until ?? '',
    ]),
  );
}

/** What is to be bought as CSV. */
export function shoppingCsv(list: readonly ToBuy[]): string {
  return writeCsv(
    ['thing', 'wanting', 'unit', 'packs'],
    list.map(({ line, wanting, packs }) => [
      safeCell(line.words),
      String(rounded(wanting / IN_ONE[line.unit])),
      UNIT_WORDS[line.unit],
      packs === undefined ? '' : String(packs),
    ]),
  );
}
