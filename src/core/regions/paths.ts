import * as z from 'zod/mini';
import type { NailFrame, Point } from '../geometry/frame';
import { nearestOf } from '../geometry/nearest';
import { fitted, smoothLine, stripPolygons, toLine_mm } from '../geometry/lines';
import { DRAWN_FOR_ARC_MM, keptSize, offSkin_mm, polygonDistance_mm, type Laying } from '../geometry/regions';
import { leastOf, mostOf } from '../model/extent';
import { mm } from '../model/primitives';
import { placeSays, type Handle } from './handle';
import { drawnSpot, DrawnPoint, heldPoint, middleOf, MOST_POINTS } from './drawnPoints';
import { cutAtEdge } from './inwards';
import { spotAt_mm, type OnNail } from './on';
import { defineRegion } from './regionKind';

const MOST_PATHS = 60;

/** A stroke, or with `filled` the shape that it goes round. */
const Path = z.strictObject({
  width_mm: mm(0.05, 15, 0.05),
  filled: z.boolean(),
  points: z.array(DrawnPoint).check(z.minLength(2), z.maxLength(MOST_POINTS)),
});
type Path = z.infer<typeof Path>;

/** Several lines and shapes drawn by hand, each as wide as it was drawn. */
const schema = z.strictObject({
  kind: z.literal('paths'),
  paths: z.array(Path).check(z.minLength(1), z.maxLength(MOST_PATHS)),
});
type Paths = z.infer<typeof schema>;

/** Loading the brush and setting it down, a mm of a small stroke, a turn of it (common practice: a colour of a motif is about a minute). */
const SET_DOWN_S = 6;
const PER_MM_S = 1.4;
const TURN_S = 1;
/** Of the nail that looks are drawn for: what a step along it is in mm. */
const DRAWN_BED_MM = 12;

export const paths = defineRegion({
  kind: 'paths',
  words: 'Several lines and shapes',
  noun: ({ paths: all }) => (all.length === 1 ? 'stroke' : 'strokes'),
  schema,
  fresh: {
    kind: 'paths',
    paths: [
      {
        width_mm: 0.4,
        filled: false,
        points: [
          { across: 0, along: 0.35 },
          { across: 0.1, along: 0.7 },
          { across: -0.05, along: 1.15 },
        ],
      },
      {
        width_mm: 0.3,
        filled: true,
        points: [
          { across: 0.07, along: 0.68 },
          { across: 0.24, along: 0.7 },
          { across: 0.4, along: 0.79 },
          { across: 0.5, along: 0.93 },
          { across: 0.32, along: 0.92 },
          { across: 0.17, along: 0.83 },
        ],
      },
      {
        width_mm: 0.3,
        filled: true,
        points: [
          { across: 0.03, along: 0.9 },
          { across: -0.14, along: 0.91 },
          { across: -0.32, along: 0.99 },
          { across: -0.44, along: 1.14 },
          { across: -0.25, along: 1.13 },
          { across: -0.09, along: 1.05 },
        ],
      },
    ],
  },
  figures: () => [],
  lay: (frame, region, laying) => {
    const laid = onOne(region, frame, laying).map((line, i) => {
      const { filled, width_mm } = region.paths[i]!;
      const half_mm = (width_mm * laying.scale) / 2;
      return { line, filled, half_mm, box: boxOf(line, filled ? 0 : half_mm) };
    });
    const nearest = nearestOf(
      laid.map(({ line, filled, half_mm, box }) => ({
        into_mm: filled
          ? (x, y) => polygonDistance_mm(line, x, y)
          : (x, y) => half_mm - toLine_mm(line, x, y),
        // No nearer than its box is.
        atMost_mm: (x, y) => -offBox(box, x, y),
      })),
    );
    return {
      polygons: laid.flatMap(({ line, filled, half_mm }) =>
        filled ? [line] : stripPolygons(line, 2 * half_mm),
      ),
      distance_mm: (x, y) => Math.min(nearest(x, y), offSkin_mm(frame, x, y, laying.margin_mm)),
    };
  },
  handles: (region, on) => pathHandles(region, on),
  says: ({ paths: all }, spot, side) => {
    const middle = middleOf(all.flatMap(({ points }) => points));
    return `in ${all.length} ${all.length === 1 ? 'stroke' : 'strokes'}, ${spot(side * middle.across, middle.along)}`;
  },
  sized: {
    inwards: (region) => {
      const cut = region.paths.map((path) => cutAtEdge(path)[0]!);
      return [{ words: cut[0]!.words, region: { ...region, paths: cut.map((one) => one.region) } }];
    },
  },
  drawn_s: ({ paths: all }) => Math.round(all.reduce((sum, path) => sum + hand_s(path), 0)),
  // A shape is filled in: its width is nobody's line.
  stroke_mm: ({ paths: all }) => mostOf(all.map(({ width_mm, filled }) => (filled ? 1 : width_mm))),
  strokes: ({ paths: all }) => all.length,
});

interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

function boxOf(line: readonly Point[], around: number): Box {
  const xs = line.map(({ x }) => x);
  const ys = line.map(({ y }) => y);
  return {
    left: leastOf(xs) - around,
    right: mostOf(xs) + around,
    low: leastOf(ys) - around,
    high: mostOf(ys) + around,
  };
}

/** How far off a box a point lies at least; below 0 inside, where nothing is known. */
function offBox({ left, right, low, high }: Box, x: number, y: number): number {
  const dx = Math.max(left - x, x - right);
  const dy = Math.max(low - y, y - high);
  return dx <= 0 && dy <= 0 ? -Infinity : Math.hypot(Math.max(0, dx), Math.max(0, dy));
}

/** A hundredth of a millimetre of a stroke's run is seen by nobody. */
const UNSEEN_MM = 0.01;

/** Every path on one nail: about the middle of all of them, so that kept at its size the whole stays together. */
function onOne({ paths: all }: Paths, frame: NailFrame, laying: Laying): Point[][] {
  const size = keptSize(frame, laying);
  const on = { frame, side: laying.mirror ? -1 : 1 } as const;
  const middle = middleOf(all.flatMap(({ points }) => points));
  const centre = spotAt_mm(middle, on);
  return all.map(({ points, filled }) => {
    const drawn = points.map((point) => {
      const { x, y } = spotAt_mm(point, on);
      return { x: centre.x + size * (x - centre.x), y: centre.y + size * (y - centre.y) };
    });
    return filled ? drawn : fitted(smoothLine(drawn), UNSEEN_MM, Infinity);
  });
}

/** Each stroke or shape is moved by its middle. */
function pathHandles(region: Paths, on: OnNail): Handle<Paths>[] {
  return region.paths.map((path, i): Handle<Paths> => {
    const middle = middleOf(path.points);
    const at = spotAt_mm(middle, on);
    return {
      id: `stroke-${i}`,
      words: `stroke ${i + 1}`,
      at,
      says: placeSays(at),
      move: (to) => {
        const next = drawnSpot(to, on);
        const [dx, dy] = [next.across - middle.across, next.along - middle.along];
        const points = path.points.map((point) => heldPoint(point.across + dx, point.along + dy));
        return { ...region, paths: region.paths.map((one, k) => (k === i ? { ...path, points } : one)) };
      },
    };
  });
}

/** A shape is gone round, and filled in half as much again (common practice). */
const FILLED_IN = 1.5;

/** Seconds by length and turns. */
function hand_s({ points, filled }: Path): number {
  const drawn = points.map((point) => ({
    x: (point.across * DRAWN_FOR_ARC_MM) / 2,
    y: point.along * DRAWN_BED_MM,
  }));
  const steps = drawn.slice(1).map((b, i) => ({ x: b.x - drawn[i]!.x, y: b.y - drawn[i]!.y }));
  const length = steps.reduce((sum, step) => sum + Math.hypot(step.x, step.y), 0);
  const turns = steps.slice(1).filter((b, i) => {
    const a = steps[i]!;
    return a.x * b.x + a.y * b.y < 0.7 * Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y);
  }).length;
  return (SET_DOWN_S + PER_MM_S * length + TURN_S * turns) * (filled ? FILLED_IN : 1);
}
