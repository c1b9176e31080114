import Papa from 'papaparse';
import type { BenchEvent } from '../bench/log';
import { recordCsv } from './recordCsv';

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
  it('is a CSV that another reader reads, and no formula', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(recordCsv({ events }), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(5);
    expect(data[1]).toMatchObject({
      at_s: '30',
      what: 'done',
      hand: 'left',
      words: 'Base A, "thin"',
      took_s: '30',
    });
    expect(data[3]!.words).toBe("'=2+3, odd");
  });
});
