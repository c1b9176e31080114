import * as z from 'zod/mini';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { mm, share } from '../model/primitives';
import { toMm } from './handle';
import { rounded } from '../model/rounded';
import { defineRegion } from './regionKind';

/** The half moon at the cuticle: so deep in the middle, and over so much of the width. */
const schema = z.strictObject({ kind: z.literal('moon'), depth_mm: mm(0.5, 14), spread: share() });
const DEPTH = limitsOf(schema, 'depth_mm');

export const moon = defineRegion({
  kind: 'moon',
  words: 'The half moon',
  noun: () => 'half moon',
  schema,
  fresh: { kind: 'moon', depth_mm: 3.5, spread: 0.8 },
  figures: () => [figure(schema, 'depth_mm', 'Depth'), figure(schema, 'spread', 'Over the width')],
  lay: (frame, region, { scale, margin_mm }) => {
    const a = Math.max(0.2, (region.spread * frame.arc_mm) / 2);
    const b = region.depth_mm * scale;
    return {
      polygons: [
        Array.from({ length: 33 }, (_, i) => {
          const angle = (Math.PI * i) / 32;
          const y = b * Math.sin(angle);
          const wall = frame.halfWidth_mm(Math.min(y, frame.length_mm));
          return { x: Math.max(-wall, Math.min(wall, a * Math.cos(angle))), y };
        }),
      ],
      distance_mm: (x, y) =>
        Math.min(
          (1 - Math.hypot(x / a, Math.max(0, y) / b)) * Math.min(a, b),
          offSkin_mm(frame, x, y, margin_mm),
        ),
    };
  },
  handles: (region, { scale }) => [
    {
      id: 'moon-depth',
      words: 'half moon: depth',
      at: { x: 0, y: region.depth_mm * scale },
      says: `${region.depth_mm.toFixed(1)} mm deep`,
      move: ({ y }) => ({ ...region, depth_mm: toMm(within(DEPTH, y / scale)) }),
    },
  ],
  says: ({ depth_mm }) => `on the half moon, ${rounded(depth_mm, 1)} mm deep`,
});
