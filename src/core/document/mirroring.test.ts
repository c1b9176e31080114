import { curtainUp } from '../demo/curtainUp';
import { FINGERS } from '../model/names';
import { chance } from '../model/chance';
import { randomSet } from '../testing/randomLooks';
import { applyChange } from './changes';
import { overwrittenBy } from './mirroring';

describe('what mirroring overwrites', () => {
  it('is told finger by finger: look, build, and what was a nail’s own', () => {
    const set = structuredClone(curtainUp());
    const like = applyChange(set, { kind: 'mirror', from: 'left' });
    if (!like.ok) throw new Error('mirrored');
    expect(overwrittenBy(like.value, 'left')).toEqual([]);
    const other = structuredClone(like.value);
    other.nails['right-ring'].look = null;
    other.nails['right-ring'].changes = [];
    other.nails['right-index'].build = other.builds.find(
      (build) => build.id !== other.nails['left-index'].build,
    )!.id;
    expect(overwrittenBy(other, 'left')).toMatchObject([
      { nail: 'right-ring', was: null, becomes: expect.any(String) as string, build: null },
      { nail: 'right-index', build: { was: expect.any(String) as string } },
    ]);
    // Seen from the other hand it is the other way round.
    expect(overwrittenBy(other, 'right').map((one) => one.nail)).toEqual(['left-index', 'left-ring']);
  });

  it('is just what a mirror changes, of the whole hand and of one finger', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const set = randomSet(chance(seed));
      set.nails['right-thumb'].look = null;
      const told = overwrittenBy(set, 'left');
      for (const finger of FINGERS) {
        const one = applyChange(set, { kind: 'mirror', from: 'left', finger });
        if (!one.ok) throw new Error('mirrored');
        const named = told.some((each) => each.finger === finger);
        expect(JSON.stringify(one.value.nails) === JSON.stringify(set.nails)).toBe(!named);
        expect(overwrittenBy(one.value, 'left')).toEqual(told.filter((each) => each.finger !== finger));
      }
    }
  });
});
