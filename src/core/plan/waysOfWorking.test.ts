import { curtainUp } from '../demo/curtainUp';
import { matinee } from '../demo/matinee';
import { QUICK } from '../testing/sets';
import { applyChange } from '../document/changes';
import { newMemo, planSet } from './planSet';
import { figuresOf, measuredWay, waysOfWorking } from './waysOfWorking';

describe('ways of working', () => {
  const set = matinee();
  const memo = newMemo();

  it('leave every look and nail as it is, and never propose what is so already', () => {
    const ways = waysOfWorking(set);
    expect(new Set(ways.map(({ key }) => key)).size).toBe(ways.length);
    expect(ways.length).toBeGreaterThan(5);
    for (const { key, change, helped } of ways) {
      if (helped) continue;
      const next = applyChange(set, change);
      if (!next.ok) throw new Error(`${key}: ${next.faults[0]!.message}`);
      expect(next.value.looks).toEqual(set.looks);
      expect(next.value.nails).toEqual(set.nails);
      expect(next.value).not.toEqual(set);
      expect(waysOfWorking(next.value).map((one) => one.key)).not.toContain(
        key === 'second lamp' ? undefined : key,
      );
    }
  });

  it('are measured on their own plan: a calm one changes hands less often, and a second lamp costs nothing', () => {
    const of = (key: string) => {
      const way = waysOfWorking(set).find((one) => one.key === key)!;
      const next = applyChange(set, way.change);
      if (!next.ok) throw new Error(next.faults[0]!.message);
      return measuredWay(next.value, memo);
    };
    const now = measuredWay(set, memo);
    const calm = of('flow calm');
    expect(calm.torn + calm.returns).toBeLessThanOrEqual(now.torn + now.returns);
    expect(of('second lamp').total_s).toBeLessThanOrEqual(now.total_s * 1.03);
    expect(now.nine_s).toBeGreaterThan(now.half_s);
  });

  it('with somebody who helps the artist is done sooner, and no step is left out', () => {
    const now = measuredWay(set, memo);
    const helped = measuredWay(set, memo, true);
    expect(helped.total_s).toBeLessThan(now.total_s);
    const ids = (one: typeof now) => one.rounds.flatMap(({ operations }) => operations).toSorted();
    expect(ids(helped)).toEqual(ids(now));
  });

  it('ready tips are made on stands with nobody at the table: nothing is prepared, primed or oiled', () => {
    const tips = curtainUp();
    const way = waysOfWorking(tips).find(({ key }) => key === 'stands')!;
    const next = applyChange(tips, way.change);
    if (!next.ok) throw new Error(next.faults[0]!.message);
    const { operations } = planSet(next.value, QUICK);
    const verbs = new Set(Object.values(operations).flatMap((all) => all.map(({ verb }) => verb)));
    for (const verb of ['dehydrate', 'prime', 'oil'] as const) expect(verbs.has(verb)).toBe(false);
    expect(verbs.has('stick-on-stand')).toBe(true);
    // Natural nails have no tips to be made ahead.
    expect(waysOfWorking(set).some(({ key }) => key === 'stands')).toBe(false);
  });

  it('counts what the plan holds', () => {
    const plan = planSet(set, { fixes: false });
    const { loads, total_s, idle_s } = figuresOf(plan);
    expect(loads).toBe(plan.sitting.loads.filter((load) => !load.held).length);
    expect(total_s).toBe(plan.sitting.total_s);
    expect(idle_s).toBeGreaterThanOrEqual(0);
  });
});
