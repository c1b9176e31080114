import { Button } from '@mantine/core';
import { restOfPass } from '@/core/bench/presses';
import type { CourseRound } from '@/core/bench/log';
import type { Progress } from '@/core/bench/progress';
import type { NailName } from '@/core/model/names';
import { passWords } from '@/core/timing/card';
import { lineWords, whoseWords } from '@/core/timing/rounds';
import { whoseOf } from '../kit/whose';
import classes from './BenchView.module.css';

interface Props {
  course: readonly CourseRound[];
  /** Undefined where nothing is begun. */
  progress: Progress | undefined;
  worked: readonly NailName[];
  /** Says that all is done up to the light. */
  onWhole: () => void;
}

/** The pass that the step belongs to, small: what of it is done, what comes, and what comes after it. */
export function PassStrip({ course, progress, worked, onWhole }: Props) {
  const now = progress ? progress.now : course[0];
  const pass = now?.pass;
  if (!now) return null;
  if (!pass) {
    const [next] = progress?.next ?? [];
    return next ? (
      <p>
        <b>Next</b> {whoseWords(next.nails, worked)}: {lineWords(next)}
      </p>
    ) : null;
  }
  const own = course.filter((round) => round.pass?.number === pass.number);
  const after = course.find((round) => round.pass?.number === pass.number + 1)?.pass;
  const last = course.at(-1)?.pass?.number ?? pass.number;
  const rest = progress && progress.paused_ms === undefined ? restOfPass(progress) : [];
  return (
    <section className={classes.passStrip} aria-label="This pass">
      <h3>
        {passWords(pass.hand, pass.title)}{' '}
        <small>
          {pass.number} of {last}
        </small>
      </h3>
      <ol tabIndex={0} aria-label="What is done in this pass">
        {own.map((round) => {
          const state = stateOf(round, now, progress);
          return (
            <li key={round.number} data-state={state} aria-current={state === 'now' ? 'step' : undefined}>
              <b>{pass.hand === 'both' ? whoseOf(round, worked) : whoseWords(round.nails, worked)}</b>{' '}
              {round.kind === 'load' ? `into the lamp, ${round.light!.seconds} s` : lineWords(round)}
            </li>
          );
        })}
      </ol>
      {after && (
        <p>
          Then <b>{passWords(after.hand, after.title)}</b>
        </p>
      )}
      {rest.length > 1 && (
        <Button variant="default" size="md" onClick={onWhole}>
          All {rest.length} done
        </Button>
      )}
    </section>
  );
}

function stateOf(
  round: CourseRound,
  now: CourseRound,
  progress: Progress | undefined,
): 'done' | 'now' | 'next' {
  if (round.number === now.number) return 'now';
  return progress && round.operations.every((id) => progress.ended_ms.has(id)) ? 'done' : 'next';
}
