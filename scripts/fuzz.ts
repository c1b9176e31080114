import { DEMO_SETS } from '../src/core/demo';
import { emptyBackup, readBackup } from '../src/core/files/backup';
import { backupBytes } from '../src/core/files/wholeBackup';
import { parseSetText, writeSetText } from '../src/core/document/parse';
import { drawNail } from '../src/core/picture/nailPicture';
import { planNail } from '../src/core/plan/nailPlan';
import { planSet } from '../src/core/plan/planSet';
import { brokenFile } from '../src/core/testing/brokenFiles';
import { oldFiles } from '../tests/oldFiles';
import { chance } from '../src/core/model/chance';
import { randomSet } from '../src/core/testing/randomLooks';
import { shortest_s } from '../src/core/testing/exact';
import { brokenPromises, spoiled } from '../src/core/testing/spoil';
import { tinySitting, WAYS } from '../src/core/testing/tinySittings';
import { lowerBound_s } from '../src/core/timing/bound';

/**
 * Broken files and random looks by the thousand: each is refused with a path, or planned. Prints JSON.
 * Sets spoiled by mistakes: every way out that is offered does what it says. Tiny sittings in each way of working:
 * the bound is never above the shortest. A backup with one bit flipped: none is taken in.
 * `npm run fuzz -- FILES LOOKS SEED SPOILED TINY`
 */
const [files = 10_000, looks = 2_000, seed = 1, spoils = 200, tiny = 1000] = process.argv
  .slice(2)
  .map(Number);
const FLIPS = 4000;
type Json = Parameters<typeof brokenFile>[0];
const sources: Json[] = [
  ...(oldFiles() as Json[]),
  ...DEMO_SETS.map((demo) => JSON.parse(writeSetText(demo.make())) as Json),
];

interface Tally {
  tried: number;
  refused: number;
  refused_without_path: number;
  planned: number;
  threw: number;
  over_2_s: number;
  worst_ms: number;
  /** What to give `chance` to meet the slowest one again. */
  worst_seed: number;
  first_fault?: string;
}

function run(count: number, text: (i: number) => string, base: number): Tally {
  const tally: Tally = {
    tried: 0,
    refused: 0,
    refused_without_path: 0,
    planned: 0,
    threw: 0,
    over_2_s: 0,
    worst_ms: 0,
    worst_seed: 0,
  };
  for (let i = 0; i < count; i += 1) {
    const start = performance.now();
    try {
      const parsed = parseSetText(text(base + i));
      if (!parsed.ok) {
        tally.refused += 1;
        const fault = parsed.faults[0]!;
        if (!fault.path && !fault.message.includes('JSON object')) tally.refused_without_path += 1;
      } else {
        const plan = planSet(parsed.value, { effort: { iterations: 200 } });
        JSON.stringify(plan);
        if (i % 10 === 0) {
          const { nominal, compiled } = planNail(parsed.value, 'left-ring');
          drawNail(nominal.field, compiled.context.product, 4);
        }
        tally.planned += 1;
      }
    } catch (error) {
      tally.threw += 1;
      tally.first_fault ??= `${base + i}: ${error instanceof Error ? error.stack : String(error)}`;
    }
    const took = performance.now() - start;
    if (took > 2000) tally.over_2_s += 1;
    if (took > tally.worst_ms) {
      tally.worst_ms = Math.round(took);
      tally.worst_seed = base + i;
    }
    tally.tried += 1;
  }
  return tally;
}

const broken = run(
  files,
  (i) => {
    const by = chance(i);
    return JSON.stringify(brokenFile(by.pick(sources), by));
  },
  seed * 1_000_000,
);
const random = run(looks, (i) => writeSetText(randomSet(chance(i))), seed * 2_000_000);
const mended = { tried: 0, ways_out: 0, broken: [] as string[] };
for (let i = 0; i < spoils; i += 1) {
  const by = chance(seed * 3_000_000 + i);
  const { offered, broken: promises } = brokenPromises(spoiled(by.pick(DEMO_SETS).make(), by));
  mended.tried += 1;
  mended.ways_out += offered;
  mended.broken.push(...promises.map((words) => `${seed * 3_000_000 + i}: ${words}`));
}
const bounds = WAYS.map((way) => {
  const above: number[] = [];
  let shortest_to_bound = 0;
  for (let i = 1; i <= tiny; i += 1) {
    const problem = tinySitting(seed * 10_000 + i, way);
    const [bound, shortest] = [lowerBound_s(problem), shortest_s(problem)];
    if (bound > shortest + 1e-6) above.push(seed * 10_000 + i);
    shortest_to_bound += shortest / bound / tiny;
  }
  return { ...way, tried: tiny, above, shortest_to_bound };
});
const flips = { tried: 0, taken_in: [] as number[] };
const whole = await backupBytes({
  ...emptyBackup('2026-03-01T18:30:00.000Z'),
  sets: DEMO_SETS.map((demo, i) => ({ changed_at: i, document: demo.make() })),
});
for (let i = 0; i < FLIPS; i += 1) {
  const bit = chance(seed * 4_000_000 + i).below(whole.length * 8);
  const bytes = whole.slice();
  bytes[bit >> 3]! ^= 1 << (bit & 7);
  flips.tried += 1;
  if ((await readBackup(new Blob([bytes]))).ok) flips.taken_in.push(bit);
}
const figures = {
  flipped_bits: flips,
  broken_files: broken,
  random_looks: random,
  spoiled_sets: mended,
  bounds,
};
process.stdout.write(`${JSON.stringify(figures, null, 2)}\n`);
