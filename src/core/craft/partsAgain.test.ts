import fc from 'fast-check';
import { partsAgain } from './partsAgain';

const spot = fc.record({
  across: fc.double({ min: -1, max: 1, noNaN: true }),
  along: fc.double({ min: 0, max: 2, noNaN: true }),
});

describe('parts laid again', () => {
  it('are copies beside themselves, on the nail, behind all that were there', () => {
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 12 }), fc.nat(11), (parts, i) => {
        const next = partsAgain(parts, 'stone', [`stone-${i}`], 80);
        expect(next.slice(0, parts.length)).toEqual(parts);
        expect(next).toHaveLength(parts.length + (i < parts.length ? 1 : 0));
        for (const one of next) {
          expect(Math.abs(one.across)).toBeLessThanOrEqual(1);
          expect(one.along).toBeLessThanOrEqual(2);
        }
        const copy = next[parts.length];
        if (copy) expect(copy.across).not.toBe(parts[i]!.across);
      }),
    );
  });

  it('an end that is held stands for its part; strangers and more than there may be are left out', () => {
    const parts = [
      { across: 0, along: 1, name: 'a' },
      { across: 0.5, along: 1, name: 'b' },
    ];
    expect(partsAgain(parts, 'piece', ['piece-1-end', 'piece-0'], 60).map((one) => one.name)).toEqual([
      'a',
      'b',
      'b',
      'a',
    ]);
    expect(partsAgain(parts, 'piece', ['smile-left', 'piece-9', 'stone-0'], 60)).toEqual(parts);
    expect(partsAgain(parts, 'piece', ['piece-0', 'piece-1'], 3)).toHaveLength(3);
    expect(partsAgain(parts, 'piece', ['piece-0'], 1)).toEqual(parts);
  });
});
