import { DEMO_SETS } from '../src/core/demo';
import { curtainUp } from '../src/core/demo/curtainUp';
import { snowScene } from '../src/core/demo/snowScene';
import { newMemo, planSet } from '../src/core/plan/planSet';
import { shorten, within } from '../src/core/plan/shorten';
import { bareNeeds } from '../src/core/stock/accents';
import { onTable, shoppingList } from '../src/core/stock/onTable';
import { needsOf } from '../src/core/stock/needs';
import { genericShelf, onShelf } from '../src/core/starter/shelf';
import { genericSupplies } from '../src/core/starter/supplies';
import { median_ms as medianOf } from './median';

/** Milliseconds of what a set takes beside its shelf, of a week of forty sets as one list, and of what would shorten a set. */
const runs = Number(process.argv[2] ?? 9);
const stock = {
  shelf: genericShelf().map((product) => ({ ...onShelf(product), count: 1, holds: 8 })),
  supplies: genericSupplies(),
  takings: [],
};
// The one with the most that is measured out by area.
const set = snowScene();
const plan = planSet(set, { fixes: false });
const week = Array.from({ length: 40 }, (_, i) => bareNeeds(DEMO_SETS[i % DEMO_SETS.length]!.make()));
const tower = curtainUp();
// As a page that has planned the set: its nails are known.
const memo = newMemo();
const now = planSet(tower, { memo, fixes: false }).sitting.total_s;
const began = performance.now();
const list = shorten(tower, undefined, memo);
const first_ms = performance.now() - began;
process.stdout.write(
  JSON.stringify({
    supplies_ms: medianOf(() => onTable(needsOf(set, plan), stock, '2026-12-01'), runs),
    week_of_40_sets_ms: medianOf(() => shoppingList(week, stock, '2026-12-01'), runs),
    simplifications: list.length,
    simplifications_ms: Math.round(first_ms),
    in_less_time_ms: medianOf(() => within(tower, now * 0.8, list, memo), 3),
  }),
);
