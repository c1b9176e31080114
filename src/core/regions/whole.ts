import * as z from 'zod/mini';
import { offSkin_mm, offSkinPolygon } from '../geometry/regions';
import { defineRegion } from './regionKind';

export const whole = defineRegion({
  kind: 'whole',
  words: 'The whole nail',
  noun: () => '',
  schema: z.strictObject({ kind: z.literal('whole') }),
  fresh: { kind: 'whole' },
  figures: () => [],
  lay: (frame, _region, { margin_mm }) => ({
    polygons: [offSkinPolygon(frame, margin_mm)],
    distance_mm: (x, y) => offSkin_mm(frame, x, y, margin_mm),
  }),
  handles: () => [],
  says: () => '',
});
