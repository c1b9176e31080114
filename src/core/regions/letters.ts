import * as z from 'zod/mini';
import { across_mm, along_mm, type Point } from '../geometry/frame';
import { dotsAlong, spotPolygons, spotsDistance_mm } from '../geometry/dots';
import { letterLines, pullsOf, textWidth } from '../geometry/letters';
import { stripPolygons, toLine_mm } from '../geometry/lines';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { Across, Along, mm, Turn } from '../model/primitives';
import { without } from '../model/without';
import { spotHandle, toMm, type Handle } from './handle';
import { nearerMiddle } from './inwards';
import { spotAt_mm, type OnNail } from './on';
import { defineRegion } from './regionKind';

/** What a liner writes. */
export const WRITABLE = /^[A-Za-z0-9&.!?+ -]*[A-Za-z0-9&.!?+-][A-Za-z0-9&.!?+ -]*$/;

const Text = z
  .string()
  .check(z.minLength(1), z.maxLength(16), z.regex(WRITABLE, 'letters A to Z, figures, and & . ! ? + - only'));

/** Letters as a liner draws them, upright for whoever wears them with the turn at 0. */
const schema = z.strictObject({
  kind: z.literal('letters'),
  text: Text,
  /** A second line below it. */
  second: z.optional(Text),
  height_mm: mm(0.5, 20),
  width_mm: mm(0.05, 3, 0.05),
  turn_deg: Turn,
  across: Across,
  along: Along,
  /** Set dot by dot with a dotting tool, so far from middle to middle; the line's width is a dot's. */
  dotted: z.optional(z.strictObject({ pitch_mm: mm(0.4, 5) })),
});
type Letters = z.infer<typeof schema>;

/** One pull of the liner (common practice). */
const PULL_S = 12;
const LEAST_S = 20;
/** One dot, and the tool dipped again after every few (common practice). */
const DOT_S = 3;

export const letters = defineRegion({
  kind: 'letters',
  words: 'Letters',
  noun: () => 'letters',
  schema,
  fresh: { kind: 'letters', text: 'A', height_mm: 5, width_mm: 0.5, turn_deg: 0, across: 0, along: 0.7 },
  figures: ({ dotted }) => [
    figure(schema, 'height_mm', 'Height'),
    figure(schema, 'width_mm', dotted ? 'Dot' : 'Line'),
    figure(schema, 'turn_deg', 'Turn'),
    ...(dotted ? [figure(schema, 'dotted.pitch_mm', 'Apart')] : []),
  ],
  switches: [
    {
      words: 'Upright for the onlooker',
      is: ({ turn_deg }) => Math.abs(turn_deg) > 90,
      turned: (region) => ({
        ...region,
        turn_deg: region.turn_deg > 0 ? region.turn_deg - 180 : region.turn_deg + 180,
      }),
    },
    {
      words: 'In two lines',
      is: ({ second }) => second !== undefined,
      turned: (region) =>
        region.second === undefined ? { ...region, second: 'B' } : without(region, 'second'),
    },
    {
      words: 'In dots',
      is: ({ dotted }) => dotted !== undefined,
      turned: (region) =>
        region.dotted
          ? without(region, 'dotted')
          : { ...region, dotted: { pitch_mm: toMm(region.width_mm * 1.6) } },
    },
  ],
  lay: (frame, region, laying) => {
    const sign = laying.mirror ? -1 : 1;
    const width_mm = region.width_mm * laying.scale;
    // On the other hand they lie on the other side, and read the same way.
    const middle = { x: sign * across_mm(frame, region.across), y: along_mm(frame, region.along) };
    const written = writtenLines(region, laying.scale, sign, middle);
    if (region.dotted) {
      const dots = dotsAlong(written, region.dotted.pitch_mm * laying.scale).filter(
        ({ x, y }) => offSkin_mm(frame, x, y, 0) > -width_mm,
      );
      const into_mm = spotsDistance_mm(dots, width_mm);
      return {
        polygons: spotPolygons(dots, width_mm),
        distance_mm: (x, y) => Math.min(into_mm(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
      };
    }
    return {
      polygons: written.flatMap((line) => stripPolygons(line, width_mm)),
      distance_mm: (x, y) => {
        let off = Infinity;
        for (const line of written) off = Math.min(off, toLine_mm(line, x, y));
        return Math.min(width_mm / 2 - off, offSkin_mm(frame, x, y, laying.margin_mm));
      },
    };
  },
  handles: (region, on) => lettersHandles(region, on),
  says: (region, spot, side) =>
    `as “${[region.text, ...(region.second ? [region.second] : [])].join(' / ').toUpperCase()}”${region.dotted ? ' in dots' : ''}, ${spot(side * region.across, region.along)}`,
  sized: { inwards: nearerMiddle },
  drawn_s: (region) =>
    Math.max(
      LEAST_S,
      region.dotted
        ? DOT_S * dotsAlong(writtenLines(region, 1, 1, { x: 0, y: 0 }), region.dotted.pitch_mm).length
        : PULL_S * (pullsOf(region.text) + pullsOf(region.second ?? '')),
    ),
  stroke_mm: ({ width_mm }) => width_mm,
});

/** From the foot of one line to that of the next, as a share of their height (common practice). */
const LINE = 1.4;

/** All that is written, about its middle. */
function writtenLines(
  { text, second, height_mm, turn_deg }: Letters,
  scale: number,
  sign: 1 | -1,
  middle: Point,
): Point[][] {
  const high = height_mm * scale;
  const turn = (sign * turn_deg * Math.PI) / 180;
  const lineAt = (said: string, up: number) =>
    letterLines(said, high, sign * turn_deg, {
      x: middle.x - Math.sin(turn) * up * high,
      y: middle.y + Math.cos(turn) * up * high,
    });
  return second === undefined ? lineAt(text, 0) : [...lineAt(text, LINE / 2), ...lineAt(second, -LINE / 2)];
}

const HEIGHT = limitsOf(schema, 'height_mm');

/** Letters are moved by their middle; their upper right corner turns them and makes them larger. */
function lettersHandles(region: Letters, on: OnNail): Handle<Letters>[] {
  const { side, scale } = on;
  const at = spotAt_mm(region, on);
  const wide = Math.max(textWidth(region.text), textWidth(region.second ?? ''));
  const high = region.second === undefined ? 1 : 1 + LINE;
  const [w, h] = [(wide * region.height_mm) / 2, (high * region.height_mm) / 2];
  const turn = (side * region.turn_deg * Math.PI) / 180 + Math.atan2(h, w);
  const reach = Math.hypot(w, h) * scale;
  return [
    spotHandle(region, { id: 'letters', words: 'letters' }, on, (spot) => ({
      ...region,
      ...spot,
    })),
    {
      id: 'letters-end',
      of: 'letters',
      words: 'letters: turn, and height',
      at: { x: at.x + reach * Math.cos(turn), y: at.y + reach * Math.sin(turn) },
      says: `${Math.round(region.turn_deg)}°, ${region.height_mm.toFixed(1)} mm high`,
      move: ({ x, y }) => {
        const away = Math.hypot(x - at.x, y - at.y);
        if (away < 0.05) return region;
        const turned = (side * ((Math.atan2(y - at.y, x - at.x) - Math.atan2(h, w)) * 180)) / Math.PI;
        return {
          ...region,
          turn_deg: Math.round(((((turned + 180) % 360) + 360) % 360) - 180),
          height_mm: toMm(within(HEIGHT, (region.height_mm * away) / reach)),
        };
      },
    },
  ];
}
