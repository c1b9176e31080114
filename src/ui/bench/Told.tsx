'use client';
import { Button } from '@mantine/core';
import type { ShortLight } from '@/core/bench/progress';
import type { NailName } from '@/core/model/names';
import { whoseWords } from '@/core/timing/rounds';
import type { Table } from './useBench';
import classes from './BenchView.module.css';

interface Props {
  at: Table;
  worked: NailName[];
  /** The set is another than the one this was planned of. */
  stale: boolean;
  onPlanAnew: () => void;
  onAgain: (short: ShortLight) => void;
}

/** What has to be known before the next press. */
export function Told({ at, worked, stale, onPlanAnew, onAgain }: Props) {
  const { table, mine, notKept, takeOver } = at;
  return (
    <>
      {mine === false && (
        <p role="status" className={classes.told}>
          This table is worked at in another tab. It is shown here as it goes on.{' '}
          <Button variant="default" onClick={takeOver}>
            Work here instead
          </Button>
        </p>
      )}
      {notKept && (
        <p role="alert" className={classes.told}>
          <b>Not written down:</b> this browser has no room left, or keeps nothing. What you press stands on
          this page alone; leave it open, and make room. It is written with the next press that finds some.
        </p>
      )}
      {stale && table && !table.ended && (
        <p role="status" className={classes.told}>
          The set was changed since this was planned.{' '}
          <Button variant="default" onClick={onPlanAnew}>
            Plan the rest with it
          </Button>
        </p>
      )}
      {table?.short.map((one) => (
        <p key={one.event} role="alert" className={classes.told}>
          <b>Still soft:</b> {whoseWords(one.nails, worked)} had {Math.round(one.given_s)} s of{' '}
          {Math.round(one.asked_s)} s. Into the lamp again before anything is laid on it.{' '}
          <Button onClick={() => onAgain(one)}>Again now</Button>
        </p>
      ))}
    </>
  );
}
