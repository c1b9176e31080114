import fc from 'fast-check';
import { chance } from '../model/chance';
import { genericShelf, onShelf } from '../starter/shelf';
import type { ShelfItem } from '../model/shelf';
import type { Supply } from '../model/supply';
import { contentOf, leftAt, placeOf, type Stock } from './held';
import { onTable, shoppingList } from './onTable';
import type { Need } from './needs';
import { monthsAfter, pastOf } from './pastDate';
import type { Taking } from './taking';

const base = genericShelf().find(({ id }) => id === 'base-a')!;
const item = (over: Partial<ShelfItem> = {}): ShelfItem => ({
  ...onShelf(base),
  count: 3,
  holds: 8,
  holds_in: 'mL',
  ...over,
});
const need = (amount: number): Need => ({
  key: 'product base-a',
  of: { kind: 'product', product: base },
  words: base.name,
  unit: 'ul',
  amount,
  on_nails: amount,
  first_s: 0,
  parts: [{ nail: 'left-ring', element: 'prep', amount, on_nail: amount }],
});
const taking = (set: string, amount: number, at = '2026-05-01T10:00:00.000Z'): Taking => ({
  set,
  title: set,
  at,
  lines: [{ table: 'shelf', id: 'base-a', unit: 'ul', amount }],
});
const stockOf = (shelf: ShelfItem[], takings: Taking[] = [], supplies: Supply[] = []): Stock => ({
  shelf,
  supplies,
  takings,
});
const left = (stock: Stock) => leftAt(placeOf(need(1), stock)!, stock.takings);

describe('a shelf over a year', () => {
  it('holds what was counted less what was taken, after every order of done and undone of 400 sets', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const by = chance(seed);
        const amounts = Array.from({ length: 400 }, () => 1 + by.below(200));
        const rows = new Map<string, Taking>();
        const done = new Set<number>();
        for (let press = 0; press < 900; press += 1) {
          const i = by.below(400);
          // As the store does it: one row a set, put when it is done, gone when it is not.
          if (done.delete(i)) rows.delete(`set-${i}`);
          else {
            done.add(i);
            rows.set(`set-${i}`, taking(`set-${i}`, amounts[i]!));
          }
          if (by.below(7) === 0 && done.has(i)) rows.set(`set-${i}`, taking(`set-${i}`, amounts[i]!));
        }
        const taken = [...done].reduce((sum, i) => sum + amounts[i]!, 0);
        expect(left(stockOf([item()], [...rows.values()]))).toBe(24_000 - taken);
      }),
      { numRuns: 25 },
    );
  });

  it('what is counted by hand stands: what was taken before is in the count, and undoing it changes nothing', () => {
    const before = taking('old', 500, '2026-05-01T10:00:00.000Z');
    const after = taking('new', 300, '2026-05-03T10:00:00.000Z');
    const counted = item({ count: 2, counted_at: '2026-05-02T09:00:00.000Z' });
    expect(left(stockOf([counted], [before, after]))).toBe(15_700);
    expect(left(stockOf([counted], [after]))).toBe(15_700);
    expect(left(stockOf([counted], []))).toBe(16_000);
  });

  it('is never less than nothing in silence: more taken than counted is told as short', () => {
    const stock = stockOf([item({ count: 0.25 })], [taking('a', 3000)]);
    expect(left(stock)).toBe(-1000);
    expect(onTable([need(100)], stock, '2026-06-01')[0]).toMatchObject({ standing: 'short', left: -1000 });
  });

  it('knows nothing of what nobody counted, or of a bottle that nobody said holds anything', () => {
    expect(left(stockOf([item({ count: null })]))).toBeUndefined();
    expect(left(stockOf([item({ holds: null })]))).toBeUndefined();
    expect(onTable([need(100)], stockOf([item({ holds: null })]), '2026-06-01')[0]!.standing).toBe(
      'not-counted',
    );
    expect(onTable([need(100)], stockOf([]), '2026-06-01')[0]!.standing).toBe('missing');
    // What is not worked out yet takes nothing.
    expect(left(stockOf([item()], [{ ...taking('a', 1), lines: null }]))).toBe(24_000);
  });

  it('reckons a pot told by weight by its density, and says where that is only the usual one', () => {
    expect(contentOf(item({ holds: 11, holds_in: 'g' }), 'ul')).toEqual({
      amount: 10_000,
      by_usual_density: true,
    });
    expect(contentOf(item({ holds: 11, holds_in: 'g', density_g_ml: 1.25 }), 'ul')).toEqual({ amount: 8800 });
  });
});

describe('how a thing stands', () => {
  it.each([
    [1, 12_000, 'short'],
    [1, 5000, 'low'],
    [1, 4000, 'enough'],
  ] as const)('%d bottle of 8 mL for %d µL: %s', (count, amount, standing) => {
    expect(onTable([need(amount)], stockOf([item({ count })]), '2026-06-01')[0]!.standing).toBe(standing);
  });

  it('a week together: what is the same is bought once, in whole bottles', () => {
    const week = Array.from({ length: 40 }, () => [need(700)]);
    const [line, ...others] = shoppingList(week, stockOf([item({ count: 1 })]), '2026-06-01');
    // 28 mL are wanted and 8 are there: 20 mL are three bottles.
    expect(line).toMatchObject({ wanting: 20_000, packs: 3 });
    expect(others).toEqual([]);
    expect(shoppingList(week, stockOf([item({ count: 4 })]), '2026-06-01')).toEqual([]);
  });

  it('what is past its date counts as not there', () => {
    const old = item({ opened_on: '2025-01-31', good_for_months: 13 });
    expect(shoppingList([[need(100)]], stockOf([old]), '2026-06-01')[0]).toMatchObject({
      wanting: 100,
      packs: 1,
    });
  });
});

describe('how long a product is good', () => {
  it('runs from the day it was opened, and ends with the month where the day is not in it', () => {
    expect(monthsAfter('2026-01-31', 1)).toBe('2026-02-28');
    expect(monthsAfter('2024-01-31', 1)).toBe('2024-02-29');
    expect(monthsAfter('2026-11-15', 14)).toBe('2028-01-15');
  });

  it.each([
    ['2026-05-31', undefined],
    ['2026-06-05', { good_until: '2026-07-01', gone: false }],
    ['2026-07-01', { good_until: '2026-07-01', gone: false }],
    ['2026-07-02', { good_until: '2026-07-01', gone: true }],
  ] as const)('on %s', (on, told) => {
    const past = pastOf(item({ opened_on: '2026-01-01', good_for_months: 6 }), on);
    if (told) expect(past).toMatchObject({ ...told, by: 'opened' });
    else expect(past).toBeUndefined();
  });

  it('the earlier of two days counts, and nothing is told where none is noted', () => {
    const both = item({ opened_on: '2026-01-01', good_for_months: 24, use_by: '2026-02-01' });
    expect(pastOf(both, '2026-03-01')).toEqual({ good_until: '2026-02-01', by: 'use-by', gone: true });
    expect(pastOf(item({ opened_on: '2020-01-01' }), '2026-03-01')).toBeUndefined();
  });
});
