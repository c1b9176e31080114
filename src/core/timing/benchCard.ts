import type { NailName } from '../model/names';
import { nailsWords, type Round } from './rounds';

/** A line of the sheet to work from: some work, and the light that follows at once. */
export interface CardLine {
  number: number;
  /** To 10 s: nobody's hands are more exact than that. */
  start_s: number;
  hand: Round['hand'];
  nails: string;
  words: string;
  light?: { seconds: number; mode: 'cure' | 'flash'; held: boolean; nails?: string };
  /** Said where it first matters. */
  caution?: string;
}

/** A load that begins no later than this after the work before it is one line with that work. */
const AT_ONCE_S = 2;

/** The rounds of a sitting as lines to read from first to last. */
export function benchCard(rounds: readonly Round[], worked: readonly NailName[]): CardLine[] {
  const told = new Set<string>();
  const joined = new Set<Round>();
  const words = (nails: readonly NailName[]) => nailsWords(nails, worked);
  const loads = rounds.filter((round) => round.kind === 'load');
  const lines: Omit<CardLine, 'number'>[] = [];
  for (const round of rounds) {
    if (joined.has(round)) continue;
    const line: Omit<CardLine, 'number'> = {
      start_s: tens(round.start_s),
      hand: round.hand,
      nails: words(round.nails),
      words:
        round.kind === 'load' ? `Into the lamp: ${round.words.replace(/^(Cure|Flash) /, '')}` : round.words,
    };
    const load = round.kind === 'load' ? round : round.light ? undefined : followed(round, loads);
    if (load) joined.add(load);
    const light = round.kind === 'work' && round.light ? round.light : load?.light;
    if (light) {
      line.light = { seconds: light.seconds, mode: light.mode, held: !load };
      if (load && load !== round && words(load.nails) !== line.nails) line.light.nails = words(load.nails);
    }
    for (const one of [round, load]) {
      if (!one?.caution || told.has(one.caution) || line.caution) continue;
      told.add(one.caution);
      line.caution = one.caution;
    }
    lines.push(line);
  }
  return lines.map((line, i) => ({ number: i + 1, ...line }));
}

function tens(seconds: number): number {
  return Math.round(seconds / 10) * 10;
}

/** The load that a round's nails go into as soon as it is done. */
function followed(round: Round, loads: readonly Round[]): Round | undefined {
  return loads.find(
    (load) =>
      load.start_s >= round.end_s - 0.01 &&
      load.start_s <= round.end_s + AT_ONCE_S &&
      round.nails.every((nail) => load.nails.includes(nail)),
  );
}
