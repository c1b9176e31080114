import * as z from 'zod/mini';
import { dotPolygons, dotsDistance_mm } from '../geometry/dots';
import { across_mm, along_mm } from '../geometry/frame';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { Across, Along, count, mm, Turn } from '../model/primitives';
import { onPart, toMm, turnedSpotHandles, type Handle } from './handle';
import { spotAt_mm, type OnNail } from './on';
import { defineRegion } from './regionKind';

/** Dots in rows, as a dotting tool sets them; each row may lie between those of the row before. */
const schema = z.strictObject({
  kind: z.literal('dots'),
  rows: count(1, 30),
  columns: count(1, 30),
  dot_mm: mm(0.1, 10),
  pitch_mm: mm(0.2, 20),
  turn_deg: Turn,
  across: Across,
  along: Along,
  staggered: z.boolean(),
});
type Dots = z.infer<typeof schema>;

/** One touch of the dotting tool, and the least for a few (common practice). */
const DOT_S = 3;
const LEAST_S = 10;

export const dots = defineRegion({
  kind: 'dots',
  words: 'Dots',
  noun: () => 'dots',
  schema,
  fresh: {
    kind: 'dots',
    rows: 5,
    columns: 4,
    dot_mm: 0.9,
    pitch_mm: 2.4,
    turn_deg: 0,
    across: 0,
    along: 1,
    staggered: true,
  },
  figures: () => [
    figure(schema, 'rows', 'Rows'),
    figure(schema, 'columns', 'In a row'),
    figure(schema, 'dot_mm', 'Dot'),
    figure(schema, 'pitch_mm', 'Apart'),
    figure(schema, 'turn_deg', 'Turn'),
  ],
  switches: [
    {
      words: 'Rows between rows',
      is: ({ staggered }) => staggered,
      turned: (region) => ({ ...region, staggered: !region.staggered }),
    },
  ],
  lay: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const laid = {
      ...region,
      side: sign as 1 | -1,
      dot_mm: region.dot_mm * laying.scale,
      pitch_mm: region.pitch_mm * laying.scale,
      turn_deg: sign * region.turn_deg,
      at: { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) },
    };
    const into_mm = dotsDistance_mm(laid);
    return {
      polygons: dotPolygons(laid),
      distance_mm: (x, y) => Math.min(into_mm(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  handles: (region, on) => dotsHandles(region, on),
  says: ({ rows, columns, dot_mm, pitch_mm }) =>
    rows * columns === 1 ? 'in a dot' : `in dots of ${dot_mm} mm, ${pitch_mm} mm apart`,
  drawn_s: ({ rows, columns }) => Math.max(LEAST_S, DOT_S * rows * columns),
  stroke_mm: ({ dot_mm }) => dot_mm,
  dotted: true,
});

const PITCH = limitsOf(schema, 'pitch_mm');

/** Dots are moved and turned as lines are; the dot beside the middle draws them apart. */
function dotsHandles(region: Dots, on: OnNail): Handle<Dots>[] {
  const { side, scale } = on;
  const at = spotAt_mm(region, on);
  const turn = (side * region.turn_deg * Math.PI) / 180;
  const gap = region.pitch_mm * scale;
  return [
    ...onPart(turnedSpotHandles(region, { id: 'dots', words: 'dots' }, on), (spot) => ({
      ...region,
      ...spot,
    })),
    {
      id: 'dots-gap',
      of: 'dots',
      words: 'dots: how far apart',
      at: { x: at.x + Math.cos(turn) * gap, y: at.y + Math.sin(turn) * gap },
      says: `${region.pitch_mm.toFixed(1)} mm from middle to middle`,
      move: ({ x, y }) => ({
        ...region,
        pitch_mm: toMm(within(PITCH, Math.hypot(x - at.x, y - at.y) / scale)),
      }),
    },
  ];
}
