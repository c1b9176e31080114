import { append, mostOf } from '../model/extent';
import { lowerFirst, upperFirst } from '../model/letters';
import type { NailName } from '../model/names';
import { clockWords, timeWords, waitWords } from '../model/times';
import type { Pass, TitledPass } from './passes';
import { BREATH_S, lineWords, whoseWords, type Round } from './rounds';
import { shortWindow, type StepWindow } from './windows';

/** A pass as the sheet to work from tells it: its heading, then line by line. */
export interface CardPass {
  number: number;
  /** Stable while the work is: its first operation. */
  id: string;
  hand: Round['hand'];
  title: string;
  /** To 10 s: nobody's hands are more exact than that. */
  start_s: number;
  /** From its first work to its last, to 10 s. */
  work_s: number;
  lines: CardLine[];
  /** What was cautioned against before matters here again. */
  cautioned?: true;
}

/** One thing to do: some work, nails that go into the lamp, or a time in which nothing can be done. */
export interface CardLine {
  kind: 'work' | 'lamp' | 'wait';
  /** To 10 s. */
  start_s: number;
  /** It does not follow at once on the line before it: its own time is worth a word. */
  later?: true;
  nails: string;
  words: string;
  /** `each`: of several that follow each other; `held`: by hand, within the work. */
  light?: { seconds: number; mode: 'cure' | 'flash'; held?: true; each?: true };
  /** How long each of its nails then rests, while the work goes on elsewhere; of a wait, how long it is. */
  wait_s?: number;
  /** Where it lies: "1–7", its numbers on the maps of its nails. */
  map?: string;
  /** What must follow soon, where that is short: "burnished while it is warm within 30 s". */
  within?: string;
  /** Said where it first matters; later its pass is marked. */
  caution?: string;
}

/** Where a pass is long, the clock is said again after so much of it. */
const CLOCK_EVERY_S = 180;
/** A rest that is shorter than taking the next nail in hand is not worth a word. */
const SHORTEST_REST_S = 5;

/**
 * The passes of a sitting as lines to read from first to last; no stretch of it is left without one. `numbers`: what an operation lays has on
 * the map of its nail.
 */
export function cardOf(
  passes: readonly TitledPass[],
  worked: readonly NailName[],
  windows: Readonly<Record<string, StepWindow>> = {},
  numbers: ReadonlyMap<string, readonly number[]> = new Map(),
): CardPass[] {
  const told = new Set<string>();
  const waits = waitsBetween(passes.flatMap(({ rounds }) => rounds));
  return passes.map(({ number, hand, title, start_s, end_s, rounds }, p) => {
    const lines: CardLine[] = [];
    let again = false;
    let until_s = start_s;
    let said_s = start_s;
    const goOn = (line: CardLine, from_s: number, to_s: number) => {
      const gap_s = from_s - until_s;
      if (gap_s > BREATH_S || from_s - said_s > CLOCK_EVERY_S) line.later = true;
      if (line.later) said_s = from_s;
      until_s = Math.max(until_s, to_s);
      const last = lines.at(-1);
      const joined = last && !line.later && lampAfter(last, line);
      if (joined) lines[lines.length - 1] = joined;
      else lines.push(line);
    };
    const waitBefore = (round: Round | undefined) => {
      const wait = round && waits.get(round);
      if (wait) goOn(waitLine(wait, worked), wait.from_s, wait.to_s);
    };
    for (const group of alike(hand, rounds, waits)) {
      const [first] = group as [Round];
      // What is waited for before a pass belongs to the one before.
      if (first !== rounds[0]) waitBefore(first);
      const line = lineOf(group, hand, worked, windows);
      const map = onMaps(group, numbers);
      if (map) line.map = map;
      const cautions = new Set(group.flatMap(({ caution }) => caution ?? []));
      const fresh = [...cautions].filter((one) => !told.has(one));
      if (fresh.length > 0) line.caution = fresh.join(' ');
      if (fresh.length < cautions.size) again = true;
      for (const one of fresh) told.add(one);
      goOn(line, first.start_s, mostOf(group.map((round) => round.end_s)));
    }
    waitBefore(passes[p + 1]?.rounds[0]);
    return {
      number,
      id: rounds[0]!.operations[0]!,
      hand,
      title,
      start_s: tens(start_s),
      work_s: tens(end_s - start_s),
      lines,
      ...(again ? { cautioned: true as const } : {}),
    };
  });
}

