import type { BenchEvent } from './log';
import { recordOf } from './record';

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
});
