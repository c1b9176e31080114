import fc from 'fast-check';
import { curtainUp } from '../demo/curtainUp';
import { NAILS } from '../model/names';
import { applyChange, type Change } from './changes';
import { difference, goBack, goForward } from './difference';
import type { SetDocument } from './document';

const json = fc.jsonValue({ maxDepth: 4 });
/** Only the shape of plain data matters here. */
const asSet = (value: unknown) => ({ value }) as unknown as SetDocument;

describe('a difference', () => {
  it('leads from any data to any other, and back', () => {
    fc.assert(
      fc.property(json, json, (a, b) => {
        const [from, to] = [asSet(a), asSet(b)];
        const by = difference(from, to);
        expect(goForward(from, by)).toEqual(to);
        expect(goBack(to, by)).toEqual(from);
        // It is kept as plain data.
        expect(goForward(from, structuredClone(by))).toEqual(to);
      }),
      { numRuns: 500 },
    );
  });

  it('of one change is small, and alters neither set', () => {
    const from = curtainUp();
    const nail = fc.constantFrom(...NAILS);
    const change: fc.Arbitrary<Change> = fc.oneof(
      fc.record({ kind: fc.constant('rename' as const), title: fc.constantFrom('A', 'B') }),
      fc.record({
        kind: fc.constant('plate' as const),
        nail,
        plate: fc.record({ width_mm: fc.integer({ min: 8, max: 16 }) }),
      }),
      fc.record({ kind: fc.constant('wear' as const), nails: fc.tuple(nail), look: fc.constant('velvet') }),
    );
    fc.assert(
      fc.property(change, (one) => {
        const to = applyChange(from, one);
        if (!to.ok) throw new Error('refused');
        const by = difference(from, to.value);
        expect(JSON.stringify(by).length).toBeLessThan(600);
        expect(goBack(to.value, by)).toEqual(from);
        expect(from).toEqual(curtainUp());
      }),
    );
  });

  it('of a set with itself is nothing', () => {
    const set = curtainUp();
    expect(difference(set, set)).toEqual([]);
    expect(difference(set, curtainUp())).toEqual([]);
  });
});
