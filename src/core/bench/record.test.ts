import type { BenchEvent } from './log';
import { ownTimes, recordOf } from './record';

const done = (at_s: number, from_s: number, operation: string, seconds: number): BenchEvent => ({
  what: 'done',
  at_ms: at_s * 1000,
  from_ms: from_s * 1000,
  words: 'Base A, "thin"',
  by: 'pedal',
  pieces: [{ operation, seconds }],
});
const events: BenchEvent[] = [
  { what: 'begun', at_ms: 0 },
  done(30, 0, 'left-ring/build/base#1', 20),
  {
    what: 'lit',
    at_ms: 31_000,
    words: 'Cure Base A',
    lamp: 'lamp',
    mode: 'cure',
    seconds: 60,
    nails: ['left-ring'],
    operations: ['left-ring/build/cure-base#1'],
  },
  { what: 'cut-short', at_ms: 54_000, of: 2, why: 'door' },
  done(60, 54, 'left-ring/ground/coat#1', 20),
  { what: 'taken-back', at_ms: 61_000, of: 4 },
  { what: 'noted', at_ms: 62_000, operation: 'left-ring/ground/coat#1', text: '=2+3, odd' },
  { what: 'ended', at_ms: 63_000 },
];

describe('the record of a sitting', () => {
  it('says what was done, how long it took, and what its light really gave; what was taken back is not in it', () => {
    expect(recordOf({ events })).toMatchObject([
      { words: 'Begun' },
      { nails: ['left-ring'], took_s: 30, planned_s: 20, by: 'pedal' },
      { words: 'Cure Base A, cut short: its door was opened', took_s: 23, planned_s: 60 },
      { words: '=2+3, odd', nails: ['left-ring'] },
      { words: 'Ended' },
    ]);
  });

  it('gives the artist’s own times by work: the middle of all, outliers and few ones left out', () => {
    const many = (shares: number[]): { events: BenchEvent[] } => ({
      events: shares.map((share, i) => done(100 * i + 20 * share, 100 * i, 'left-ring/ground/coat#1', 20)),
    });
    // Median and Tukey's hinges of 1, 1.1, 1.2, 1.3, 1.5 by hand: 1.2, 1.1, 1.3; nine times its plan is something else.
    expect(ownTimes([many([1.5, 1, 1.1]), many([1.3, 1.2, 9])])).toEqual([
      { work: 'coat', times: 5, share: 1.2, from: 1.1, to: 1.3 },
    ]);
    expect(ownTimes([many([1, 1])])).toEqual([]);
    expect(ownTimes([{ events }])).toEqual([]);
  });
});
