import { DEMO_SETS } from '../demo';
import { NAILS } from '../model/names';
import { runs } from '../testing/runs';
import { QUICK } from '../testing/sets';
import { planSet } from './planSet';
import { COST_BY, whatCosts } from './whatCosts';

describe('what the time goes to', () => {
  it.each(DEMO_SETS.slice(0, runs(3, 5)).map((demo) => [demo.id, demo] as const))(
    '%s: by nail, by element and by stage all of the sitting, each second once',
    (_id, demo) => {
      const set = demo.make();
      const plan = planSet(set, QUICK);
      const lists = COST_BY.map((by) => whatCosts(set, plan, by));
      for (const list of lists) {
        expect(list.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(plan.sitting.total_s, 1);
        expect(list.every(({ seconds }) => seconds > 0)).toBe(true);
        expect(new Set(list.map(({ key }) => key)).size).toBe(list.length);
      }
      // What is waited for is the same however the work is told.
      const waits = lists.map((list) =>
        list.filter((one) => one.waits).reduce((sum, { seconds }) => sum + seconds, 0),
      );
      expect(waits[1]).toBeCloseTo(waits[0]!, 6);
      expect(waits[2]).toBeCloseTo(waits[0]!, 6);
      // Every nail that is worked on is told, and no other.
      const nails = lists[COST_BY.indexOf('nail')]!.flatMap(({ nail }) => nail ?? []);
      expect(new Set(nails)).toEqual(new Set(NAILS.filter((name) => plan.operations[name].length > 0)));
    },
  );
});
