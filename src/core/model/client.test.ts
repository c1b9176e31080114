import fc from 'fast-check';
import { newSet } from '../starter/newSet';
import { Client, newClient, platesOf, withMeasures } from './client';

const plates = platesOf(newSet('a', 'A').nails);

describe('a client’s card', () => {
  it('keeps measures by day, latest first, one of each day, sixty at most', () => {
    const day = fc
      .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
      .map((date) => date.toISOString().slice(0, 10));
    fc.assert(
      fc.property(fc.array(day, { minLength: 1, maxLength: 90 }), (days) => {
        const card = days.reduce((one, on) => withMeasures(one, { on, plates }), newClient('c', 'C'));
        const wanted = [...new Set(days)].sort().reverse().slice(0, 60);
        expect(card.measures.map((one) => one.on)).toEqual(wanted);
        expect(Client.safeParse(card).success).toBe(true);
      }),
    );
  });

  it('replaces what was measured on the same day', () => {
    const thinner = { ...plates, 'left-thumb': { ...plates['left-thumb'], thickness_mm: 0.2 } };
    const first = withMeasures(newClient('c', 'C'), { on: '2026-11-25', plates });
    const again = withMeasures(first, { on: '2026-11-25', plates: thinner });
    expect(again.measures).toEqual([{ on: '2026-11-25', plates: thinner }]);
  });

  it.each([
    ['a day that is none', { measures: [{ on: '2026-02-30', plates }] }, 'measures.0.on'],
    ['a name that nobody can see', { name: '\u200b' }, 'name'],
    [
      'a nail that is missing',
      { measures: [{ on: '2026-02-01', plates: {} }] },
      'measures.0.plates.left-thumb',
    ],
    ['a word it does not know', { phone: '1' }, ''],
  ])('refuses %s, with its path', (_words, over, path) => {
    const read = Client.safeParse({ ...newClient('c', 'C'), ...over });
    const paths = read.success ? [] : read.error.issues.map((issue) => issue.path.join('.'));
    expect(paths).toContain(path);
  });
});
