import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildKindOf, BUILDS } from '../craft/builds';
import { DEMO_SETS } from '../demo';
import type { SetDocument } from '../document/document';
import { parseSetText } from '../document/parse';
import { chance } from '../model/chance';
import { NAILS } from '../model/names';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import { element, QUICK, setWearing } from '../testing/sets';
import { planSet } from './planSet';

/* Nothing that is planned falls off the card, light held by hand included. */

const withTorch = (set: SetDocument): SetDocument => ({
  ...set,
  kit: {
    ...set.kit,
    lamps: [
      ...set.kit.lamps,
      { ...set.kit.lamps[0]!, id: 'torch', name: 'Torch', programmes_s: [], torch: true },
    ],
  },
});

function lost(set: SetDocument): string[] {
  const { operations, rounds, sitting } = planSet(set, QUICK);
  const said = new Set(rounds.flatMap((round) => round.operations));
  const done = [
    ...sitting.strokes.map((one) => one.operation),
    ...sitting.loads.flatMap((load) => load.operations),
  ];
  const planned = NAILS.flatMap((nail) => operations[nail].map((one) => one.id));
  return [...new Set([...done, ...planned])].filter((id) => !said.has(id));
}

describe('every operation has a line', () => {
  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))('%s, with a torch and without', (_id, demo) => {
    expect(lost(demo.make())).toEqual([]);
    expect(lost(withTorch(demo.make()))).toEqual([]);
  });

  it.each(BUILDS.map((build) => [build.kind, build] as const))('on %s', (_kind, build) => {
    const set = setWearing([element('colour'), element('inlay')], (one) => {
      one.builds.push(buildKindOf(build.kind).fresh('test'));
      for (const nail of NAILS) one.nails[nail].build = 'test';
    });
    expect(lost(withTorch(set))).toEqual([]);
  });

  it('of files of every version', () => {
    const files = join(process.cwd(), 'tests/files');
    const texts = readdirSync(files)
      .sort()
      .slice(-runs(3, 99))
      .flatMap((folder) =>
        readdirSync(join(files, folder)).map((name) => readFileSync(join(files, folder, name), 'utf8')),
      );
    for (const text of texts) {
      const set = parseSetText(text);
      if (set.ok) expect([set.value.title, lost(withTorch(set.value))]).toEqual([set.value.title, []]);
    }
  });

  it('of random looks', () => {
    for (let seed = 1; seed <= runs(4, 100); seed += 1)
      expect([seed, lost(withTorch(randomSet(chance(5200 + seed))))]).toEqual([seed, []]);
  });
});
