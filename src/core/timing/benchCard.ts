import { lowerFirst } from '../model/letters';
import type { NailName } from '../model/names';
import { shortWindow, type StepWindow } from './windows';
import { BREATH_S, lineWords, whoseWords, type Round } from './rounds';

/** A line of the sheet to work from: some work and the light that follows at once, or a time in which nothing can be done. */
export interface CardLine {
  number: number;
  /** Stable while the work is: the first operation of the line, or what it waits after. */
  id: string;
  /** To 10 s: nobody's hands are more exact than that. */
  start_s: number;
  hand: Round['hand'];
  nails: string;
  words: string;
  light?: { seconds: number; mode: 'cure' | 'flash'; held: boolean };
  /** How long each of its nails then rests; the work goes on elsewhere. */
  wait_s?: number;
  /** What must follow soon, where that is short: "burnished while it is warm within 30 s". */
  within?: string;
  /** Nothing can be done meanwhile. */
  idle?: true;
  /** Said where it first matters. */
  caution?: string;
}

/** A load that begins no later than this after the work before it is one line with that work. */
const AT_ONCE_S = 2;
/** A rest that is shorter than taking the next nail in hand is not worth a word. */
const SHORTEST_REST_S = 5;

/** The rounds of a sitting as lines to read from first to last; no stretch of it is left without one. */
export function benchCard(
  rounds: readonly Round[],
  worked: readonly NailName[],
  windows: Readonly<Record<string, StepWindow>> = {},
): CardLine[] {
  const told = new Set<string>();
  const joined = new Set<Round>();
  const words = (nails: readonly NailName[]) => whoseWords(nails, worked);
  const loads = rounds.filter((round) => round.kind === 'load');
  const lines: Omit<CardLine, 'number'>[] = [];
  let covered_s = 0;
  for (const round of rounds) {
    if (round.start_s > covered_s + BREATH_S) lines.push(waiting(rounds, covered_s, round.start_s, words));
    covered_s = Math.max(covered_s, round.end_s);
    if (joined.has(round)) continue;
    const line: Omit<CardLine, 'number'> = {
      id: round.operations[0]!,
      start_s: tens(round.start_s),
      hand: round.hand,
      nails: words(round.nails),
      words: lineWords(round),
    };
    if (round.kind === 'work' && round.light && round.nails.length > 1)
      line.words = `Nail by nail: ${lowerFirst(line.words)}`;
    const load = round.kind === 'load' ? round : round.light ? undefined : followed(round, loads);
    if (load) joined.add(load);
    const light = round.kind === 'work' && round.light ? round.light : load?.light;
    if (light) line.light = { seconds: light.seconds, mode: light.mode, held: !load };
    const within = soon((load ?? round).operations, windows, words);
    if (within) line.within = within;
    const wait_s = Math.max(round.wait_s ?? 0, load?.wait_s ?? 0);
    if (wait_s >= SHORTEST_REST_S) line.wait_s = wait_s;
    for (const one of [round, load]) {
      if (!one?.caution || told.has(one.caution) || line.caution) continue;
      told.add(one.caution);
      line.caution = one.caution;
    }
    lines.push(line);
  }
  return lines.map((line, i) => ({ number: i + 1, ...line }));
}

/** What must follow soon, and on which of the nails where it is not all of them. */
function soon(
  operations: readonly string[],
  windows: Readonly<Record<string, StepWindow>>,
  words: (nails: readonly NailName[]) => string,
): string | undefined {
  const nailOf = (id: string) => id.split('/')[0] as NailName;
  const nails = new Set(operations.map(nailOf));
  const by = new Map<string, Set<NailName>>();
  for (const id of operations) {
    const short = shortWindow(windows[id]);
    if (short) by.set(short, (by.get(short) ?? new Set()).add(nailOf(id)));
  }
  const said = [...by].map(([short, on]) => (on.size < nails.size ? `${words([...on])}: ${short}` : short));
  return said.length > 0 ? said.join('; ') : undefined;
}

/** A stretch in which neither hand nor lamp does anything: what it waits for is what rests the longest into it. */
function waiting(
  rounds: readonly Round[],
  from_s: number,
  to_s: number,
  words: (nails: readonly NailName[]) => string,
): Omit<CardLine, 'number'> {
  const resting = rounds.filter(
    (one) => one.end_s <= from_s + 0.01 && one.end_s + (one.wait_s ?? 0) > from_s,
  );
  const last = resting.sort((a, b) => b.end_s + b.wait_s! - (a.end_s + a.wait_s!))[0];
  return {
    id: `after ${last?.operations[0] ?? from_s}`,
    start_s: tens(from_s),
    hand: last?.hand ?? 'both',
    nails: last ? words(last.nails) : 'all',
    words: last ? waitWords(last.words) : 'Wait',
    wait_s: Math.round(to_s - from_s),
    idle: true,
  };
}

/** Words that say too little by themselves: "half-way". */
const TOO_SHORT = 15;

/** "Let the acrylic set" says itself what is waited for; of other work it is said whose time it is. */
function waitWords(words: string): string {
  const lets = words.split(', ').find((part) => /^let /i.test(part));
  if (lets) return `Wait: ${lowerFirst(lets)}`;
  const first = words.split(/: |, /)[0]!;
  const work = first.length < TOO_SHORT ? words : first;
  return `Wait until this has had its time: ${lowerFirst(work)}`;
}

function tens(seconds: number): number {
  return Math.round(seconds / 10) * 10;
}

/** The load that a round's nails go into as soon as it is done, they and no others: with others it has a line of its own. */
function followed(round: Round, loads: readonly Round[]): Round | undefined {
  return loads.find(
    (load) =>
      load.start_s >= round.end_s - 0.01 &&
      load.start_s <= round.end_s + AT_ONCE_S &&
      load.nails.length === round.nails.length &&
      round.nails.every((nail) => load.nails.includes(nail)),
  );
}
