import { along_mm, type NailFrame, type Point } from '../geometry/frame';
import { DRAWN_FOR_ARC_MM, smileLine } from '../geometry/regions';
import { textWidth } from '../geometry/letters';
import { rounded } from '../model/rounded';
import type { Region, Smile } from '../model/region';
import { scaleOn, sideOf, spotOn_mm, type Fitting, type NailContext } from './context';

/** Something of an element that is taken hold of on the nail itself and moved there. */
export interface Handle<E> {
  id: string;
  /** What it moves: "piece 2", "smile line, middle". */
  words: string;
  /** Where it lies on the unrolled nail, in mm. */
  at: Point;
  /** Its figures as they are. */
  says: string;
  /** The element with it moved to a point, as far as that goes. */
  move: (to: Point) => E;
  /** Shown only while the handle of this id is held: ends and sides of what that one moves. */
  of?: string;
}

/** A handle of a part of an element; `whole` makes the element of the changed part. */
export function onPart<P, E>(handles: readonly Handle<P>[], whole: (part: P) => E): Handle<E>[] {
  return handles.map((handle) => ({ ...handle, move: (to) => whole(handle.move(to)) }));
}

const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));
/** Shares to a thousandth, mm to a hundredth: finer than a hand is. */
const share = (value: number) => rounded(value, 3);
const mm = (value: number) => rounded(value, 2);

/** Mm from the cuticle as a landmark: 0 cuticle, 1 free edge, 2 tip, and on past them. */
function alongAt(frame: NailFrame, y_mm: number): number {
  const past = frame.length_mm - frame.bed_mm;
  return y_mm <= frame.bed_mm || past <= 0 ? y_mm / frame.bed_mm : 1 + (y_mm - frame.bed_mm) / past;
}

/** Mm from the middle as a share of the arc, as drawn for the left hand. */
function acrossAt(context: NailContext, fitting: Fitting, x_mm: number): number {
  return (sideOf(context, fitting) * x_mm) / (context.frame.arc_mm / 2);
}

/** The same on the nail, to a thousandth. */
function alongOf(frame: NailFrame, y_mm: number): number {
  return share(clamp(alongAt(frame, y_mm), 0, 2));
}
function acrossOf(context: NailContext, fitting: Fitting, x_mm: number): number {
  return share(clamp(acrossAt(context, fitting, x_mm), -1, 1));
}

/** "2.5 mm left, 4.0 up": a place on the nail as it is said, seen from above. */
export function placeSays({ x, y }: Point): string {
  const off = Math.abs(x) < 0.05 ? 'middle' : `${Math.abs(x).toFixed(1)} mm ${x < 0 ? 'left' : 'right'}`;
  return `${off}, ${y.toFixed(1)} mm from the cuticle`;
}

/** Where the ends of a smile line are taken hold of, as a share of half the arc. */
const END_SHARE = 0.8;
/** Ends this near to even are even (common practice: evenness is not a matter of taste). */
const EVEN_MM = 0.3;

/** The middle of a smile line and its two ends. */
export function smileHandles(smile: Smile, context: NailContext, fitting: Fitting): Handle<Smile>[] {
  const { frame } = context;
  const scale = scaleOn(frame, fitting);
  const side = sideOf(context, fitting);
  const line = smileLine(frame, smile, { mirror: side < 0, scale, margin_mm: 0 });
  const x = (frame.arc_mm / 2) * END_SHARE;
  const middle = line(0);
  /** How far each end lies behind the middle, as drawn. */
  const behind = (y: number) => (middle - y) / scale;
  const ended = (left: number, right: number): Smile => {
    const even = Math.abs(left - right) < EVEN_MM;
    const tilt = even ? 0 : (side * (left - right)) / END_SHARE;
    return {
      ...smile,
      depth_mm: mm(clamp((left + right) / 2 / END_SHARE ** 2, 0, 15)),
      tilt_mm: mm(clamp(tilt, -6, 6)),
    };
  };
  const says = `rise ${smile.rise_mm.toFixed(1)}, depth ${smile.depth_mm.toFixed(1)}, tilt ${smile.tilt_mm.toFixed(1)} mm`;
  return [
    {
      id: 'smile-middle',
      words: 'smile line, its middle',
      at: { x: 0, y: middle },
      says,
      move: ({ y }) => ({ ...smile, rise_mm: mm(clamp((y - frame.bed_mm) / scale, -15, 20)) }),
    },
    {
      id: 'smile-left',
      words: 'smile line, its left end',
      at: { x: -x, y: line(-x) },
      says,
      move: ({ y }) => ended(behind(y), behind(line(x))),
    },
    {
      id: 'smile-right',
      words: 'smile line, its right end',
      at: { x, y: line(x) },
      says,
      move: ({ y }) => ended(behind(line(-x)), behind(y)),
    },
  ];
}

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
/** Where lines are turned by: so far from their middle. */
const TURNED_AT_MM = 3.5;

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
        return { ...region, pitch_mm: mm(clamp(off / scale, 0.1, 30)) };
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
          rise_mm: mm(clamp((side * (dx * along.y - dy * along.x)) / scale, 0.05, 10)),
          length_mm: mm(clamp((4 * (dx * along.x + dy * along.y)) / scale, 0.5, 40)),
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
        pitch_mm: mm(clamp(Math.hypot(x - at.x, y - at.y) / scale, 0.2, 20)),
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
          height_mm: mm(clamp((region.height_mm * away) / reach, 0.5, 20)),
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
  const shown = (along: number) =>
    along <= 0 ? 0 : along >= 2 ? frame.length_mm : middle + size * (y_mm(along) - middle);
  const says = `from ${band.from.toFixed(2)} to ${band.to.toFixed(2)}`;
  const moved = (from_mm: number, to_mm: number): Region => {
    const centre = (from_mm + to_mm) / 2;
    const half = (to_mm - from_mm) / 2 / size;
    return { ...band, from: alongOf(frame, centre - half), to: alongOf(frame, centre + half) };
  };
  const least_mm = LEAST_BAND * frame.bed_mm;
  return [
    {
      id: 'band-from',
      words: 'lower edge of the band',
      at: { x: 0, y: shown(band.from) },
      says,
      move: ({ y }) => guarded(moved(clamp(y, 0, shown(band.to) - least_mm), shown(band.to)), band),
    },
    {
      id: 'band-to',
      words: 'upper edge of the band',
      at: { x: 0, y: shown(band.to) },
      says,
      move: ({ y }) =>
        guarded(moved(shown(band.from), clamp(y, shown(band.from) + least_mm, frame.length_mm)), band),
    },
  ];
}