/** Two loads that follow each other in the same light, as one line: "thumb, then four fingers". */
function lampAfter(before: CardLine, line: CardLine): CardLine | undefined {
  const { kind, light, words, within, caution } = line;
  if (kind !== 'lamp' || before.kind !== 'lamp' || within || caution || words !== before.words)
    return undefined;
  if (light!.seconds !== before.light!.seconds || light!.mode !== before.light!.mode) return undefined;
  return { ...before, nails: `${before.nails}, then ${line.nails}`, light: { ...light!, each: true } };
}

/** Rounds one after the other that do the same on one hand and on the other. */
function alike(hand: Pass['hand'], rounds: readonly Round[], waits: ReadonlyMap<Round, Wait>): Round[][] {
  const groups: Round[][] = [];
  for (const round of rounds) {
    const last = groups.at(-1)?.at(-1);
    const same =
      hand === 'both' &&
      last?.kind === 'work' &&
      round.kind === 'work' &&
      last.words === round.words &&
      last.wait_s === round.wait_s &&
      !waits.has(round);
    if (same) groups.at(-1)!.push(round);
    else groups.push([round]);
  }
  return groups;
}

function lineOf(
  group: readonly Round[],
  hand: Pass['hand'],
  worked: readonly NailName[],
  windows: Readonly<Record<string, StepWindow>>,
): CardLine {
  const [first] = group as readonly [Round];
  const nails = group.flatMap((round) => round.nails);
  const words = (some: readonly NailName[]) => whoseWords(some, worked);
  const isLoad = first.kind === 'load';
  const byNail = !isLoad && first.light && first.nails.length > 1;
  const line: CardLine = {
    kind: isLoad ? 'lamp' : 'work',
    start_s: tens(first.start_s),
    nails: hand === 'both' ? inTurn(group, worked) : words(nails),
    words: isLoad
      ? upperFirst((first.then ?? []).join(', '))
      : byNail
        ? `Nail by nail: ${lowerFirst(first.words)}`
        : lineWords(first),
  };
  if (first.light) {
    const { seconds, mode } = first.light;
    line.light = { seconds, mode, ...(isLoad ? {} : { held: true }), ...(byNail ? { each: true } : {}) };
  }
  const within = soon(
    group.flatMap(({ operations }) => operations),
    windows,
    words,
  );
  if (within) line.within = within;
  if ((first.wait_s ?? 0) >= SHORTEST_REST_S) line.wait_s = first.wait_s!;
  return line;
}

/** The numbers that what a line lays has on the maps, where they are the same on each of its nails. */
function onMaps(
  group: readonly Round[],
  numbers: ReadonlyMap<string, readonly number[]>,
): string | undefined {
  const byNail = new Map<NailName, number[]>();
  for (const id of group.flatMap(({ operations }) => operations)) {
    const own = numbers.get(id);
    if (own) byNail.set(nailOf(id), [...(byNail.get(nailOf(id)) ?? []), ...own]);
  }
  const said = new Set(
    [...byNail.values()].map((own) => rangeWords([...new Set(own)].sort((a, b) => a - b))),
  );
  return said.size === 1 ? [...said][0] : undefined;
}

/** The nail of an operation's id. */
function nailOf(id: string): NailName {
  return id.split('/')[0] as NailName;
}

/** "3", "1–4", "1, 2, 5". */
function rangeWords(sorted: readonly number[]): string {
  const [first, last] = [sorted[0]!, sorted.at(-1)!];
  if (sorted.length > 1 && last - first === sorted.length - 1) return `${first}–${last}`;
  return sorted.join(', ');
}

