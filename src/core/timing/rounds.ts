import { IN_TIP, isHeldAfter, type Operation } from '../craft/operation';
import { rowOf } from '../craft/surfaces';
import { append, mostOf } from '../model/extent';
import { lowerFirst } from '../model/letters';
import { rounded } from '../model/rounded';
import {
  fingerOf,
  fingersWords,
  FINGERS,
  fingerWords,
  handOf,
  HANDS,
  nailWords,
  type Hand,
  type NailName,
} from '../model/names';
import type { Load, Schedule, Stroke } from './problem';
import { sameWork } from './sameWork';

/**
 * What is done in one go: the same work on some nails of a hand, one after the other without anything between,
 * or one load of the lamp. Card, lanes, rules and command line all read these.
 */
export interface Round {
  number: number;
  kind: 'work' | 'load';
  start_s: number;
  end_s: number;
  hand: Hand | 'both';
  nails: NailName[];
  words: string;
  /** Of a load: what only passes time on its nails right after it, "let it cool". */
  then?: string[];
  reason: string;
  caution?: string;
  /** So often it is done on each of its nails, one after the other. */
  times?: number;
  /** Each of its nails rests afterwards: until something has dried, soaked or set. */
  wait_s?: number;
  /** What is done with that time where nothing else is: "Wait for the primer to dry", "Let the acrylic set". */
  waited?: string;
  /** Light of a load, or held by hand within the work, on each nail. */
  light?: { mode: 'cure' | 'flash'; seconds: number; lamp: string };
  operations: string[];
}

/** Whether a hand of both goes into the lamp between a round and a piece: then they are two rounds. */
function litBetween(sitting: Schedule, before: Omit<Round, 'number'>, piece: Piece): boolean {
  const { hand, start_s } = piece.strokes[0]!;
  return sitting.loads.some(
    (load) =>
      !load.held &&
      load.start_s > before.start_s &&
      load.start_s < start_s &&
      load.operations.some((id) => id.startsWith(`${hand}-`)) &&
      before.nails.some((nail) => nail.startsWith(hand)),
  );
}

/** A shorter wait is the pause of a breath: no line, and the work goes on. */
export const BREATH_S = 12;

/** Whether neither hand nor lamp does anything between a round and a piece: then they are two rounds, with a wait between. */
function idleBetween(sitting: Schedule, { end_s }: Omit<Round, 'number'>, { strokes }: Piece): boolean {
  const { start_s, changeover_s } = strokes[0]!;
  if (start_s - changeover_s - end_s <= BREATH_S) return false;
  return !sitting.loads.some((load) => load.start_s < start_s && load.end_s > end_s);
}

/** One piece of work on one nail: a stroke, and what is held after it. */
interface Piece {
  strokes: Stroke[];
  operations: Operation[];
  /** Light held to its nail by hand, each after so many of its operations. */
  lights: { load: Load; after: number }[];
  end_s: number;
  wait_s: number;
}

