import { buildKindOf, type Build } from '../craft/builds';
import { matinee } from '../demo/matinee';
import { flyTower } from '../demo/flyTower';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { newSet } from '../starter/newSet';
import { QUICK } from '../testing/sets';
import { clientSheet } from './clientSheet';
import { helperList } from './helperList';
import { planSet } from './planSet';

describe('the client’s sheet', () => {
  it('says what each nail wears once, how long it took, and when to come again, over the change of the clock too', () => {
    const set = matinee();
    const plan = planSet(set, QUICK);
    const sheet = clientSheet(set, plan, '2026-10-20');
    expect(sheet.worn.length).toBeLessThan(NAILS.length);
    const looks = new Set(NAILS.map((name) => set.nails[name].look));
    expect(sheet.worn.length).toBeGreaterThanOrEqual(looks.size);
    expect([sheet.from_s, sheet.to_s]).toEqual([plan.sitting.low_s, plan.sitting.high_s]);
    // Two to three weeks on, by the calendar: the clock goes back on 25 October in half of the world.
    expect(sheet.again).toMatchObject({ from: '2026-11-03' });
    expect(sheet.care.join(' ')).toContain('ask a doctor');
  });

  it('of lacquer calls sooner than of what is built; of tips on their stand nobody is called', () => {
    const lacquer = dressed('natural-lacquer', 'lacquer-red');
    expect(clientSheet(lacquer, planSet(lacquer, QUICK), '2026-11-30').again).toMatchObject({
      from: '2026-12-04',
      then: 'taken off with remover',
    });
    const stand = dressed('on-stand', 'velvet-04');
    expect(clientSheet(stand, planSet(stand, QUICK), '2026-11-30').again).toBeUndefined();
  });
});

describe('the helper’s list', () => {
  it('is what needs no artist’s eye, at its time, and nothing that lays or cures', () => {
    for (const set of [matinee(), flyTower()]) {
      const plan = planSet(set, QUICK);
      const list = helperList(plan.rounds, Object.values(plan.operations).flat());
      const words = list.map((round) => round.words.toLowerCase()).join('; ');
      expect(words).toMatch(/sanitise/);
      expect(words).toMatch(/brush|dust/);
      expect(words).toMatch(/oil/);
      expect(words).not.toMatch(/coat|cure|cap|file the/);
      expect(list.map(({ start_s }) => start_s)).toEqual(
        list.map(({ start_s }) => start_s).sort((a, b) => a - b),
      );
    }
  });
});

/** A new set on one build, in one colour. */
function dressed(build: Build['kind'], product: string): SetDocument {
  const set = newSet('own', 'Own');
  set.builds = [...set.builds, buildKindOf(build).fresh('own')];
  for (const name of NAILS) set.nails[name].build = 'own';
  set.looks[0]!.elements = set.looks[0]!.elements.map((one) =>
    one.kind === 'colour' ? { ...one, product } : one,
  );
  return set;
}
