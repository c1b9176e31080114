import { along_mm, type Point } from '../geometry/frame';
import { textWidth } from '../geometry/letters';
import { DRAWN_FOR_ARC_MM } from '../geometry/regions';
import type { Region } from '../model/region';
import { scaleOn, sideOf, spotOn_mm, type Fitting, type NailContext } from './context';
import {
  acrossAt,
  alongAt,
  alongOf,
  bodyHandles,
  clamp,
  toMm,
  onPart,
  placeSays,
  share,
  smileHandles,
  spotHandle,
  turnedSpotHandles,
  type Handle,
} from './handle';

/** What a region is moved by; the whole nail by nothing. */
export function regionHandles(region: Region, context: NailContext, fitting: Fitting): Handle<Region>[] {
  switch (region.kind) {
    case 'whole':
      return [];
    case 'tip':
    case 'bed':
      return onPart(smileHandles(region.smile, context, fitting), (smile): Region => ({ ...region, smile }));
    case 'band':
      return bandHandles(region, context, fitting);
    case 'oval':
      return onPart(
        bodyHandles(
          {
            ...region,
            scale: scaleOn(context.frame, fitting),
            words: 'oval',
            id: 'oval',
            most_mm: [40, 60],
            least_mm: 0.3,
          },
          context,
          fitting,
        ),
        (body): Region => ({ ...region, ...body }),
      );
    case 'lines':
      return linesHandles(region, context, fitting);
    case 'dots':
      return dotsHandles(region, context, fitting);
    case 'letters':
      return lettersHandles(region, context, fitting);
    case 'path':
    case 'outline':
      return cornerHandles(region, context, fitting);
  }
}

type LinesRegion = Extract<Region, { kind: 'lines' }>;

function linesHandles(region: LinesRegion, context: NailContext, fitting: Fitting): Handle<Region>[] {
  const side = sideOf(context, fitting);
  const at = spotOn_mm(region, context, fitting);
  const turn = (side * region.turn_deg * Math.PI) / 180;
  const along = { x: -Math.sin(turn), y: Math.cos(turn) };
  const scale = scaleOn(context.frame, fitting);
  const gap = region.pitch_mm * scale;
  return [
    ...onPart(
      turnedSpotHandles(region, { id: 'lines', words: 'lines' }, context, fitting),
      (spot): Region => ({ ...region, ...spot }),
    ),
    {
      id: 'lines-gap',
      of: 'lines',
      words: 'lines: how far apart',
      at: { x: at.x + along.y * gap, y: at.y - along.x * gap },
      says: `${region.pitch_mm.toFixed(1)} mm from middle to middle`,
      move: ({ x, y }) => {
        const off = Math.abs((x - at.x) * along.y - (y - at.y) * along.x);
        return { ...region, pitch_mm: toMm(clamp(off / scale, 0.1, 30)) };
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
  region: LinesRegion,
  wave: NonNullable<LinesRegion['wave']>,
  { at, along, scale, side }: Run,
): Handle<Region> {
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
          rise_mm: toMm(clamp((side * (dx * along.y - dy * along.x)) / scale, 0.05, 10)),
          length_mm: toMm(clamp((4 * (dx * along.x + dy * along.y)) / scale, 0.5, 40)),
        },
      };
    },
  };
}

type DotsRegion = Extract<Region, { kind: 'dots' }>;

/** Dots are moved and turned as lines are; the dot beside the middle draws them apart. */
function dotsHandles(region: DotsRegion, context: NailContext, fitting: Fitting): Handle<Region>[] {
  const at = spotOn_mm(region, context, fitting);
  const scale = scaleOn(context.frame, fitting);
  const turn = (sideOf(context, fitting) * region.turn_deg * Math.PI) / 180;
  const gap = region.pitch_mm * scale;
  return [
    ...onPart(turnedSpotHandles(region, { id: 'dots', words: 'dots' }, context, fitting), (spot): Region => ({
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
        pitch_mm: toMm(clamp(Math.hypot(x - at.x, y - at.y) / scale, 0.2, 20)),
      }),
    },
  ];
}

type Letters = Extract<Region, { kind: 'letters' }>;

