import { mostOf } from '../model/extent';
import type { Round } from '../timing/rounds';
import type { Schedule } from '../timing/problem';
import type { StepWindow } from '../timing/windows';
import type { CourseRound } from './log';

/** A planned sitting as the course of a table: each round with its pieces of work and what must follow them. */
export function courseOf(
  rounds: readonly Round[],
  { strokes, loads, wipes }: Pick<Schedule, 'strokes' | 'loads' | 'wipes'>,
  windows: Readonly<Record<string, StepWindow>>,
): CourseRound[] {
  const seconds = new Map(strokes.map(({ operation, start_s, end_s }) => [operation, end_s - start_s]));
  const lights = new Map(
    loads.flatMap(({ operations, mode, lamp, start_s, end_s, held }) =>
      held ? operations.map((one) => [one, { mode, lamp, seconds: end_s - start_s }] as const) : [],
    ),
  );
  const after = new Map(wipes.map((wipe) => [wipe.operation, wipe.after]));
  return rounds.map((round) => ({
    ...round,
    pieces: round.operations.flatMap((operation): CourseRound['pieces'] => {
      const light = lights.get(operation);
      if (round.kind === 'work' && light)
        return [{ operation, seconds: light.seconds, light: { mode: light.mode, lamp: light.lamp } }];
      const work_s = seconds.get(operation);
      const follows = after.get(operation);
      return work_s === undefined
        ? []
        : [{ operation, seconds: work_s, ...(follows ? { after: follows } : {}) }];
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
