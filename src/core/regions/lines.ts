import * as z from 'zod/mini';
import { across_mm, along_mm, type Point } from '../geometry/frame';
import { linePolygons, linesDistance_mm } from '../geometry/lines';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { Across, Along, count, mm, Turn } from '../model/primitives';
import { rounded } from '../model/rounded';
import { without } from '../model/without';
import { turnWords } from './heights';
import { onPart, toMm, turnedSpotHandles, type Handle } from './handle';
import { spotAt_mm, type OnNail } from './on';
import { defineRegion } from './regionKind';

/** Lines side by side, or checks: about a place, turned off the nail's length. */
const schema = z.strictObject({
  kind: z.literal('lines'),
  count: count(1, 30),
  width_mm: mm(0.05, 15, 0.05),
  pitch_mm: mm(0.1, 30),
  turn_deg: Turn,
  across: Across,
  along: Along,
  crossed: z.boolean(),
  /** They swing to either side by the rise, once over each length. */
  wave: z.optional(z.strictObject({ rise_mm: mm(0.05, 10, 0.05), length_mm: mm(0.5, 40) })),
  /** They are broken into dashes, with gaps between. */
  dash: z.optional(z.strictObject({ long_mm: mm(0.1, 20), gap_mm: mm(0.1, 20) })),
});
type Lines = z.infer<typeof schema>;

/** Finer is no brush's line (common practice). */
const LEAST_WIDTH_MM = 0.2;

/** One pull of a liner (common practice). */
const LINE_S = 12;
const LEAST_S = 20;
/** One dash, and how long a line on a nail usually is (common practice). */
const DASH_S = 1.5;
const USUAL_MM = 15;

