import { mostOf } from '../model/extent';
import type { Round } from '../timing/rounds';
import type { TitledPass } from '../timing/passes';
import type { Schedule } from '../timing/problem';
import type { StepWindow } from '../timing/windows';
import type { Operation } from '../craft/operation';
import type { SetDocument } from '../document/document';
import { rounded } from '../model/rounded';
import type { CourseRound } from './log';

type Piece = CourseRound['pieces'][number];

/** What a course is made of: a plan, of which no more is asked than this. */
export interface Planned {
  operations: Readonly<Record<string, readonly Operation[]>>;
  rounds: readonly Round[];
  passes: readonly TitledPass[];
  sitting: Pick<Schedule, 'strokes' | 'loads' | 'wipes'>;
  windows: Readonly<Record<string, StepWindow>>;
}

/** A planned sitting as the course of a table: each round with its pieces of work and what must follow them. */
export function courseOf(
  { operations, rounds, passes, sitting: { strokes, loads, wipes }, windows }: Planned,
  { kit }: Pick<SetDocument, 'kit'>,
): CourseRound[] {
  const strokeOf = new Map(strokes.map((stroke) => [stroke.operation, stroke]));
  const families = new Map(kit.products.map(({ id, family }) => [id, family]));
  const byId = new Map(Object.values(operations).flatMap((all) => all.map((one) => [one.id, one] as const)));
  const works = (operation: string): Piece[] => {
    const stroke = strokeOf.get(operation);
    const one = byId.get(operation);
    if (!stroke) return [];
    const work_s = stroke.end_s - stroke.start_s;
    const follows = after.get(operation);
    const family = one?.product === undefined ? undefined : families.get(one.product);
    const hold_s = one?.fixed_s ?? 0;
    // What a weaker hand needs more is in the work as it is planned, and so in its guide.
    const slower = one && one.hand_s > hold_s ? (work_s - hold_s) / (one.hand_s - hold_s) : 1;
    return [
      {
        operation,
        seconds: work_s,
        ...(one
          ? {
              work: {
                verb: one.verb,
                ...(family ? { family } : {}),
                guide_s: rounded(one.guide_s * slower),
                fixed_s: rounded(hold_s + stroke.changeover_s),
              },
            }
          : {}),
        ...(follows ? { after: follows } : {}),
      },
    ];
  };
  const lights = new Map(
    loads.flatMap(({ operations, mode, lamp, start_s, end_s, held }) =>
      held ? operations.map((one) => [one, { mode, lamp, seconds: end_s - start_s }] as const) : [],
    ),
  );
  const after = new Map(wipes.map((wipe) => [wipe.operation, wipe.after]));
  const passOf = new Map(
    passes.flatMap(({ number, hand, title, rounds: own }) =>
      own.map((round) => [round.number, { number, hand, title }] as const),
    ),
  );
  return rounds.map((round) => ({
    ...round,
    ...(passOf.has(round.number) ? { pass: passOf.get(round.number)! } : {}),
    pieces: round.operations.flatMap((operation): Piece[] => {
      const light = lights.get(operation);
      return round.kind === 'work' && light
        ? [{ operation, seconds: light.seconds, light: { mode: light.mode, lamp: light.lamp } }]
        : works(operation);
    }),
    windows: round.operations.flatMap((operation): CourseRound['windows'] => {
      const window = windows[operation];
      return window?.follows
        ? [
            {
              operation,
              follows: window.follows,
              words: window.words,
              guide_s: window.guide_s,
              most_s: window.most_s,
            },
          ]
        : [];
    }),
  }));
}

/** When a course ends, in seconds from its beginning. */
export function endOf_s(course: readonly CourseRound[]): number {
  return Math.max(0, mostOf(course.map(({ end_s }) => end_s)));
}
