import Papa from 'papaparse';
import { genericShelf, onShelf } from '../starter/shelf';
import type { Need } from '../stock/needs';
import { onTable, shoppingList } from '../stock/onTable';
import { shoppingCsv, tableCsv } from './tableCsv';

const base = { ...genericShelf().find(({ id }) => id === 'base-a')!, name: '=Base, "thin"' };
const need: Need = {
  key: 'product base-a',
  of: { kind: 'product', product: base },
  words: base.name,
  unit: 'ul',
  amount: 1365,
  on_nails: 887,
  first_s: 90.4,
  parts: [],
};
const stock = {
  shelf: [{ ...onShelf(base), count: 0.1, holds: 8, price: 9, use_by: '2026-01-31' }],
  supplies: [],
  takings: [],
};

describe('the table and the list of what to buy as CSV', () => {
  it('hold amounts in mL, and words that no table program runs', () => {
    const text = tableCsv(onTable([need], stock, '2026-03-01'));
    const [row] = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
    expect(row).toEqual({
      first_used_s: '90',
      thing: '\'=Base, "thin"',
      amount: '1.365',
      unit: 'mL',
      on_nails: '0.887',
      left: '0.8',
      standing: 'short',
      good_until: '2026-01-31',
    });
  });

  it('buy whole bottles, of what is past its date all that is wanted', () => {
    const text = shoppingCsv(shoppingList([[need], [need]], stock, '2026-03-01'));
    const [row] = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
    expect(row).toEqual({ thing: '\'=Base, "thin"', wanting: '2.73', unit: 'mL', packs: '1' });
  });
});
