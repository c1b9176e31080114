import type { Precedence } from '../compile/acrossNails';
import type { Operation } from '../craft/operation';
import { nailOf } from '../document/edits';
import { mostOf } from '../model/extent';
import { handOf, type Hand, type NailName } from '../model/names';
import type { Load, Schedule } from './problem';
import { restsAfter } from './rounds';

/** Something of a sitting that takes time, and what it waits for. Seconds throughout. */
export interface WaitingPiece {
  /** What is done; of a load the first it serves. */
  operation: string;
  light: boolean;
  /** What no hand hastens: light, and a hold. */
  fixed_s: number;
  /** What hands take for the rest of it, as planned. */
  hand_s: number;
  /** It begins so long after these at the earliest; each stands before it in the list. */
  after: { piece: number; lag_s: number }[];
  start_s: number;
}

/** A sitting as what waits for what: played again with other hands it keeps its order of work, its loads and every wait. */
export interface SittingWaits {
  /** In the order in which they begin. */
  pieces: WaitingPiece[];
  /** What follows the end of the last. */
  tail_s: number;
}

interface Event {
  start_s: number;
  end_s: number;
  operations: string[];
  nails: NailName[];
  changeover_s: number;
  /** The artist is at it. */
  hands: boolean;
  load?: Load;
}

/** A gap of the plan that nothing below explains is one it keeps on purpose; shorter it is rounding. */
const ROUNDING_S = 0.01;

/**
 * What waits for what in a sitting: the artist for what was done before, a nail for its own last step and its rest, a hand for the lamp it is in,
 * a lamp for the hand before, and across nails what has to come first. Where the plan leaves a gap besides, the gap is kept.
 */
export function waitsOf(
  { strokes, loads, total_s }: Pick<Schedule, 'strokes' | 'loads' | 'total_s'>,
  operations: readonly Operation[],
  precedences: readonly Precedence[] = [],
  own = false,
): SittingWaits {
  const byId = new Map(operations.map((one) => [one.id, one]));
  const rests = restsAfter(operations);
  /** How long a nail rests after an operation, with the rests that leave no stroke of their own. */
  const rest_s = (id: string) =>
    [byId.get(id), ...(rests.get(id) ?? [])].reduce((sum, one) => sum + (one?.wait_s ?? 0), 0);
  const needs = new Map<string, string[]>();
  for (const { first, then } of precedences) needs.set(then, [...(needs.get(then) ?? []), first]);
  const events: Event[] = [
    ...strokes.map((stroke) => ({
      ...stroke,
      operations: [stroke.operation],
      nails: [stroke.nail as NailName],
      hands: true,
    })),
    ...loads.map((load) => ({
      ...load,
      nails: load.nails as NailName[],
      changeover_s: 0,
      hands: load.held === true,
      load,
    })),
  ].sort((a, b) => a.start_s - b.start_s || a.end_s - b.end_s);
  const last = {
    artist: -1,
    /** The last operation of a nail. */
    onNail: new Map<string, string>(),
    lamp: new Map<string, number>(),
    /** Of a hand: its last load, and what was last done on it. */
    lit: new Map<Hand, number>(),
    worked: new Map<Hand, number>(),
  };
  const pieceOf = new Map<string, number>();
  const ends: number[] = [];
  const pieces = events.map((event, i): WaitingPiece => {
    const after: WaitingPiece['after'] = [];
    const wait = (piece: number | undefined, lag_s = 0) => {
      if (piece !== undefined && piece >= 0) after.push({ piece, lag_s });
    };
    const handsOf = [...new Set(event.nails.map(handOf))];
    const hands: Hand[] = own ? ['left', 'right'] : handsOf;
    if (event.hands) wait(last.artist, event.changeover_s);
    for (const operation of event.operations) {
      const before = last.onNail.get(nailOf(operation));
      if (before !== undefined) wait(pieceOf.get(before), rest_s(before));
      for (const needed of needs.get(operation) ?? []) wait(pieceOf.get(needed));
    }
    if (event.load) {
      wait(last.lamp.get(event.load.lamp));
      if (!event.hands) for (const hand of hands) wait(last.worked.get(hand));
    }
    // A hand in the lamp is not worked on, nor put into another.
    for (const hand of hands) wait(last.lit.get(hand));
    const earliest = after.reduce((most, { piece, lag_s }) => Math.max(most, ends[piece]! + lag_s), 0);
    if (event.start_s > earliest + ROUNDING_S) keepGap(after, ends, event.start_s);
    ends.push(event.end_s);
    if (event.hands) {
      last.artist = i;
      for (const hand of handsOf) last.worked.set(hand, i);
    } else for (const hand of handsOf) last.lit.set(hand, i);
    if (event.load) last.lamp.set(event.load.lamp, i);
    for (const operation of event.operations) {
      last.onNail.set(nailOf(operation), operation);
      pieceOf.set(operation, i);
    }
    const took_s = event.end_s - event.start_s;
    const fixed_s = event.load ? took_s : Math.min(took_s, byId.get(event.operations[0]!)?.fixed_s ?? 0);
    return {
      operation: event.operations[0]!,
      light: event.load !== undefined,
      fixed_s,
      hand_s: took_s - fixed_s,
      after,
      start_s: event.start_s,
    };
  });
  return { pieces, tail_s: Math.max(0, total_s - Math.max(0, mostOf(ends))) };
}

/** The gap is kept after what ends last of all it waits for; what waits for nothing waits for the beginning. */
function keepGap(after: WaitingPiece['after'], ends: readonly number[], start_s: number): void {
  const latest = after.reduce<WaitingPiece['after'][number] | undefined>(
    (most, one) => (!most || ends[one.piece]! + one.lag_s > ends[most.piece]! + most.lag_s ? one : most),
    undefined,
  );
  if (latest) latest.lag_s = start_s - ends[latest.piece]!;
}

/** When each piece ends if its hand work takes so many times what was planned; the end of the whole comes last. Fills `ends`. */
export function played(
  { pieces, tail_s }: SittingWaits,
  share: (piece: number) => number,
  ends: Float64Array,
): number {
  let total = 0;
  for (let i = 0; i < pieces.length; i += 1) {
    const { fixed_s, hand_s, after, start_s } = pieces[i]!;
    let start = after.length === 0 ? start_s : 0;
    for (const { piece, lag_s } of after) start = Math.max(start, ends[piece]! + lag_s);
    const end = start + fixed_s + hand_s * share(i);
    ends[i] = end;
    if (end > total) total = end;
  }
  return total + tail_s;
}
