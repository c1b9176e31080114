import { NAILS } from '../src/core/model/names';
import { inOneGo } from '../src/core/model/inSlices';
import { OFFERS } from '../src/core/craft/offers';
import { applyUnchecked } from '../src/core/document/changes';
import { curtainUp } from '../src/core/demo/curtainUp';
import { understudy } from '../src/core/demo/understudy';
import type { SetDocument } from '../src/core/document/document';
import { drawNail } from '../src/core/picture/nailPicture';
import { planNail } from '../src/core/plan/nailPlan';
import { puttingRight } from '../src/core/plan/putRight';
import { broughtFor, pickerOf } from '../src/core/starter/picker';
import { element, setWearing } from '../src/core/testing/sets';
import { plannerApi } from '../src/workers/plannerApi';
import { median_ms as medianOf } from './median';

/**
 * Median milliseconds of putting a nail right, of a motif of 200 strokes moved under the hand, and of all that the tray offers
 * drawn on one nail.
 */
const runs = Number(process.argv[2] ?? 9);

function putRight(): { median_ms: number; worst_ms: number } {
  const set = understudy();
  // Warm, as it is by the time an artist asks for it.
  for (const nail of NAILS) inOneGo(puttingRight(set, [nail]));
  const each = NAILS.map((nail) => medianOf(() => inOneGo(puttingRight(set, [nail])), 3)).sort(
    (a, b) => a - b,
  );
  return { median_ms: each[Math.floor(each.length / 2)]!, worst_ms: each.at(-1)! };
}

/** Ten strokes of two colours in ten places each. */
function manyStrokes(shift: number): SetDocument {
  const stroke = (i: number) => ({
    width_mm: 0.3,
    filled: false,
    points: [
      { across: -0.3 + 0.06 * i, along: 0.6 },
      { across: -0.25 + 0.06 * i, along: 0.8 },
      { across: -0.3 + 0.06 * i, along: 1 },
    ],
  });
  const region = (from: number) => ({
    kind: 'paths' as const,
    paths: Array.from({ length: 10 }, (_, i) => stroke(from + i)),
  });
  const spots = Array.from({ length: 10 }, (_, i) => ({
    across: -0.6 + 0.13 * i + shift,
    along: 0.3 + 0.12 * i,
    size: 0.4,
    turn_deg: 30 * (i - 5),
    mirrored: i % 2 === 0,
  }));
  return setWearing([
    element('colour', { product: 'ivory-02' }),
    element('motif', {
      colours: [
        { product: 'velvet-04', region: region(0) },
        { product: 'sage-03', region: region(0) },
      ],
      spots,
    }),
  ]);
}

/** As fine as the large nail is while a hand moves something on it. */
const HELD_PX_PER_MM = 10;

function moved_ms(): number {
  const api = plannerApi();
  const steps = Array.from({ length: 40 }, (_, i) => manyStrokes(0.002 * i));
  api.preview(steps[0]!, 'left-middle', HELD_PX_PER_MM);
  return medianOf((i) => api.preview(steps[(i + 1) % steps.length]!, 'left-middle', HELD_PX_PER_MM), 30);
}

const TRAY_PX_PER_MM = 6;

function tray_ms(): number {
  const set = curtainUp();
  const look = set.looks[0]!;
  const trials = OFFERS.map((offer) => {
    const added = offer.fresh('added', pickerOf(set, look));
    return applyUnchecked(set, {
      kind: 'many',
      changes: [...broughtFor(added, set), { kind: 'put-element', look: look.id, element: added }],
    });
  });
  const nail = NAILS.find((name) => set.nails[name].look === look.id) ?? 'left-ring';
  return medianOf(
    () =>
      trials.forEach((trial) => {
        const products = new Map(trial.kit.products.map((one) => [one.id, one]));
        drawNail(planNail(trial, nail).nominal.field, (id) => products.get(id)!, TRAY_PX_PER_MM);
      }),
    runs,
  );
}

const right = putRight();
process.stdout.write(
  JSON.stringify({
    put_right_median_ms: right.median_ms,
    put_right_worst_ms: right.worst_ms,
    motif_of_200_strokes_moved_ms: moved_ms(),
    offers: OFFERS.length,
    tray_of_all_offers_ms: tray_ms(),
  }),
);
