import * as z from 'zod/mini';
import { across_mm } from '../geometry/frame';
import { offSkin_mm, offSkinPolygon } from '../geometry/regions';
import { figure } from '../model/limits';
import { Across } from '../model/primitives';
import { acrossAt, clamp, placeSays, share } from './handle';
import { defineRegion } from './regionKind';

/** All of the nail to one side of a line along it. */
const schema = z.strictObject({ kind: z.literal('half'), side: z.enum(['left', 'right']), at: Across });
type Half = z.infer<typeof schema>;

export const half = defineRegion({
  kind: 'half',
  words: 'One side of the nail',
  noun: () => 'half',
  schema,
  fresh: { kind: 'half', side: 'left', at: 0 },
  figures: () => [figure(schema, 'at', 'Up to (−1 to 1)')],
  switches: [
    {
      words: 'The right side, with the tip up',
      is: ({ side }) => side === 'right',
      turned: (region): Half => ({ ...region, side: region.side === 'left' ? 'right' : 'left' }),
    },
  ],
  lay: (frame, region, { mirror, margin_mm }) => {
    const turned = mirror ? -1 : 1;
    const line = turned * across_mm(frame, region.at);
    const towards = turned * (region.side === 'left' ? -1 : 1);
    return {
      polygons: [
        offSkinPolygon(frame, margin_mm).map(({ x, y }) => ({
          x: towards > 0 ? Math.max(x, line) : Math.min(x, line),
          y,
        })),
      ],
      distance_mm: (x, y) => Math.min(towards * (x - line), offSkin_mm(frame, x, y, margin_mm)),
    };
  },
  handles: (region, on) => {
    const at = { x: on.side * across_mm(on.frame, region.at), y: on.frame.bed_mm * 0.7 };
    return [
      {
        id: 'half-line',
        words: 'line between the sides',
        at,
        says: placeSays(at),
        move: ({ x }) => ({ ...region, at: share(clamp(acrossAt(on, x), -1, 1)) }),
      },
    ];
  },
  says: ({ side, at }, spot, turned) => {
    const share = Math.round((side === 'left' ? at + 1 : 1 - at) * 50);
    return `on the ${spot(turned * (side === 'left' ? -1 : 1))}, ${share === 50 ? 'half' : `${share} %`} of the width`;
  },
});
