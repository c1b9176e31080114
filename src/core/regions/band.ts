import * as z from 'zod/mini';
import { along_mm } from '../geometry/frame';
import { onSide } from '../geometry/polygons';
import { keptSize, offSkin_mm, offSkinPolygon } from '../geometry/regions';
import { figure } from '../model/limits';
import { Along } from '../model/primitives';
import { alongOf, clamp, type Handle } from './handle';
import { heightWords, NEAR } from './heights';
import type { OnNail } from './on';
import { defineRegion } from './regionKind';

const schema = z
  .strictObject({ kind: z.literal('band'), from: Along, to: Along })
  .check(z.refine((band) => band.to > band.from, { path: ['to'], message: 'must lie beyond "from"' }));
type Band = z.infer<typeof schema>;

export const band = defineRegion({
  kind: 'band',
  words: 'A band across',
  noun: () => 'band',
  schema,
  fresh: { kind: 'band', from: 0.5, to: 1 },
  figures: () => [figure(schema, 'from', 'From (0 cuticle, 2 tip)'), figure(schema, 'to', 'To')],
  lay: (frame, region, laying) => {
    const { margin_mm } = laying;
    const middle = (along_mm(frame, region.from) + along_mm(frame, region.to)) / 2;
    const size = keptSize(frame, laying);
    const from = region.from <= 0 ? 0 : middle + size * (along_mm(frame, region.from) - middle);
    const to = region.to >= 2 ? frame.length_mm : middle + size * (along_mm(frame, region.to) - middle);
    return {
      polygons: [
        onSide(
          onSide(offSkinPolygon(frame, margin_mm), ({ y }) => y - from),
          ({ y }) => to - y,
        ),
      ],
      distance_mm: (x, y) =>
        Math.min(
          offSkin_mm(frame, x, y, margin_mm),
          region.from <= 0 ? Infinity : y - from,
          region.to >= 2 ? Infinity : to - y,
        ),
    };
  },
  handles: (region, on) => bandHandles(region, on),
  says: ({ from, to }) => {
    if (from <= 0 && to >= 2) return '';
    if (from <= 0 && Math.abs(to - 1) < NEAR) return 'on the nail bed';
    if (to >= 2 && Math.abs(from - 1) < NEAR) return 'on the free edge';
    if (from <= 0) return `from the cuticle to ${heightWords(to)}`;
    const [low, high] = [heightWords(from), to >= 2 ? 'the tip' : heightWords(to)];
    return low === high ? `in a band ${low}` : `from ${low} to ${high}`;
  },
});

/** A band is never thinner than this, as a share of its landmark. */
const LEAST_BAND = 0.03;

function bandHandles(band: Band, { frame, size }: OnNail): Handle<Band>[] {
  const y_mm = (along: number) => along_mm(frame, along);
  // Kept at the size it was drawn in, a band on a narrow nail reaches further from its middle.
  const middle = (y_mm(band.from) + y_mm(band.to)) / 2;
  // What lies past the nail is taken hold of at its edge.
  const shown = (along: number) =>
    along <= 0
      ? 0
      : along >= 2
        ? frame.length_mm
        : clamp(middle + size * (y_mm(along) - middle), 0, frame.length_mm);
  const says = `from ${band.from.toFixed(2)} to ${band.to.toFixed(2)}`;
  const moved = (from_mm: number, to_mm: number): Band => {
    const centre = (from_mm + to_mm) / 2;
    const half = (to_mm - from_mm) / 2 / size;
    return { ...band, from: alongOf(frame, centre - half), to: alongOf(frame, centre + half) };
  };
  const least_mm = LEAST_BAND * frame.bed_mm;
  const [lower, upper] = [shown(band.from), shown(band.to)];
  return [
    {
      id: 'band-from',
      words: 'lower edge of the band',
      at: { x: 0, y: lower },
      says,
      move: ({ y }) => (y === lower ? band : guarded(moved(clamp(y, 0, upper - least_mm), upper), band)),
    },
    {
      id: 'band-to',
      words: 'upper edge of the band',
      at: { x: 0, y: upper },
      says,
      move: ({ y }) =>
        y === upper ? band : guarded(moved(lower, clamp(y, lower + least_mm, frame.length_mm)), band),
    },
  ];
}

/** A band that has shrunk to nothing stays as it was. */
function guarded(next: Band, before: Band): Band {
  return next.to <= next.from ? before : next;
}
