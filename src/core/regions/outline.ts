import * as z from 'zod/mini';
import { drawnPoints, offSkin_mm, polygonDistance_mm } from '../geometry/regions';
import { cornerHandles, DrawnPoint, middleOf, MOST_POINTS } from './drawnPoints';
import { cutAtEdge } from './inwards';
import { defineRegion } from './regionKind';

/** A filled shape drawn by hand. */
export const outline = defineRegion({
  kind: 'outline',
  words: 'A shape drawn by hand',
  noun: () => 'shape',
  schema: z.strictObject({
    kind: z.literal('outline'),
    points: z.array(DrawnPoint).check(z.minLength(3), z.maxLength(MOST_POINTS)),
  }),
  fresh: {
    kind: 'outline',
    points: [
      { across: 0, along: 1.2 },
      { across: -0.45, along: 0.9 },
      { across: 0, along: 0.55 },
      { across: 0.45, along: 0.9 },
    ],
  },
  figures: () => [],
  lay: (frame, region, laying) => {
    const polygon = drawnPoints(frame, region.points, laying);
    return {
      polygons: [polygon],
      distance_mm: (x, y) =>
        Math.min(polygonDistance_mm(polygon, x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  handles: cornerHandles,
  says: ({ points }, spot, side) =>
    `in a shape, ${spot(side * middleOf(points).across, middleOf(points).along)}`,
  sized: { inwards: cutAtEdge },
});
