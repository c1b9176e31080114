import { curtainUp } from '../demo/curtainUp';
import { chance } from '../model/chance';
import { FINGERS, mirrorOf, NAILS } from '../model/names';
import { randomSet } from '../testing/randomLooks';
import { handsApart, onBothHands, withTwins, type WornChange } from './bothHands';
import { applyChange, type Change } from './changes';
import type { SetDocument } from './document';

function after(set: SetDocument, change: Change): SetDocument {
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return next.value;
}

const worn = (set: SetDocument, nail: (typeof NAILS)[number]) => [
  set.nails[nail].look,
  set.nails[nail].changes,
];
const unlike = (set: SetDocument) =>
  FINGERS.filter(
    (finger) => JSON.stringify(worn(set, `left-${finger}`)) !== JSON.stringify(worn(set, `right-${finger}`)),
  );

/** Something to wear, to swap or to have otherwise, by chance. */
function anyChange(set: SetDocument, by: ReturnType<typeof chance>): WornChange {
  const nail = by.pick(NAILS);
  const element = set.looks.find((look) => look.id === set.nails[nail].look)?.elements[0]?.id;
  const kinds: WornChange[] = [
    { kind: 'wear', nails: [nail], look: by.pick(set.looks).id },
    { kind: 'wear', nails: NAILS.filter(() => by.below(3) === 0), look: null },
    { kind: 'swap', nails: [nail, by.pick(NAILS)] },
    ...(element
      ? [
          { kind: 'nail-change' as const, nail, change: { element, leave_off: true as const } },
          { kind: 'clear-nail-change' as const, nail, element },
        ]
      : []),
  ];
  return by.pick(kinds);
}

describe('both hands edited as one', () => {
  it('stay alike whatever they are given, nail by nail what the one alone would have got', () => {
    let changed = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const by = chance(seed);
      let set = after(randomSet(by), { kind: 'mirror', from: 'left' });
      for (let i = 0; i < 12; i += 1) {
        const change = anyChange(set, by);
        const alone = after(set, change);
        const both = onBothHands(set, change);
        const next = after(set, both.change);
        expect(unlike(next)).toEqual([]);
        // Swapped across the hands a finger gets what its own hand has there: no claim is made of that.
        if (change.kind !== 'swap')
          for (const nail of NAILS)
            if (!both.nails.includes(nail)) expect(next.nails[nail]).toEqual(alone.nails[nail]);
        changed += both.nails.length;
        set = next;
      }
    }
    expect(changed).toBeGreaterThan(100);
  });

  it('give back just what was carried over, and are meant to differ from then on', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const by = chance(seed);
      const set = randomSet(by);
      const change = anyChange(set, by);
      if (change.kind === 'swap') continue;
      const both = onBothHands(set, change);
      const apart = after(after(set, both.change), handsApart(set, both.nails));
      expect(apart.nails).toEqual(after(set, change).nails);
      expect(apart.practice.hands).toBe('differ');
    }
  });

  it('are alike after a swap even where they differed before', () => {
    const set = after(curtainUp(), { kind: 'swap', nails: ['right-ring', 'right-middle'] });
    expect(unlike(set)).toEqual(['ring', 'middle']);
    const both = onBothHands(set, { kind: 'swap', nails: ['left-ring', 'left-middle'] });
    expect(unlike(after(set, both.change))).toEqual([]);
    expect(both.nails).toEqual([]);
  });

  it('carry a nail’s own only to a twin that wears the same look, and nothing to a nail swapped with its twin', () => {
    const set = after(curtainUp(), { kind: 'wear', nails: ['right-ring'], look: 'velvet' });
    const own: WornChange = {
      kind: 'nail-change',
      nail: 'left-ring',
      change: { element: 'inlay', leave_off: true },
    };
    expect(onBothHands(set, own)).toEqual({ change: own, nails: [] });
    const twins: WornChange = { kind: 'swap', nails: ['left-ring', 'right-ring'] };
    expect(onBothHands(set, twins)).toEqual({ change: twins, nails: [] });
  });

  it('name each finger once', () => {
    expect(withTwins(['left-ring', 'right-ring', 'left-thumb'])).toEqual([
      'left-ring',
      'right-ring',
      'left-thumb',
      mirrorOf('left-thumb'),
    ]);
  });

  it('tell no nail that wears it already', () => {
    const set = curtainUp();
    const { nails } = onBothHands(set, {
      kind: 'wear',
      nails: ['left-ring'],
      look: set.nails['right-ring'].look,
    });
    expect(nails).toEqual([]);
  });
});
