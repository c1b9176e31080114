import type { NailFrame, Point } from '../geometry/frame';
import { smileLine } from '../geometry/regions';
import { limitsOf } from '../model/limits';
import { rounded } from '../model/rounded';
import { Smile } from '../model/smile';
import { spotAt_mm, type OnNail } from './on';

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

export const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));
/** Shares to a thousandth, mm to a hundredth: finer than a hand is. */
export const share = (value: number) => rounded(value, 3);
export const toMm = (value: number) => rounded(value, 2);

/** Mm from the cuticle as a landmark: 0 cuticle, 1 free edge, 2 tip, and on past them. */
export function alongAt(frame: NailFrame, y_mm: number): number {
  const past = frame.length_mm - frame.bed_mm;
  return y_mm <= frame.bed_mm || past <= 0 ? y_mm / frame.bed_mm : 1 + (y_mm - frame.bed_mm) / past;
}

/** Mm from the middle as a share of the arc, as drawn for the left hand. */
export function acrossAt({ side, frame }: OnNail, x_mm: number): number {
  return (side * x_mm) / (frame.arc_mm / 2);
}

/** The same on the nail, to a thousandth. */
export function alongOf(frame: NailFrame, y_mm: number): number {
  return share(clamp(alongAt(frame, y_mm), 0, 2));
}
function acrossOf(on: OnNail, x_mm: number): number {
  return share(clamp(acrossAt(on, x_mm), -1, 1));
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

const most = (path: string): [number, number] => {
  const { min, max } = limitsOf(Smile, path);
  return [min, max];
};
const SMILE = { rise: most('rise_mm'), depth: most('depth_mm'), tilt: most('tilt_mm') };

/** The middle of a smile line and its two ends. */
export function smileHandles(smile: Smile, { frame, scale, side }: OnNail): Handle<Smile>[] {
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
      depth_mm: toMm(clamp((left + right) / 2 / END_SHARE ** 2, ...SMILE.depth)),
      tilt_mm: toMm(clamp(tilt, ...SMILE.tilt)),
    };
  };
  const says = `rise ${smile.rise_mm.toFixed(1)}, depth ${smile.depth_mm.toFixed(1)}, tilt ${smile.tilt_mm.toFixed(1)} mm`;
  return [
    {
      id: 'smile-middle',
      words: 'smile line, its middle',
      at: { x: 0, y: middle },
      says,
      move: ({ y }) => ({ ...smile, rise_mm: toMm(clamp((y - frame.bed_mm) / scale, ...SMILE.rise)) }),
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

interface Sized {
  across: number;
  along: number;
  width_mm: number;
  length_mm: number;
  turn_deg: number;
}

/** A thing with a middle, a length and a width: it is moved, turned and drawn longer by its end, wider by its side. */
export function bodyHandles(
  body: Sized & { id: string; words: string; scale: number; least_mm: number; most_mm: [number, number] },
  on: OnNail,
  sizes: 'sized' | 'fixed' = 'sized',
): Handle<Sized>[] {
  const { side } = on;
  const { id, words, scale, least_mm, most_mm } = body;
  const bare: Sized = {
    across: body.across,
    along: body.along,
    width_mm: body.width_mm,
    length_mm: body.length_mm,
    turn_deg: body.turn_deg,
  };
  const at = spotAt_mm(body, on);
  const turn = (side * body.turn_deg * Math.PI) / 180;
  const end = (body.length_mm * scale) / 2;
  const flank = (body.width_mm * scale) / 2;
  const long = { x: -Math.sin(turn), y: Math.cos(turn) };
  const wide = { x: Math.cos(turn), y: Math.sin(turn) };
  return [
    { id, words, at, says: placeSays(at), move: (to) => ({ ...bare, ...spotOf(to, on) }) },
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
          ...(sizes === 'sized' ? { length_mm: toMm(clamp((2 * reach) / scale, least_mm, most_mm[1])) } : {}),
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
            move: ({ x, y }: Point): Sized => {
              const across = Math.abs((x - at.x) * wide.x + (y - at.y) * wide.y);
              return { ...bare, width_mm: toMm(clamp((2 * across) / scale, least_mm, most_mm[0])) };
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
  on: OnNail,
  whole: (spot: { across: number; along: number }) => E,
): Handle<E> {
  const at = spotAt_mm(spot, on);
  return { ...name, at, says: placeSays(at), move: (to) => whole(spotOf(to, on)) };
}

/** Where lines are turned by: so far from their middle. */
const TURNED_AT_MM = 3.5;

interface TurnedSpot {
  across: number;
  along: number;
  turn_deg: number;
}

/** Something without a size that is moved by its middle and turned by its end. */
export function turnedSpotHandles(
  spot: TurnedSpot,
  name: { id: string; words: string },
  on: OnNail,
): Handle<TurnedSpot>[] {
  const { side } = on;
  const at = spotAt_mm(spot, on);
  const turn = (side * spot.turn_deg * Math.PI) / 180;
  const bare = { across: spot.across, along: spot.along, turn_deg: spot.turn_deg };
  return [
    spotHandle(spot, name, on, (to) => ({ ...bare, ...to })),
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
export function spotOf(to: Point, on: OnNail): { across: number; along: number } {
  return { across: acrossOf(on, to.x), along: alongOf(on.frame, to.y) };
}
