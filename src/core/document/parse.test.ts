import fc from 'fast-check';
import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { newSet } from '../starter/newSet';
import { MAX_FILE_BYTES, parseSet, parseSetText, writeSetText } from './parse';
import { faultLine } from '../model/result';

type Json = Record<string, unknown>;
const file = () => JSON.parse(writeSetText(curtainUp())) as Json;
/** Changes one place of a good file and tells the first fault. */
function fault(change: (set: ReturnType<typeof curtainUp>) => void): string {
  const set = curtainUp();
  change(set);
  const parsed = parseSet(JSON.parse(JSON.stringify(set)));
  return parsed.ok ? 'accepted' : faultLine(parsed.faults[0]!);
}

describe('reading a set', () => {
  it('takes every demo set and a new one, and writes the same text back', () => {
    for (const set of [...DEMO_SETS.map((demo) => demo.make()), newSet('a', 'A')]) {
      const text = writeSetText(set);
      const parsed = parseSetText(text);
      expect(parsed).toEqual({ ok: true, value: set });
      expect(parsed.ok && writeSetText(parsed.value)).toBe(text);
    }
  });

  it.each<[string, string, RegExp]>([
    ['no JSON', '{"format": ', /this is not JSON/],
    ['a list', '[]', /one JSON object/],
    ['nothing', 'null', /one JSON object/],
    ['another format', '{"format":"recipe","version":1}', /^format: must be/],
    ['no version', '{"format":"merry-lacquer-set"}', /^version: must be a whole number/],
    [
      'a newer version',
      '{"format":"merry-lacquer-set","version":99}',
      /^version: is 99; this program reads up to 1/,
    ],
  ])('refuses %s', (_words, text, message) => {
    const parsed = parseSetText(text);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && faultLine(parsed.faults[0]!)).toMatch(message);
  });

  it('refuses 50 MB without reading it', () => {
    const parsed = parseSetText(' '.repeat(50 * 1024 * 1024));
    expect(!parsed.ok && parsed.faults[0]!.message).toMatch(/50\.0 MB/);
    expect(MAX_FILE_BYTES).toBeLessThan(50 * 1024 * 1024);
  });

  it.each<[string, (set: ReturnType<typeof curtainUp>) => void, RegExp]>([
    [
      'an unknown key',
      (s) => Object.assign(s.nails['left-ring'].plate, { glitter: 1 }),
      /^nails\.left-ring\.plate\.glitter: is not a key/,
    ],
    [
      'a nail of 0 mm',
      (s) => (s.nails['left-ring'].plate.width_mm = 0),
      /^nails\.left-ring\.plate\.width_mm: must be at least 4 mm/,
    ],
    [
      'a nail of 400 mm',
      (s) => (s.nails['left-ring'].plate.width_mm = 400),
      /^nails\.left-ring\.plate\.width_mm: must be at most 25 mm/,
    ],
    [
      'a look that does not exist',
      (s) => (s.nails['right-thumb'].look = 'ghost'),
      /^nails\.right-thumb\.look: no look "ghost"/,
    ],
    [
      'a colour that is none',
      (s) => (s.kit.products[0]!.colour = 'plum'),
      /^kit\.products\.0\.colour: must be a colour/,
    ],
    [
      'a product that does not exist',
      (s) => Object.assign(s.looks[0]!.elements[0]!, { product: 'ghost' }),
      /^looks\.0\.elements\.0: no product "ghost"/,
    ],
    [
      'a build that does not exist',
      (s) => (s.nails['left-ring'].build = 'ghost'),
      /^nails\.left-ring\.build: no build "ghost"/,
    ],
    ['an id used twice', (s) => (s.looks[1]!.id = s.looks[0]!.id), /^looks\.1\.id: .* is used twice/],
    [
      'an id kept for the program',
      (s) => (s.looks[0]!.elements[0]!.id = 'prep'),
      /^looks\.0\.elements\.0\.id: .* is kept/,
    ],
    [
      'a technique that is none',
      (s) => Object.assign(s.looks[0]!.elements[0]!, { kind: 'sparkle' }),
      /^looks\.0\.elements\.0\.kind/,
    ],
    ['a missing nail', (s) => delete (s.nails as Partial<typeof s.nails>)['left-ring'], /^nails\.left-ring/],
    [
      'an edit that names no operation',
      (s) => (s.edits = [{ kind: 'skip', a: 'ring' }]),
      /^edits\.0\.a: must be an operation/,
    ],
    [
      'ombre stops out of order',
      (s) => {
        const glow = s.looks[1]!.elements[0]!;
        if (glow.kind === 'ombre') glow.stops.reverse();
      },
      /^looks\.1\.elements\.0\.stops: must lie in rising order/,
    ],
  ])('refuses %s, with its path', (_words, change, message) => {
    expect(fault(change)).toMatch(message);
  });

  it('refuses 10,000 elements', () => {
    expect(
      fault((set) => {
        const one = set.looks[0]!.elements[0]!;
        set.looks[0]!.elements = Array.from({ length: 10_000 }, (_, i) => ({ ...one, id: `e${i}` }));
      }),
    ).toMatch(/^looks\.0\.elements: must hold at most 40/);
  });

  it('never throws, whatever JSON it is given', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(parseSetText(text).ok).toBe(false);
      }),
    );
    // Real files with one value replaced by something else.
    const paths = ['nails', 'looks', 'builds', 'practice', 'kit', 'edits', 'title', 'note', 'id'];
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, value) => {
        const changed = { ...file(), [path]: value };
        const parsed = parseSet(changed);
        if (!parsed.ok) expect(parsed.faults[0]!.message.length).toBeGreaterThan(3);
      }),
      { numRuns: 200 },
    );
  });
});

describe('older files', () => {
  function version0(): Json {
    const old = file() as Json & { practice: Json; nails: Record<string, { plate: Json }> };
    const { base, stones, hands, ...rest } = old.practice;
    old.practice = { ...rest, wipe_base: base === 'wipe', bed_stones: stones === 'bedded' };
    expect(hands).toBe('alike');
    for (const nail of Object.values(old.nails)) {
      const { free_edge_mm, ...plate } = nail.plate;
      nail.plate = { ...plate, free_mm: free_edge_mm };
    }
    return { ...old, version: 0 };
  }

  it('of version 0 open as the set they were', () => {
    expect(parseSet(version0())).toEqual({ ok: true, value: curtainUp() });
  });

  it('are left as they are by the migration', () => {
    const old = version0();
    const before = structuredClone(old);
    parseSet(old);
    expect(old).toEqual(before);
  });

  it('with a fault are refused with its path', () => {
    const parsed = parseSet({ ...version0(), practice: 7 });
    expect(!parsed.ok && faultLine(parsed.faults[0]!)).toBe('practice: must be an object');
  });
});
