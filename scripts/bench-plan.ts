import { DEMO_SETS } from '../src/core/demo';
import { planNail } from '../src/core/plan/nailPlan';
import { planSet } from '../src/core/plan/planSet';

/**
 * One demo set planned cold, then warm (median), as the page's worker does while editing: without ways out. Then
 * once with them, and one of its nails alone. `bench-plan SET RUNS`, prints JSON.
 */
const [id, runs] = [process.argv[2], Number(process.argv[3] ?? 25)];
const set = DEMO_SETS.find((demo) => demo.id === id)!.make();

function took_ms(job: () => unknown): number {
  const start = performance.now();
  job();
  return performance.now() - start;
}

function median_ms(job: () => unknown, count: number): number {
  for (let i = 0; i < 4; i += 1) job();
  const times = Array.from({ length: count }, () => took_ms(job)).sort((a, b) => a - b);
  return tenths(times[Math.floor(count / 2)]!);
}

function tenths(value: number): number {
  return Math.round(value * 10) / 10;
}

const whileEditing = { fixes: false };
const cold_ms = tenths(took_ms(() => planSet(set, whileEditing)));
process.stdout.write(
  JSON.stringify({
    set: id,
    cold_ms,
    plan_ms: median_ms(() => planSet(set, whileEditing), runs),
    with_ways_out_ms: tenths(took_ms(() => planSet(set))),
    one_nail_ms: median_ms(() => planNail(set, 'left-ring'), runs * 3),
  }),
);
