import type { NailName } from '../src/core/model/names';
import { drawNail } from '../src/core/picture/nailPicture';
import { planNail } from '../src/core/plan/nailPlan';
import { newMemo, planSet } from '../src/core/plan/planSet';
import { busySet } from './busySet';
import { median_ms as medianOf } from './median';

/** Median milliseconds of ten busy nails, one of them, and their pictures as large as they are drawn while a hand moves them. */
const runs = Number(process.argv[2] ?? 25);
const set = busySet();
const products = new Map(set.kit.products.map((one) => [one.id, one]));
const PX_PER_MM = 10;

const median_ms = (job: (i: number) => unknown) => medianOf(job, runs);

function picture_ms(nail: NailName): number {
  const { field } = planNail(set, nail).nominal;
  return median_ms(() => drawNail(field, (id) => products.get(id)!, PX_PER_MM));
}

process.stdout.write(
  JSON.stringify({
    operations_a_nail: planNail(set, 'left-ring').compiled.operations.length,
    ten_nails_without_search_ms: median_ms(() =>
      planSet(set, { memo: newMemo(), fixes: false, effort: { iterations: 0 } }),
    ),
    one_nail_ms: median_ms(() => planNail(set, 'left-thumb')),
    picture_with_marble_ms: picture_ms('left-thumb'),
    picture_with_2000_grains_ms: picture_ms('left-middle'),
    picture_ms: picture_ms('right-ring'),
  }),
);
