import { DEMO_SETS } from '../demo';
import { ShelfItem } from '../model/shelf';
import { Supply } from '../model/supply';
import { planSet } from '../plan/planSet';
import { runs } from '../testing/runs';
import { QUICK } from '../testing/sets';
import { placeOf } from './held';
import { needsOf } from './needs';
import { newEntryOf } from './newEntry';

it('whatever is missing can be put on the shelf, is what a shelf holds, and is found there', () => {
  let put = 0;
  for (const { make } of DEMO_SETS.slice(0, runs(2, 5))) {
    const set = make();
    for (const need of needsOf(set, planSet(set, QUICK))) {
      const made = newEntryOf(need, (wanted) => wanted);
      if (!made) {
        expect(['tip', 'other']).toContain(need.of.kind);
        continue;
      }
      put += 1;
      const stock = {
        shelf: 'shelf' in made ? [made.shelf] : [],
        supplies: 'supply' in made ? [made.supply] : [],
        takings: [],
      };
      for (const one of stock.shelf) expect(ShelfItem.safeParse(one).success).toBe(true);
      for (const one of stock.supplies) expect(Supply.safeParse(one).error).toBeUndefined();
      expect(placeOf(need, stock)).toBeDefined();
      // Not counted, it is not taken to be there.
      expect(placeOf(need, stock)!.counted).toBeUndefined();
    }
  }
  expect(put).toBeGreaterThan(runs(30, 60));
});
