import { curtainUp } from '../src/core/demo/curtainUp';
import { courseOf } from '../src/core/bench/course';
import type { Bench } from '../src/core/bench/log';
import { press } from '../src/core/bench/presses';
import { atTable } from '../src/core/bench/atTable';
import { begunOf } from '../src/core/bench/begun';
import { forecastOf } from '../src/core/plan/forecastOf';
import { newMemo, planSet } from '../src/core/plan/planSet';
import { median_ms as medianOf } from './median';

/** Milliseconds of what the table is like, half-way through a sitting with its whole log, of the plan of the rest from there, and of a forecast of five thousand evenings. */
const runs = Number(process.argv[2] ?? 9);
const set = curtainUp();
const memo = newMemo();
const plan = planSet(set, { memo, fixes: false });
let bench: Bench = {
  set: set.id,
  mark: '',
  course: courseOf(plan, set),
  events: [{ what: 'begun', at_ms: 0 }],
  clock: { shift_ms: 0, seen_ms: 0 },
};
let now_ms = 1000;
while (atTable(bench, now_ms).done < bench.course.length / 2) {
  const made = press(bench, now_ms, 'key');
  if ('event' in made) bench = { ...bench, events: [...bench.events, made.event] };
  now_ms = 'refused' in made && made.refused === 'waits' ? made.until_ms : now_ms + 20_000;
}
const begun = begunOf(bench, now_ms)!;
process.stdout.write(
  JSON.stringify({
    events: bench.events.length,
    table_ms: medianOf(() => atTable(bench, now_ms), runs),
    replan_ms: medianOf(() => planSet(set, { memo, fixes: false, begun, effort: { iterations: 800 } }), runs),
    forecast_ms: medianOf(() => forecastOf(set, plan), runs),
    replan_at_length_ms: medianOf(() => planSet(set, { memo, fixes: false, begun }), runs),
  }),
);