/** Letters are moved by their middle; their upper right corner turns them and makes them larger. */
function lettersHandles(region: Letters, context: NailContext, fitting: Fitting): Handle<Region>[] {
  const side = sideOf(context, fitting);
  const scale = scaleOn(context.frame, fitting);
  const at = spotOn_mm(region, context, fitting);
  const [w, h] = [(textWidth(region.text) * region.height_mm) / 2, region.height_mm / 2];
  const turn = (side * region.turn_deg * Math.PI) / 180 + Math.atan2(h, w);
  const reach = Math.hypot(w, h) * scale;
  return [
    spotHandle(region, { id: 'letters', words: 'letters' }, context, fitting, (spot): Region => ({
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
          height_mm: toMm(clamp((region.height_mm * away) / reach, 0.5, 20)),
        };
      },
    },
  ];
}

type Outline = Extract<Region, { kind: 'outline' | 'path' }>;

/** Corners may lie past the nail: the outline is cut by it. */
const PAST = { across: 1.5, from: -0.5, to: 2.5 } as const;

function cornerHandles(region: Outline, context: NailContext, fitting: Fitting): Handle<Region>[] {
  const drawn = region.points.map((point) => spotOn_mm(point, context, fitting));
  const count = drawn.length;
  const middle = {
    x: drawn.reduce((sum, point) => sum + point.x, 0) / count,
    y: drawn.reduce((sum, point) => sum + point.y, 0) / count,
  };
  // Kept at the size it was drawn in, an outline on a narrow nail is larger about its middle, and so are its moves.
  const size = keptSize(context, fitting);
  const gain = 1 / count + size * (1 - 1 / count);
  return drawn.map((point, i): Handle<Region> => {
    const at = {
      x: middle.x + size * (point.x - middle.x),
      y: middle.y + size * (point.y - middle.y),
    };
    return {
      id: `point-${i}`,
      words: `corner ${i + 1}`,
      at,
      says: placeSays(at),
      move: (to) => {
        const spot = {
          x: point.x + (to.x - at.x) / gain,
          y: point.y + (to.y - at.y) / gain,
        };
        const next = drawnSpot(spot, context, fitting);
        return { ...region, points: region.points.map((one, k) => (k === i ? next : one)) };
      },
    };
  });
}

/** A point of this nail as drawn lines and outlines hold it: they may lead past the nail. */
export function drawnSpot(
  to: Point,
  context: NailContext,
  fitting: Fitting,
): { across: number; along: number } {
  return {
    across: share(clamp(acrossAt(context, fitting, to.x), -PAST.across, PAST.across)),
    along: share(clamp(alongAt(context.frame, to.y), PAST.from, PAST.to)),
  };
}

function keptSize({ frame }: NailContext, fitting: Fitting): number {
  return fitting.fit === 'keep' ? Math.max(1, DRAWN_FOR_ARC_MM / frame.arc_mm) : 1;
}

type Band = Extract<Region, { kind: 'band' }>;
/** A band is never thinner than this, as a share of its landmark. */
const LEAST_BAND = 0.03;

function bandHandles(band: Band, context: NailContext, fitting: Fitting): Handle<Region>[] {
  const { frame } = context;
  const y_mm = (along: number) => along_mm(frame, along);
  // Kept at the size it was drawn in, a band on a narrow nail reaches further from its middle.
  const size = keptSize(context, fitting);
  const middle = (y_mm(band.from) + y_mm(band.to)) / 2;
  // What lies past the nail is taken hold of at its edge.
  const shown = (along: number) =>
    along <= 0
      ? 0
      : along >= 2
        ? frame.length_mm
        : clamp(middle + size * (y_mm(along) - middle), 0, frame.length_mm);
  const says = `from ${band.from.toFixed(2)} to ${band.to.toFixed(2)}`;
  const moved = (from_mm: number, to_mm: number): Region => {
    const centre = (from_mm + to_mm) / 2;
    const half = (to_mm - from_mm) / 2 / size;
    return { ...band, from: alongOf(frame, centre - half), to: alongOf(frame, centre + half) };
  };
  const least_mm = LEAST_BAND * frame.bed_mm;
  const [lower, upper] = [shown(band.from), shown(band.to)];
  return [
    {
      id: 'band-from',
      words: 'lower edge of the band',
      at: { x: 0, y: lower },
      says,
      move: ({ y }) => (y === lower ? band : guarded(moved(clamp(y, 0, upper - least_mm), upper), band)),
    },
    {
      id: 'band-to',
      words: 'upper edge of the band',
      at: { x: 0, y: upper },
      says,
      move: ({ y }) =>
        y === upper ? band : guarded(moved(lower, clamp(y, lower + least_mm, frame.length_mm)), band),
    },
  ];
}

/** A band that has shrunk to nothing stays as it was. */
function guarded(next: Region, before: Region): Region {
  return next.kind === 'band' && next.to <= next.from ? before : next;
}
