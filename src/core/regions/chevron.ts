import * as z from 'zod/mini';
import { along_mm, type NailFrame, type Point } from '../geometry/frame';
import { offSkin_mm } from '../geometry/regions';
import { figure, limitsOf, within } from '../model/limits';
import { Along, mm } from '../model/primitives';
import { alongOf, toMm } from './handle';
import { heightWords } from './heights';
import { rounded } from '../model/rounded';
import { defineRegion } from './regionKind';

/**
 * What lies beyond two straight lines that meet in the middle: a V. `fall_mm` is how far the line lies nearer to the cuticle
 * at the sidewalls than in the middle; negative, the point shows to the cuticle.
 */
const schema = z.strictObject({ kind: z.literal('chevron'), point: Along, fall_mm: mm(-15, 15) });
const FALL = limitsOf(schema, 'fall_mm');

export const chevron = defineRegion({
  kind: 'chevron',
  words: 'A V at the tip',
  noun: () => 'V',
  schema,
  fresh: { kind: 'chevron', point: 0.85, fall_mm: -4 },
  figures: () => [
    figure(schema, 'point', 'Its point (0 cuticle, 2 tip)'),
    figure(schema, 'fall_mm', 'Falls to the sides'),
  ],
  lay: (frame, region, { scale, margin_mm }) => {
    const half = frame.arc_mm / 2;
    const middle = along_mm(frame, region.point);
    const slope = (region.fall_mm * scale) / half;
    const line = (x: number) => middle - slope * Math.abs(x);
    return {
      polygons: above(frame, line),
      distance_mm: (x, y) =>
        Math.min((y - line(x)) / Math.sqrt(1 + slope * slope), offSkin_mm(frame, x, y, margin_mm)),
    };
  },
  handles: (region, { frame, scale }) => {
    const x = frame.arc_mm * 0.35;
    const slope = (region.fall_mm * scale) / (frame.arc_mm / 2);
    const middle = along_mm(frame, region.point);
    return [
      {
        id: 'chevron-point',
        words: 'the V: its point',
        at: { x: 0, y: middle },
        says: `point ${region.point.toFixed(2)}`,
        move: ({ y }) => ({ ...region, point: alongOf(frame, y) }),
      },
      {
        id: 'chevron-side',
        words: 'the V: its sides',
        at: { x, y: middle - slope * x },
        says: `falls ${region.fall_mm.toFixed(1)} mm`,
        move: ({ y }) => ({
          ...region,
          fall_mm: toMm(within(FALL, ((middle - y) / x / scale) * (frame.arc_mm / 2))),
        }),
      },
    ];
  },
  says: ({ point, fall_mm }) =>
    `beyond a V, its point ${heightWords(point)}, its sides ${rounded(Math.abs(fall_mm), 1)} mm nearer the ${fall_mm < 0 ? 'tip' : 'cuticle'}`,
});

/** Columns over the nail, and steps in each to find where it ends. */
const COLUMNS = 60;
const STEPS = 90;

/** The parts of the nail above a line, column by column: one curve, or two where the point leaves the nail. */
function above({ arc_mm, length_mm, halfWidth_mm }: NailFrame, line: (x: number) => number): Point[][] {
  const runs: { x: number; from: number; to: number }[][] = [[]];
  for (let i = 0; i <= COLUMNS; i += 1) {
    const x = (i / COLUMNS - 0.5) * arc_mm * 0.998;
    const inside = Array.from({ length: STEPS + 1 }, (_, k) => (k / STEPS) * length_mm).filter(
      (y) => halfWidth_mm(y) >= Math.abs(x),
    );
    const to = inside.at(-1) ?? 0;
    const from = Math.max(line(x), inside[0] ?? 0);
    if (to > from) runs.at(-1)!.push({ x, from, to });
    else if (runs.at(-1)!.length > 0) runs.push([]);
  }
  return runs
    .filter((run) => run.length > 1)
    .map((run) => [
      ...run.map(({ x, from }) => ({ x, y: from })),
      ...run.map(({ x, to }) => ({ x, y: to })).reverse(),
    ]);
}
