import * as z from 'zod/mini';
import { between } from '../geometry/figures';
import type { Point } from '../geometry/frame';
import { offSkin_mm, offSkinPolygon } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { mm } from '../model/primitives';
import { toMm } from './handle';
import { rounded } from '../model/rounded';
import { defineRegion } from './regionKind';

/** A band along the outline: all round, or round the cuticle alone. */
const schema = z.strictObject({
  kind: z.literal('rim'),
  width_mm: mm(0.15, 6, 0.05),
  where: z.enum(['all', 'cuticle']),
});
type Rim = z.infer<typeof schema>;
const WIDTH = limitsOf(schema, 'width_mm');
/** Round the cuticle it ends where the sidewalls run straight, as a share of the bed. */
const CUTICLE_TO = 0.45;

export const rim = defineRegion({
  kind: 'rim',
  words: 'A band along the outline',
  noun: ({ where }) => (where === 'cuticle' ? 'cuticle line' : 'outline'),
  schema,
  fresh: { kind: 'rim', width_mm: 0.8, where: 'all' },
  figures: () => [figure(schema, 'width_mm', 'Width')],
  switches: [
    {
      words: 'At the cuticle alone',
      is: ({ where }) => where === 'cuticle',
      turned: (region): Rim => ({ ...region, where: region.where === 'all' ? 'cuticle' : 'all' }),
    },
  ],
  lay: (frame, region, { scale, margin_mm }) => {
    const width = region.width_mm * scale;
    const to = region.where === 'cuticle' ? frame.bed_mm * CUTICLE_TO : Infinity;
    const kept = (points: { x: number; y: number }[]) =>
      points.map(({ x, y }) => ({ x, y: Math.min(y, to) }));
    const outer = kept(offSkinPolygon(frame, margin_mm));
    const inner = kept(inset(offSkinPolygon(frame, margin_mm), width));
    return {
      polygons: [between(outer, inner)],
      distance_mm: (x, y) => {
        const into = offSkin_mm(frame, x, y, margin_mm);
        return Math.min(into, width - into, to - y);
      },
    };
  },
  handles: (region, { scale }) => [
    {
      id: 'rim-width',
      words: 'outline: width',
      at: { x: 0, y: region.width_mm * scale + 0.25 },
      says: `${region.width_mm.toFixed(2)} mm wide`,
      move: ({ y }) => ({ ...region, width_mm: toMm(within(WIDTH, (y - 0.25) / scale)) }),
    },
  ],
  says: ({ where, width_mm }) =>
    `along the ${where === 'cuticle' ? 'cuticle' : 'outline'}, ${rounded(width_mm, 1)} mm wide`,
  drawn_s: () => 60,
  stroke_mm: ({ width_mm }) => width_mm,
});

/** A closed curve that runs against the clock, moved inwards. */
function inset(points: readonly Point[], by: number): Point[] {
  return points.map(({ x, y }, i) => {
    const before = points.at(i - 1)!;
    const after = points[(i + 1) % points.length]!;
    const [dx, dy] = [after.x - before.x, after.y - before.y];
    const length = Math.hypot(dx, dy) || 1;
    return { x: x - (dy / length) * by, y: y + (dx / length) * by };
  });
}