/** The rounds of a sitting, by their start. */
export function roundsOf(sitting: Schedule, operations: readonly Operation[]): Round[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const rests = restsAfter(operations);
  const rounds: Omit<Round, 'number'>[] = [];
  let last: Omit<Round, 'number'> | undefined;
  let lastMark = '';
  let pieces = 0;
  const parted = (before: Omit<Round, 'number'>, piece: Piece) =>
    litBetween(sitting, before, piece) || idleBetween(sitting, before, piece);
  const all = piecesOf(sitting, byId, rests, heldOn(operations));
  const inWork = new Set(all.flatMap(({ lights }) => lights.map(({ load }) => load)));
  for (const piece of all) {
    const first = piece.operations[0]!;
    const mark = [...piece.operations.map(sameWork), piece.lights.length].join('|');
    const { hand } = piece.strokes[0]!;
    // What is done for the whole set goes on over both hands.
    const goesOn = last?.hand === hand || first.scope === 'set';
    if (last && lastMark === mark && goesOn && !parted(last, piece)) {
      if (last.hand !== hand) last.hand = 'both';
      if (!last.nails.includes(first.nail)) last.nails.push(first.nail);
      pieces += 1;
      const times = pieces / last.nails.length;
      if (times > 1 && Number.isInteger(times)) last.times = times;
      else delete last.times;
      append(last.operations, ids(piece));
      last.end_s = piece.end_s;
      continue;
    }
    last = {
      kind: 'work',
      start_s: piece.strokes[0]!.start_s,
      end_s: piece.end_s,
      hand,
      nails: [first.nail],
      words: wordsOf(piece),
      reason: first.reason,
      operations: ids(piece),
    };
    const cautions = new Set(piece.operations.flatMap((one) => one.caution ?? []));
    if (cautions.size > 0) last.caution = [...cautions].join(' ');
    const light = piece.lights.at(-1);
    if (light) last.light = lightOf(light.load);
    if (piece.wait_s > 0) {
      last.wait_s = piece.wait_s;
      addWaited(last, piece.operations);
    }
    lastMark = mark;
    pieces = 1;
    rounds.push(last);
  }
  for (const load of sitting.loads) {
    // What is held within some work is said with it.
    if (inWork.has(load)) continue;
    // Of a nail that broke and is left out since, what was done says nothing more.
    const served = load.operations.flatMap((id) => byId.get(id) ?? []);
    if (served.length === 0) continue;
    const after = served.flatMap((one) => rests.get(one.id) ?? []);
    const then = [...new Set(after.map((one) => lowerFirst(one.words)))];
    const nails = served.map((one) => one.nail);
    const round: Omit<Round, 'number'> = {
      kind: 'load',
      start_s: load.start_s,
      end_s: load.end_s,
      hand: new Set(nails.map((nail) => nail.split('-')[0])).size > 1 ? 'both' : load.hand,
      nails,
      words: [loadWords(load, served), ...then].join(', '),
      reason: served[0]!.reason,
      light: lightOf(load),
      operations: served.map(({ id }) => id),
    };
    if (then.length > 0) round.then = then;
    if (served[0]!.caution) round.caution = served[0]!.caution;
    const wait_s = Math.max(0, mostOf([...served, ...after].map((one) => one.wait_s ?? 0)));
    if (wait_s > 0) {
      round.wait_s = wait_s;
      addWaited(round, [...served, ...after]);
    }
    rounds.push(round);
  }
  return rounds
    .sort((a, b) => a.start_s - b.start_s || (a.kind === 'load' ? -1 : 1))
    .map((round, i) => ({ number: i + 1, ...round }));
}

/** Says what the longest wait of some operations is for: a rest in its own words, all else by what is done. */
function addWaited(round: Omit<Round, 'number'>, operations: readonly Operation[]): void {
  const [longest] = operations.toSorted((a, b) => (b.wait_s ?? 0) - (a.wait_s ?? 0));
  if (!longest) return;
  const { waited } = rowOf(longest.verb);
  if (longest.verb === 'rest') round.waited = longest.words;
  else if (waited) round.waited = `Wait for ${waited}`;
}

/** By operation: what only passes time right after it on its nail, and so leaves no stroke of its own. */
export function restsAfter(operations: readonly Operation[]): Map<string, Operation[]> {
  const rests = new Map<string, Operation[]>();
  let last: Operation | undefined;
  for (const one of operations) {
    const passes = one.hand_s === 0 && !one.lamp;
    if (!passes) last = one;
    else if (last?.nail === one.nail) rests.set(last.id, [...(rests.get(last.id) ?? []), one]);
  }
  return rests;
}

/** What goes on with the piece of work before it; after a lamp's light another one begins. */
function heldOn(operations: readonly Operation[]): Set<string> {
  const on = new Set<string>();
  operations.forEach((one, i) => {
    const last = operations[i - 1];
    const before = last?.nail === one.nail ? last : undefined;
    const lit = before?.lamp !== undefined && !on.has(before.id);
    if (!lit && isHeldAfter(before, one)) on.add(one.id);
  });
  return on;
}

function piecesOf(
  sitting: Schedule,
  byId: ReadonlyMap<string, Operation>,
  rests: ReadonlyMap<string, readonly Operation[]>,
  goesOn: ReadonlySet<string>,
): Piece[] {
  const byHand = new Map<string, Load[]>();
  for (const load of sitting.loads)
    if (load.held) byHand.set(load.nails[0]!, [...(byHand.get(load.nails[0]!) ?? []), load]);
  const out: Piece[] = [];
  for (const stroke of sitting.strokes) {
    const operation = byId.get(stroke.operation);
    if (!operation) continue;
    const before = out[out.length - 1];
    if (goesOn.has(operation.id) && before && before.operations[0]!.nail === operation.nail) {
      before.strokes.push(stroke);
      before.operations.push(operation);
      before.end_s = stroke.end_s;
    } else {
      out.push({ strokes: [stroke], operations: [operation], lights: [], end_s: stroke.end_s, wait_s: 0 });
    }
    const piece = out[out.length - 1]!;
    const light = byHand.get(stroke.nail)?.find((load) => Math.abs(load.start_s - stroke.end_s) < 0.01);
    if (light) {
      piece.lights.push({ load: light, after: piece.operations.length });
      piece.end_s = light.end_s;
    }
  }
  for (const piece of out) {
    const light = piece.lights.at(-1)?.load;
    const last = light ? byId.get(light.operations[0]!)! : piece.operations.at(-1)!;
    append(piece.operations, rests.get(last.id) ?? []);
    piece.wait_s = Math.max(last.wait_s ?? 0, mostOf(piece.operations.map((one) => one.wait_s ?? 0)));
  }
  return out;
}

