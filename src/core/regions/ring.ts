import * as z from 'zod/mini';
import { between, disc } from '../geometry/figures';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { Across, Along, mm } from '../model/primitives';
import { spotHandle, toMm } from './handle';
import { nearerMiddle } from './inwards';
import { spotAt_mm } from './on';
import { rounded } from '../model/rounded';
import { defineRegion } from './regionKind';

/** A ring: so wide across its middle line, drawn so thick. */
const schema = z.strictObject({
  kind: z.literal('ring'),
  across: Across,
  along: Along,
  across_mm: mm(0.6, 30),
  width_mm: mm(0.05, 10, 0.05),
});
const ACROSS = limitsOf(schema, 'across_mm');

export const ring = defineRegion({
  kind: 'ring',
  words: 'A ring',
  noun: () => 'ring',
  schema,
  fresh: { kind: 'ring', across: 0, along: 0.8, across_mm: 4, width_mm: 0.5 },
  figures: () => [
    figure(schema, 'across_mm', 'Across'),
    figure(schema, 'width_mm', 'Line'),
    figure(schema, 'across', 'Across (−1 to 1)'),
    figure(schema, 'along', 'Along (0 to 2)'),
  ],
  lay: (frame, region, { mirror, scale, margin_mm }) => {
    const { x: cx, y: cy } = spotAt_mm(region, { frame, side: mirror ? -1 : 1 });
    const r = (region.across_mm * scale) / 2;
    const line = (region.width_mm * scale) / 2;
    return {
      polygons: [between(disc(cx, cy, r + line), disc(cx, cy, Math.max(0.01, r - line)))],
      distance_mm: (x, y) =>
        Math.min(line - Math.abs(Math.hypot(x - cx, y - cy) - r), offSkin_mm(frame, x, y, margin_mm)),
    };
  },
  handles: (region, on) => {
    const at = spotAt_mm(region, on);
    const r = (region.across_mm * on.scale) / 2;
    return [
      spotHandle(region, { id: 'ring', words: 'ring' }, on, (spot) => ({ ...region, ...spot })),
      {
        id: 'ring-across',
        of: 'ring',
        words: 'ring: how wide',
        at: { x: at.x + r, y: at.y },
        says: `${region.across_mm.toFixed(1)} mm across`,
        move: ({ x, y }) => ({
          ...region,
          across_mm: toMm(within(ACROSS, (2 * Math.hypot(x - at.x, y - at.y)) / on.scale)),
        }),
      },
    ];
  },
  says: (region, spot, side) =>
    `in a ring ${rounded(region.across_mm, 1)} mm across, ${rounded(region.width_mm, 1)} mm wide, ${spot(side * region.across, region.along)}`,
  sized: { inwards: nearerMiddle },
  drawn_s: () => 25,
  stroke_mm: ({ width_mm }) => width_mm,
});
