import * as z from 'zod/mini';
import { smoothLine, stripPolygons, toLine_mm } from '../geometry/lines';
import { drawnPoints, offSkin_mm } from '../geometry/regions';
import { figure } from '../model/limits';
import { mm } from '../model/primitives';
import { cornerHandles, DrawnPoint, middleOf, MOST_POINTS } from './drawnPoints';
import { cutAtEdge } from './inwards';
import { rounded } from '../model/rounded';
import { defineRegion } from './regionKind';

/** A line drawn by hand, smooth through its points. */
const schema = z.strictObject({
  kind: z.literal('path'),
  width_mm: mm(0.05, 15, 0.05),
  points: z.array(DrawnPoint).check(z.minLength(2), z.maxLength(MOST_POINTS)),
});

/** A small freehand line (common practice). */
const DRAW_S = 40;

export const path = defineRegion({
  kind: 'path',
  words: 'A line drawn by hand',
  noun: () => 'line',
  schema,
  fresh: {
    kind: 'path',
    width_mm: 0.5,
    points: [
      { across: -0.4, along: 0.5 },
      { across: 0.3, along: 0.8 },
      { across: -0.3, along: 1.1 },
      { across: 0.4, along: 1.4 },
    ],
  },
  figures: () => [figure(schema, 'width_mm', 'Width')],
  lay: (frame, region, laying) => {
    const line = smoothLine(drawnPoints(frame, region.points, laying));
    const width_mm = region.width_mm * laying.scale;
    return {
      polygons: stripPolygons(line, width_mm),
      distance_mm: (x, y) =>
        Math.min(width_mm / 2 - toLine_mm(line, x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  handles: cornerHandles,
  says: ({ points, width_mm }, spot, side) =>
    `in a line ${rounded(width_mm, 1)} mm wide, ${spot(side * middleOf(points).across, middleOf(points).along)}`,
  sized: { inwards: cutAtEdge },
  drawn_s: () => DRAW_S,
  stroke_mm: ({ width_mm }) => width_mm,
});