function ids(piece: Piece): string[] {
  return [...piece.operations.map((one) => one.id), ...piece.lights.flatMap(({ load }) => load.operations)];
}

function wordsOf(piece: Piece): string {
  const inTip = piece.operations.every((one) => one.in_tip);
  const words = piece.operations.map((one) => (inTip ? one.words.replace(IN_TIP, '') : one.words));
  // Light that more work follows is said where it comes; of several each how long.
  const several = piece.lights.length > 1;
  for (const { load, after } of piece.lights.toReversed())
    if (after < words.length)
      words.splice(after, 0, several ? `${load.mode} ${lightOf(load).seconds} s` : load.mode);
  const [first, ...rest] = words;
  return [first!, ...rest.map(lowerFirst)].join(', ') + (inTip ? IN_TIP : '');
}

/** A round as a line says it: what goes into the lamp, or what is done. */
export function lineWords({ kind, words, times }: Pick<Round, 'kind' | 'words' | 'times'>): string {
  if (kind === 'load') return `Into the lamp: ${hardened(words)}`;
  return times ? `${times} times: ${lowerFirst(words)}` : words;
}

/** What a light is for, without which light it is. */
function hardened(words: string): string {
  return words.replace(/^(Cure|Flash) /, '');
}

/** "Cure Velvet 04 (index, ring), Plum 07 (middle)": the light, and all it hardens; of several, which nails have it. */
function loadWords(load: Load, served: readonly Operation[]): string {
  const verb = load.mode === 'cure' ? 'Cure' : 'Flash';
  const where = served.every((one) => one.in_tip) ? IN_TIP : '';
  const twoHands = new Set(served.map(({ nail }) => handOf(nail))).size > 1;
  const on = new Map<string, string[]>();
  for (const { words, nail } of served) {
    const what = hardened(words).replace(IN_TIP, '');
    on.set(what, [...(on.get(what) ?? []), twoHands ? `${handOf(nail)} ${fingerOf(nail)}` : fingerOf(nail)]);
  }
  const what = [...on].map(([words, nails]) => (on.size > 1 ? `${words} (${nails.join(', ')})` : words));
  return `${verb} ${what.join(', ')}${where}`;
}

function lightOf(load: Load): NonNullable<Round['light']> {
  return { mode: load.mode, seconds: rounded(load.end_s - load.start_s, 1), lamp: load.lamp };
}

/** So many that are left out are quicker said than all the others. */
const MOST_LEFT_OUT = 2;

/** Nails in words: "all ten", "all five", "four fingers", or each by its name; both hands of one finger as one. */
export function whoseWords(nails: readonly NailName[], worked: readonly NailName[]): string {
  // Whose hand it is stands before it.
  if (nails.length === 1 && worked.length === 1) return fingerWords(nails[0]!);
  if (nails.length === worked.length) return worked.length === 10 ? 'all ten' : 'all';
  const hands = new Set(nails.map((nail) => nail.split('-')[0]));
  const fingers = FINGERS.filter((finger) => nails.some((nail) => fingerOf(nail) === finger));
  if (hands.size === 1) {
    const hand = [...hands][0]!;
    const own = worked.filter((nail) => nail.startsWith(hand));
    if (nails.length === own.length && own.length > 1) return own.length === 5 ? 'all five' : 'all';
    const four = own.filter((nail) => fingerOf(nail) !== 'thumb');
    if (nails.length === 4 && four.length === 4 && four.every((nail) => nails.includes(nail)))
      return 'four fingers';
  }
  if (hands.size === 1) return nails.map(fingerOf).join(', ');
  if (nails.length === 2 && fingers.length === 1) return `both ${fingersWords(nails[0]!)}`;
  const left = worked.filter((nail) => !nails.includes(nail));
  if (left.length <= MOST_LEFT_OUT && nails.length > left.length)
    return `all but the ${left.map(nailWords).join(' and ')}`;
  if (nails.length === 2 * fingers.length) return `${fingers.join(', ')} of both hands`;
  return HANDS.map((hand) => {
    const own = nails.filter((nail) => nail.startsWith(hand));
    return `${hand} ${own.map(fingerOf).join(', ')}`;
  }).join('; ');
}
