import { BUILDS } from '../craft/builds';
import { DEMO_SETS } from '../demo';
import type { SetDocument } from '../document/document';
import { chance } from '../model/chance';
import { NAILS } from '../model/names';
import { checkCard, type Done } from '../testing/cardChecker';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import { element, QUICK, setWearing } from '../testing/sets';
import { cardOf } from '../timing/card';
import { planSet } from './planSet';

/* Every second of a sitting has its line on the card, by a checker that shares no code with it. */

function stumbles(set: SetDocument): string[] {
  const { operations, sitting, passes } = planSet(set, QUICK);
  const worked = NAILS.filter((nail) => set.nails[nail].in_work);
  const words = new Map(NAILS.flatMap((nail) => operations[nail]).map((one) => [one.id, one.words]));
  const done: Done[] = [
    ...sitting.strokes.map(({ operation, start_s, end_s, changeover_s }) => ({
      words: words.get(operation)!,
      ready_s: start_s - changeover_s,
      start_s,
      end_s,
    })),
    ...sitting.loads.flatMap(({ operations: lit, start_s, end_s }) =>
      lit.map((id) => ({
        words: words.get(id)!,
        ready_s: start_s,
        start_s,
        end_s,
        light_s: Math.round((end_s - start_s) * 10) / 10,
      })),
    ),
  ];
  const lines = cardOf(passes, worked).flatMap((pass) => pass.lines);
  return checkCard(lines, done, sitting.total_s);
}

describe('the card, by a checker of its own', () => {
  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))(
    '%s has a line for every second',
    (_id, demo) => {
      expect(stumbles(demo.make())).toEqual([]);
    },
  );

  it.each(BUILDS.map((build) => [build.kind, build] as const))('%s: so has every build', (_kind, build) => {
    const set = setWearing([element('colour'), element('inlay')], (one) => {
      one.builds.push(build.fresh('test'));
      for (const nail of NAILS) one.nails[nail].build = 'test';
    });
    expect(stumbles(set)).toEqual([]);
  });

  it('acrylic on one nail: its rests are lines, and nothing else happens meanwhile', () => {
    const set = setWearing([element('colour')], (one) => {
      one.builds.push({
        ...BUILDS.find((build) => build.kind === 'sculpted-form')!.fresh('test'),
        material: 'acrylic',
      } as never);
      for (const nail of NAILS) one.nails[nail].in_work = nail === 'left-ring';
      one.nails['left-ring'].build = 'test';
    });
    expect(stumbles(set)).toEqual([]);
    const lines = cardOf(planSet(set, QUICK).passes, ['left-ring']).flatMap((pass) => pass.lines);
    expect(
      lines
        .filter((line) => line.kind === 'wait')
        .map((line) => line.words)
        .join(),
    ).toMatch(/set until it rings/);
  });

  it('random sets, whoever’s hands', () => {
    for (let seed = 1; seed <= runs(4, 200); seed += 1) {
      const set = randomSet(chance(4400 + seed));
      expect([seed, stumbles(set)]).toEqual([seed, []]);
    }
  });
});
