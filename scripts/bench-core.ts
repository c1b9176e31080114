import { paletteOf } from '../src/core/colour/palette';
import { compose } from '../src/core/compose/compose';
import { profilesOf } from '../src/core/compose/profile';
import { curtainUp } from '../src/core/demo/curtainUp';
import { applyChange } from '../src/core/document/changes';
import { chance } from '../src/core/model/chance';
import { changedBox } from '../src/core/picture/changed';
import { drawNail } from '../src/core/picture/nailPicture';
import { planNail } from '../src/core/plan/nailPlan';
import type { NailField } from '../src/core/simulate/field';
import { newMemo, planSet } from '../src/core/plan/planSet';
import { median_ms as medianOf } from './median';

/** Median milliseconds of the core's main jobs on the main demo set. */
const runs = Number(process.argv[2] ?? 25);
const set = curtainUp();

const median_ms = (job: (i: number) => unknown) => medianOf(job, runs);

// As many pixels as the worker keeps of a large picture.
const by = chance(1);
const pixels = Uint8ClampedArray.from({ length: 480 * 360 * 4 }, (_, i) =>
  i % 4 === 3 ? 255 : by.below(256),
);

const memo = newMemo();
planSet(set, { memo });
const { field } = planNail(set, 'left-ring').nominal;
const product = (id: string) => set.kit.products.find((one) => one.id === id)!;
const picture = drawNail(field, product, 10);

/** The ring finger with one of its slivers moved a little, as a hand moves it. */
function moved(i: number): NailField {
  const look = set.looks.find((one) => one.id === set.nails['left-ring'].look)!;
  const element = look.elements.find((one) => one.kind === 'inlay')!;
  const pieces = element.pieces.with(0, { ...element.pieces[0]!, across: (i % 40) / 100 });
  const next = applyChange(set, { kind: 'put-element', look: look.id, element: { ...element, pieces } });
  return planNail(next.ok ? next.value : set, 'left-ring').nominal.field;
}

const whole_ms = median_ms((i) => drawNail(moved(i), product, 10));
const held_ms = median_ms((i) => {
  const [before, after] = [
    { field, product },
    { field: moved(i), product },
  ];
  const box = changedBox(before, after)!;
  drawNail(after.field, product, 10, 0, { onto: picture.data, box });
});

process.stdout.write(
  JSON.stringify({
    held_piece_ms: held_ms,
    held_piece_to_whole_nail: Math.round((held_ms / whole_ms) * 100) / 100,
    replan_one_nail_ms: median_ms((i) => {
      // A width that was never planned before, so that nothing is remembered.
      const next = applyChange(set, {
        kind: 'plate',
        nail: 'left-ring',
        plate: { width_mm: 11 + (i + Math.random()) / 100 },
      });
      if (next.ok) planSet(next.value, { memo });
    }),
    picture_ms: median_ms(() => drawNail(field, product, 10)),
    compose_six_looks_ms: median_ms(() =>
      compose(
        profilesOf(set),
        { looks: set.looks.map((one) => one.id), accents: 1, alike: true, keep: {} },
        6,
      ),
    ),
    palette_ms: median_ms(() => paletteOf(pixels, 6)),
  }),
);
