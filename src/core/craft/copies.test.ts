import fc from 'fast-check';
import {
  beside,
  clearOf,
  ofParts,
  partsAgain,
  partsMirrored,
  partsOf,
  withoutParts,
  withParts,
  type Copies,
} from './copies';

const stones: Copies = { path: 'stones', part: 'stone', most: 80 };
const pieces: Copies = { path: 'pieces', part: 'piece', most: 60 };
const place = {
  across: fc.double({ min: -1, max: 1, noNaN: true }),
  along: fc.double({ min: 0, max: 2, noNaN: true }),
};
const spot = fc.record(place);
const list = fc.array(spot, { minLength: 1, maxLength: 12 });

describe('parts copied', () => {
  it('again are beside themselves, on the nail, behind all that were there', () => {
    fc.assert(
      fc.property(list, fc.nat(11), (parts, i) => {
        const next = partsAgain({ id: 'a', stones: parts }, stones, [`stone-${i}`]);
        expect(next.id).toBe('a');
        expect(next.stones.slice(0, parts.length)).toEqual(parts);
        expect(next.stones).toHaveLength(parts.length + (i < parts.length ? 1 : 0));
        for (const one of next.stones) {
          expect(Math.abs(one.across)).toBeLessThanOrEqual(1);
          expect(one.along).toBeLessThanOrEqual(2);
        }
        const copy = next.stones[parts.length];
        if (copy) expect(copy).toEqual(beside(parts[i]!));
      }),
    );
  });

  it('taken from one and laid into another lie where they lay; taken out, what is left is what was not held', () => {
    fc.assert(
      fc.property(list, list, fc.array(fc.nat(11), { minLength: 1 }), (from, into, which) => {
        const ids = which.map((i) => `piece-${i}`);
        const taken = partsOf({ pieces: from }, pieces, ids);
        expect(withParts({ pieces: into }, pieces, taken).pieces).toEqual([...into, ...taken]);
        const left = withoutParts({ pieces: from }, pieces, ids).pieces;
        const kept = from.filter((_, i) => !which.includes(i));
        expect(left).toEqual(kept.length > 0 ? kept : from.slice(0, 1));
        if (taken.length > 0) expect(ofParts({ pieces: into }, pieces, taken).pieces).toEqual(taken);
      }),
    );
  });

  it('are laid beside what lies on their very spot, and even a full corner of the nail comes to an end', () => {
    const one = { across: 0, along: 1 };
    expect(clearOf([one], [])).toEqual([one]);
    expect(clearOf([one], [one, beside(one)])).toEqual([beside(beside(one))]);
    const corner = { across: 1, along: 2 };
    expect(clearOf([corner], [corner, beside(corner), beside(beside(corner))])).toHaveLength(1);
  });

  it('mirrored lie as far on the other side and turned the other way; twice mirrored, where they were', () => {
    const turned = fc.record({ ...place, turn_deg: fc.integer({ min: -180, max: 180 }) });
    fc.assert(
      fc.property(turned, (part) => {
        const once = partsMirrored({ pieces: [part] }, pieces, ['piece-0']).pieces;
        if (Math.abs(part.across) <= 0.02) {
          expect(once).toEqual([part]);
          return;
        }
        expect(once[1]!.across + part.across).toBe(0);
        expect(once[1]!.turn_deg + part.turn_deg).toBe(0);
        expect(once[1]!.along).toBe(part.along);
        const back = partsMirrored({ pieces: [once[1]!] }, pieces, ['piece-0']).pieces[1]!;
        expect([back.across, back.turn_deg + 0]).toEqual([part.across, part.turn_deg + 0]);
      }),
    );
    // What has no turn gets none.
    const stone = { across: 0.5, along: 1 };
    expect(partsMirrored({ stones: [stone] }, stones, ['stone-0']).stones[1]).toEqual({
      across: -0.5,
      along: 1,
    });
  });

  it('an end that is held stands for its part; strangers and more than there may be are left out', () => {
    const [a, b] = [
      { across: 0, along: 1, name: 'a' },
      { across: 0.5, along: 1, name: 'b' },
    ];
    const both = { pieces: [a, b] };
    const named = (ids: string[], most: number) =>
      partsAgain(both, { ...pieces, most }, ids).pieces.map((one) => one.name);
    expect(named(['piece-1-end', 'piece-0', 'piece-1'], 60)).toEqual(['a', 'b', 'b', 'a']);
    expect(named(['smile-left', 'piece-9', 'stone-0'], 60)).toEqual(['a', 'b']);
    expect(named(['piece-0', 'piece-1'], 3)).toHaveLength(3);
    expect(named(['piece-0'], 1)).toEqual(['a', 'b']);
    expect(withoutParts(both, pieces, ['piece-0', 'piece-1']).pieces).toEqual([a]);
  });
});
