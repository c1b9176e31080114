import type { Operation } from '../craft/operation';
import { isPreparing } from '../craft/stageGroups';
import { rowOf } from '../craft/surfaces';
import { mostOf } from '../model/extent';
import { handOf, type NailName } from '../model/names';
import type { Round } from './rounds';

/**
 * What is done on a hand until it goes into the lamp, and that light with it. What neither wets a nail nor is lit (preparing,
 * filing, wiping) goes on over both hands; after a file a pass begins. A sitting is told in these.
 */
export interface Pass {
  number: number;
  hand: Round['hand'];
  /** From the first work to the last; its light may be later. */
  start_s: number;
  end_s: number;
  /** By their start; each round of a sitting is in one pass. */
  rounds: Round[];
  /** Made ahead, before the wearer's hands are needed. */
  ahead?: true;
}

/** With what it is headed by: "Colour, first coat". */
export type TitledPass = Pass & { title: string };

interface Open extends Omit<Pass, 'number' | 'ahead'> {
  part: Part;
  wets: boolean;
  files: boolean;
  /** Nails of it that have been in the lamp since. */
  lit: Set<NailName>;
}

/** The rounds of a sitting in passes, by their start. */
export function passesOf(rounds: readonly Round[], operations: readonly Operation[]): Pass[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const passes: Open[] = [];
  /** Where each nail was worked on last. */
  const lastOf = new Map<NailName, number>();
  for (const round of rounds) {
    const done = round.operations.flatMap((id) => byId.get(id) ?? []);
    if (round.kind === 'load') {
      const p = mostOf(round.nails.map((nail) => lastOf.get(nail) ?? -1));
      const pass = passes[p];
      // A light for nobody's work: of a sitting that begins in the middle.
      if (!pass)
        passes.push({ ...opened(round, 'work'), wets: true, files: false, lit: new Set(round.nails) });
      else {
        pass.rounds.push(round);
        for (const nail of round.nails) pass.lit.add(nail);
      }
      continue;
    }
    const part = partOf(done);
    const wets = round.light !== undefined || done.some((one) => one.deposit !== undefined);
    const files = done.some(({ verb }) => rowOf(verb).dusty);
    const last = passes.at(-1);
    const goesOn =
      last?.part === part &&
      !(last.files && wets) &&
      !(last.wets && files) &&
      ![...last.lit].some((nail) => round.hand === 'both' || handOf(nail) === round.hand) &&
      (last.hand === round.hand || (!last.wets && !wets));
    if (!goesOn) passes.push({ ...opened(round, part), wets, files, lit: new Set() });
    else {
      if (last.hand !== round.hand) last.hand = 'both';
      last.wets ||= wets;
      last.files ||= files;
      last.end_s = round.end_s;
      last.rounds.push(round);
    }
    for (const nail of round.nails) lastOf.set(nail, passes.length - 1);
  }
  const begun = passes.findIndex(({ part }) => part !== 'ahead');
  return passes.map(({ hand, start_s, end_s, rounds: own }, i) => ({
    number: i + 1,
    hand,
    start_s,
    end_s,
    rounds: own,
    // What is made ahead in the middle of other work is that much work of the sitting.
    ...(i < begun ? { ahead: true as const } : {}),
  }));
}

/** How long a sitting begins with what is made ahead. */
export function aheadOf_s(passes: readonly Pass[]): number {
  const first = passes.find(({ ahead }) => !ahead);
  return first && first !== passes[0] ? first.start_s : 0;
}

function opened(round: Round, part: Part): Omit<Open, 'wets' | 'files' | 'lit'> {
  const { hand, start_s, end_s } = round;
  return { hand, start_s, end_s, part, rounds: [round] };
}

/** Parts of a sitting that no pass goes on over. */
type Part = 'ahead' | 'prepare' | 'work' | 'care';

function partOf([first]: readonly Operation[]): Part {
  if (!first) return 'work';
  if (first.stage === 'ahead') return 'ahead';
  if (isPreparing(first.stage)) return 'prepare';
  return first.stage === 'care' ? 'care' : 'work';
}