/** "all five, right then left", "left ring, then right ring and index": whose nails, hand after hand. */
function inTurn(group: readonly Round[], worked: readonly NailName[]): string {
  const runs: { hand: Round['hand']; nails: NailName[] }[] = [];
  for (const { hand, nails } of group) {
    const last = runs.at(-1);
    if (last?.hand === hand) append(last.nails, nails);
    else runs.push({ hand, nails: [...nails] });
  }
  const said = runs.map(({ hand, nails }) => ({ hand, nails: whoseWords(nails, worked) }));
  const [first] = said as [(typeof said)[number]];
  if (first.hand === 'both') return first.nails;
  if (said.length > 1 && said.every(({ nails }) => nails === first.nails))
    return `${first.nails}, ${said.map(({ hand }) => hand).join(' then ')}`;
  return said.map(({ hand, nails }) => `${hand} ${nails}`).join(', then ');
}

/** What must follow soon, and on which of the nails where it is not all of them. */
function soon(
  operations: readonly string[],
  windows: Readonly<Record<string, StepWindow>>,
  words: (nails: readonly NailName[]) => string,
): string | undefined {
  const nails = new Set(operations.map(nailOf));
  const by = new Map<string, Set<NailName>>();
  for (const id of operations) {
    const short = shortWindow(windows[id]);
    if (short) by.set(short, (by.get(short) ?? new Set()).add(nailOf(id)));
  }
  const said = [...by].map(([short, on]) => (on.size < nails.size ? `${words([...on])}: ${short}` : short));
  return said.length > 0 ? said.join('; ') : undefined;
}

interface Wait {
  from_s: number;
  to_s: number;
  /** What rests the longest into it. */
  after: Round | undefined;
}

/** Stretches in which neither hand nor lamp does anything, by the round that they come before. */
function waitsBetween(all: readonly Round[]): Map<Round, Wait> {
  const rounds = all.toSorted((a, b) => a.start_s - b.start_s);
  const waits = new Map<Round, Wait>();
  let covered_s = 0;
  for (const round of rounds) {
    if (round.start_s > covered_s + BREATH_S) {
      const from_s = covered_s;
      const resting = rounds.filter(
        (one) => one.end_s <= from_s + 0.01 && one.end_s + (one.wait_s ?? 0) > from_s,
      );
      const [after] = resting.sort((a, b) => b.end_s + b.wait_s! - (a.end_s + a.wait_s!));
      waits.set(round, { from_s, to_s: round.start_s, after });
    }
    covered_s = Math.max(covered_s, round.end_s);
  }
  return waits;
}

function waitLine({ from_s, to_s, after }: Wait, worked: readonly NailName[]): CardLine {
  return {
    kind: 'wait',
    start_s: tens(from_s),
    nails: after ? whoseWords(after.nails, worked) : 'all',
    words: after?.waited ?? 'Wait',
    wait_s: Math.round(to_s - from_s),
  };
}

function tens(seconds: number): number {
  return Math.round(seconds / 10) * 10;
}

/** The same as plain text, as a terminal shows it. */
export function cardText(card: readonly CardPass[]): string {
  return card
    .flatMap(({ hand, title, start_s, work_s, lines, cautioned }) => [
      `${clockWords(start_s)} ${passWords(hand, title)} · ${timeWords(work_s)}${cautioned ? ' !' : ''}`,
      ...lines.map((line) => `    ${lineText(line)}`),
    ])
    .join('\n');
}

/** "Left hand · Colour, first coat". */
export function passWords(hand: CardPass['hand'], title: string): string {
  return `${passHand(hand)} · ${title}`;
}

/** "Left hand", "Both hands". */
export function passHand(hand: CardPass['hand']): string {
  return hand === 'both' ? 'Both hands' : `${upperFirst(hand)} hand`;
}

function lineText({
  kind,
  start_s,
  later,
  nails,
  words,
  light,
  wait_s,
  map,
  within,
  caution,
}: CardLine): string {
  const lit = light
    ? `${light.mode} ${light.seconds} s${light.each ? ' each' : ''}${light.held ? ', held' : ''}`
    : '';
  const said = [
    kind === 'lamp' ? `into the lamp, ${lit}` : words,
    kind === 'lamp' ? words : lit,
    map && `map ${map}`,
    within,
    wait_s === undefined ? '' : `${kind === 'wait' ? '' : 'rests '}${waitWords(wait_s)}`,
  ];
  return [
    `${later ? `${clockWords(start_s)} ` : ''}${nails}: ${said.filter(Boolean).join(' – ')}`,
    ...(caution ? [`! ${caution}`] : []),
  ].join('\n    ');
}