export const lines = defineRegion({
  kind: 'lines',
  words: 'Lines, stripes, checks, waves',
  noun: ({ crossed }) => (crossed ? 'checks' : 'lines'),
  schema,
  fresh: {
    kind: 'lines',
    count: 3,
    width_mm: 0.6,
    pitch_mm: 1.8,
    turn_deg: 0,
    across: 0,
    along: 1,
    crossed: false,
  },
  figures: ({ wave, dash }) => [
    figure(schema, 'count', 'Lines'),
    figure(schema, 'width_mm', 'Width'),
    figure(schema, 'pitch_mm', 'Apart'),
    figure(schema, 'turn_deg', 'Turn'),
    ...(wave
      ? [figure(schema, 'wave.rise_mm', 'Wave, height'), figure(schema, 'wave.length_mm', 'Wave, length')]
      : []),
    ...(dash ? [figure(schema, 'dash.long_mm', 'Dash'), figure(schema, 'dash.gap_mm', 'Gap')] : []),
  ],
  switches: [
    {
      words: 'Crossed: checks',
      is: ({ crossed }) => crossed,
      turned: (region) => ({ ...region, crossed: !region.crossed }),
    },
    {
      words: 'Wavy',
      is: ({ wave }) => wave !== undefined,
      turned: (region) =>
        region.wave ? without(region, 'wave') : { ...region, wave: { rise_mm: 0.6, length_mm: 4 } },
    },
    {
      words: 'Dashed',
      is: ({ dash }) => dash !== undefined,
      turned: (region) =>
        region.dash ? without(region, 'dash') : { ...region, dash: { long_mm: 1.5, gap_mm: 0.8 } },
    },
  ],
  lay: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const { wave, dash, ...bare } = region;
    const laid = {
      ...bare,
      width_mm: region.width_mm * laying.scale,
      pitch_mm: region.pitch_mm * laying.scale,
      turn_deg: sign * region.turn_deg,
      ...(wave
        ? {
            wave: {
              // Turned over, a wave begins to the other side.
              rise_mm: sign * wave.rise_mm * laying.scale,
              length_mm: wave.length_mm * laying.scale,
            },
          }
        : {}),
      ...(dash ? { dash: { long_mm: dash.long_mm * laying.scale, gap_mm: dash.gap_mm * laying.scale } } : {}),
      at: { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) },
    };
    const into_mm = linesDistance_mm(laid);
    return {
      polygons: linePolygons(laid),
      distance_mm: (x, y) => Math.min(into_mm(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  handles: (region, on) => linesHandles(region, on),
  says: ({ count: many, width_mm, pitch_mm, turn_deg, across, along, crossed, wave, dash }, spot, side) => {
    const dashed = dash ? 'dashed ' : '';
    const apart = `${rounded(width_mm, 1)} mm wide, ${rounded(pitch_mm, 1)} mm apart`;
    const turned = turnWords(turn_deg, spot, side);
    if (crossed) return `in ${dashed}${wave ? 'wavy ' : ''}checks ${apart}, ${turned}`;
    const line = `${dashed}${wave ? 'wave' : 'line'}`;
    return many === 1
      ? `in a ${line} ${rounded(width_mm, 1)} mm wide, ${turned}, ${spot(side * across, along)}`
      : `in ${many} ${line}s ${apart}, ${turned}`;
  },
  drawn_s: ({ count: many, crossed, dash }) => {
    const line_s = dash ? Math.max(LINE_S, (DASH_S * USUAL_MM) / (dash.long_mm + dash.gap_mm)) : LINE_S;
    return Math.round(Math.max(LEAST_S, line_s * many * (crossed ? 2 : 1)));
  },
  stroke_mm: ({ width_mm }) => width_mm,
  finer: (region, by_mm) =>
    region.width_mm - by_mm < LEAST_WIDTH_MM
      ? undefined
      : { ...region, width_mm: rounded(region.width_mm - by_mm, 2) },
  inner: (region) => (region.count > 2 ? { ...region, count: region.count - 2 } : undefined),
  strokes: ({ count: many, crossed }) => many * (crossed ? 2 : 1),
});

const PITCH = limitsOf(schema, 'pitch_mm');
const RISE = limitsOf(schema, 'wave.rise_mm');
const LENGTH = limitsOf(schema, 'wave.length_mm');

function linesHandles(region: Lines, on: OnNail): Handle<Lines>[] {
  const { side, scale } = on;
  const at = spotAt_mm(region, on);
  const turn = (side * region.turn_deg * Math.PI) / 180;
  const along = { x: -Math.sin(turn), y: Math.cos(turn) };
  const gap = region.pitch_mm * scale;
  return [
    ...onPart(turnedSpotHandles(region, { id: 'lines', words: 'lines' }, on), (spot) => ({
      ...region,
      ...spot,
    })),
    {
      id: 'lines-gap',
      of: 'lines',
      words: 'lines: how far apart',
      at: { x: at.x + along.y * gap, y: at.y - along.x * gap },
      says: `${region.pitch_mm.toFixed(1)} mm from middle to middle`,
      move: ({ x, y }) => {
        const off = Math.abs((x - at.x) * along.y - (y - at.y) * along.x);
        return { ...region, pitch_mm: toMm(within(PITCH, off / scale)) };
      },
    },
    ...(region.wave ? [waveHandle(region, region.wave, { at, along, scale, side })] : []),
  ];
}

interface Run {
  at: Point;
  along: Point;
  scale: number;
  side: 1 | -1;
}

/** The first crest of a wave: its height and how far on it comes. */
function waveHandle(
  region: Lines,
  wave: NonNullable<Lines['wave']>,
  { at, along, scale, side }: Run,
): Handle<Lines> {
  const on = (wave.length_mm * scale) / 4;
  const off = wave.rise_mm * scale * side;
  return {
    id: 'lines-wave',
    of: 'lines',
    words: 'waves: how high and long',
    at: { x: at.x + along.x * on + along.y * off, y: at.y + along.y * on - along.x * off },
    says: `${wave.rise_mm.toFixed(1)} mm high, ${wave.length_mm.toFixed(1)} mm long`,
    move: ({ x, y }) => {
      const [dx, dy] = [x - at.x, y - at.y];
      return {
        ...region,
        wave: {
          rise_mm: toMm(within(RISE, (side * (dx * along.y - dy * along.x)) / scale)),
          length_mm: toMm(within(LENGTH, (4 * (dx * along.x + dy * along.y)) / scale)),
        },
      };
    },
  };
}
