import { matinee } from '../demo/matinee';
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
    for (const { key, change } of ways) {
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
    expect(calm.hand_changes + calm.brush_changes + calm.loads).toBeLessThanOrEqual(
      now.hand_changes + now.brush_changes + now.loads,
    );
    expect(of('second lamp').total_s).toBeLessThanOrEqual(now.total_s * 1.03);
    expect(now.nine_s).toBeGreaterThan(now.half_s);
  });

  it('counts what the plan holds', () => {
    const plan = planSet(set, { fixes: false });
    const { loads, total_s, idle_s } = figuresOf(plan);
    expect(loads).toBe(plan.sitting.loads.filter((load) => !load.held).length);
    expect(total_s).toBe(plan.sitting.total_s);
    expect(idle_s).toBeGreaterThanOrEqual(0);
  });
});
