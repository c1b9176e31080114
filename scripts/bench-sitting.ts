import { DEMO_SETS } from '../src/core/demo';
import { planSet } from '../src/core/plan/planSet';
import { NAILS } from '../src/core/model/names';
import { chance } from '../src/core/model/chance';
import { factsOf } from '../src/core/testing/facts';
import { randomSet } from '../src/core/testing/randomLooks';
import { checkSitting } from '../src/core/testing/sittingChecker';
import { rhythmOf } from '../src/core/timing/rhythm';
import { AT_LENGTH, EDITING, FLOWS } from '../src/core/timing/effort';
import type { SetDocument } from '../src/core/document/document';

/**
 * Sittings: how near to their bound, with how many loads and changes, how many rounds torn and works taken up again, in
 * how long; and what a checker of its own finds against them on random sets. `bench-sitting RANDOM`, prints JSON.
 */
const random = Number(process.argv[2] ?? 200);

function planned(set: SetDocument, iterations: number) {
  const start = performance.now();
  const plan = planSet(set, { effort: { iterations }, fixes: false });
  const took_ms = Math.round(performance.now() - start);
  const { sitting } = plan;
  const loads = sitting.loads.filter((load) => !load.held).length;
  const hands = sitting.strokes.map((stroke) => stroke.hand);
  return {
    total_to_bound: Math.round((sitting.total_s / sitting.lower_bound_s) * 1000) / 1000,
    total_s: sitting.total_s,
    loads,
    loads_to_least: Math.round((loads / Math.max(1, sitting.least_loads)) * 100) / 100,
    changes_of_hand: hands.filter((hand, i) => i > 0 && hand !== hands[i - 1]).length,
    changes_of_product: sitting.strokes.filter((stroke) => stroke.changeover_s > 0).length,
    ...rhythmOf(
      plan.rounds,
      NAILS.flatMap((name) => plan.operations[name]),
    ),
    plan_ms: took_ms,
    against_the_craft: checkSitting(factsOf(set, plan)).length,
    passes: plan.passes.length,
    broken: sitting.broken.length,
  };
}

const sets = DEMO_SETS.map((demo) => {
  // Once for the machine to warm up.
  planned(demo.make(), 500);
  const flows = FLOWS.map((flow) => {
    const set = demo.make();
    set.practice.flow = flow;
    return [flow, planned(set, AT_LENGTH.iterations)] as const;
  });
  return {
    set: demo.id,
    while_editing: planned(demo.make(), EDITING.iterations),
    at_length: Object.fromEntries(flows),
  };
});

const found: Record<string, number> = {};
let broken = 0;
for (let seed = 1; seed <= random; seed += 1) {
  const set = randomSet(chance(7_000_000 + seed));
  // The artist's own order may make the impossible asked for; here the plan is the program's own.
  set.edits = [];
  const plan = planSet(set, { effort: AT_LENGTH, fixes: false });
  broken += plan.sitting.broken.length;
  for (const { rule } of checkSitting(factsOf(set, plan))) found[rule] = (found[rule] ?? 0) + 1;
}
process.stdout.write(JSON.stringify({ sets, random_sets: { count: random, told: broken, found } }));