/** A band that has shrunk to nothing stays as it was. */
function guarded(next: Region, before: Region): Region {
  return next.kind === 'band' && next.to <= next.from ? before : next;
}

interface Body {
  across: number;
  along: number;
  width_mm: number;
  length_mm: number;
  turn_deg: number;
}

/** A thing with a middle, a length and a width: it is moved, turned and drawn longer by its end, wider by its side. */
export function bodyHandles(
  body: Body & { id: string; words: string; scale: number; least_mm: number; most_mm: [number, number] },
  context: NailContext,
  fitting: Fitting,
  sizes: 'sized' | 'fixed' = 'sized',
): Handle<Body>[] {
  const side = sideOf(context, fitting);
  const { id, words, scale, least_mm, most_mm } = body;
  const bare: Body = {
    across: body.across,
    along: body.along,
    width_mm: body.width_mm,
    length_mm: body.length_mm,
    turn_deg: body.turn_deg,
  };
  const at = spotOn_mm(body, context, fitting);
  const turn = (side * body.turn_deg * Math.PI) / 180;
  const end = (body.length_mm * scale) / 2;
  const flank = (body.width_mm * scale) / 2;
  const long = { x: -Math.sin(turn), y: Math.cos(turn) };
  const wide = { x: Math.cos(turn), y: Math.sin(turn) };
  return [
    { id, words, at, says: placeSays(at), move: (to) => ({ ...bare, ...spotOf(to, context, fitting) }) },
    {
      id: `${id}-end`,
      of: id,
      words: sizes === 'sized' ? `${words}: turn, and length` : `${words}: turn`,
      at: { x: at.x + long.x * end, y: at.y + long.y * end },
      says: `${Math.round(body.turn_deg)}°, ${body.length_mm.toFixed(1)} × ${body.width_mm.toFixed(1)} mm`,
      move: ({ x, y }) => {
        const reach = Math.hypot(x - at.x, y - at.y);
        // Drawn onto its own middle it points nowhere.
        if (reach < 0.05) return bare;
        const turned = (side * Math.atan2(-(x - at.x), y - at.y) * 180) / Math.PI;
        return {
          ...bare,
          turn_deg: Math.round(turned),
          ...(sizes === 'sized' ? { length_mm: mm(clamp((2 * reach) / scale, least_mm, most_mm[1])) } : {}),
        };
      },
    },
    ...(sizes === 'sized'
      ? [
          {
            id: `${id}-side`,
            of: id,
            words: `${words}: width`,
            at: { x: at.x + wide.x * flank, y: at.y + wide.y * flank },
            says: `${body.length_mm.toFixed(1)} × ${body.width_mm.toFixed(1)} mm`,
            move: ({ x, y }: Point): Body => {
              const across = Math.abs((x - at.x) * wide.x + (y - at.y) * wide.y);
              return { ...bare, width_mm: mm(clamp((2 * across) / scale, least_mm, most_mm[0])) };
            },
          },
        ]
      : []),
  ];
}

/** Something small that is only moved. */
export function spotHandle<E>(
  spot: { across: number; along: number },
  name: { id: string; words: string },
  context: NailContext,
  fitting: Fitting,
  whole: (spot: { across: number; along: number }) => E,
): Handle<E> {
  const at = spotOn_mm(spot, context, fitting);
  return { ...name, at, says: placeSays(at), move: (to) => whole(spotOf(to, context, fitting)) };
}

interface TurnedSpot {
  across: number;
  along: number;
  turn_deg: number;
}

/** Something without a size that is moved by its middle and turned by its end. */
export function turnedSpotHandles(
  spot: TurnedSpot,
  name: { id: string; words: string },
  context: NailContext,
  fitting: Fitting,
): Handle<TurnedSpot>[] {
  const side = sideOf(context, fitting);
  const at = spotOn_mm(spot, context, fitting);
  const turn = (side * spot.turn_deg * Math.PI) / 180;
  const bare = { across: spot.across, along: spot.along, turn_deg: spot.turn_deg };
  return [
    spotHandle(spot, name, context, fitting, (to) => ({ ...bare, ...to })),
    {
      id: `${name.id}-turn`,
      of: name.id,
      words: `${name.words}: turn`,
      at: { x: at.x - Math.sin(turn) * TURNED_AT_MM, y: at.y + Math.cos(turn) * TURNED_AT_MM },
      says: `${Math.round(spot.turn_deg)}°`,
      move: ({ x, y }) =>
        Math.hypot(x - at.x, y - at.y) < 0.05
          ? bare
          : { ...bare, turn_deg: Math.round((side * Math.atan2(-(x - at.x), y - at.y) * 180) / Math.PI) },
    },
  ];
}

/** A point of this nail as a look holds it. */
export function spotOf(to: Point, context: NailContext, fitting: Fitting): { across: number; along: number } {
  return { across: acrossOf(context, fitting, to.x), along: alongOf(context.frame, to.y) };
}
