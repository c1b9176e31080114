'use client';
import { Button } from '@mantine/core';
import { useCallback } from 'react';
import type { SetDocument } from '@/core/document/document';
import { calendarFile } from '@/core/files/calendar';
import { SITTING_UID } from '@/core/files/calendarUids';
import { appointmentWords } from '@/core/model/appointment';
import { upperFirst } from '@/core/model/letters';
import { appointedTimes } from '@/core/plan/appointed';
import type { Plan } from '@/core/plan/planSet';
import type { Forecast } from '@/core/timing/forecast';
import { forecastFor } from '@/workers/planner';
import { downloadText, fileName } from '../kit/download';
import { late } from '../kit/late';
import { useAnswer } from '../kit/useAnswer';
import { Pick } from '../kit/Pick';
import { timeWords } from '@/core/model/times';
import { hourWords } from '../kit/words';
import { useStudio } from '../studio/studio';
import classes from './TimingView.module.css';

const Evenings = late(() => import('./Evenings').then((one) => one.Evenings), 'The chart', {
  instead: ({ again }) => (
    <p className={classes.soft}>
      The chart could not be loaded.{' '}
      <Button variant="default" onClick={again}>
        Try again
      </Button>
    </p>
  ),
});

/** So many kinds of work are named as what makes it late. */
const MOST_NAMED = 3;

/** When it will be over: of many evenings with these hands, half and nine of ten, and what makes one late. */
export function WhenOver({ set, plan }: { set: SetDocument; plan: Plan }) {
  const made = useAnswer(useCallback(() => forecastFor(set, plan), [set, plan]));
  return (
    <section className={classes.over} aria-label="When it will be over">
      <h2>When it will be over</h2>
      {made === undefined && <p className={classes.soft}>Many evenings are played …</p>}
      {made === 'failed' && <p className={classes.soft}>It could not be worked out.</p>}
      {typeof made === 'object' && (
        <>
          <p data-testid="forecast">
            Of {made.runs.toLocaleString('en-GB')} evenings half are over in <b>{timeWords(made.half_s)}</b>,
            nine of ten in <b>{timeWords(made.nine_s)}</b>.
          </p>
          <Appointed set={set} forecast={made} ahead_s={plan.ahead_s} />
          <Late set={set} />
          <Evenings forecast={made} planned_s={plan.sitting.total_s} />
          <p className={classes.soft}>
            What makes it late or early:{' '}
            {made.by
              .slice(0, MOST_NAMED)
              .map(({ work, share }) => `${work.replaceAll('-', ' ')} ${Math.round(share * 100)} %`)
              .join(', ')}
            . {upperFirst(sourceWords(set))}
          </p>
        </>
      )}
    </section>
  );
}

/** The same by the clock, where a day and a time are agreed; and as an event for a calendar. */
function Appointed({ set, forecast, ahead_s }: { set: SetDocument; forecast: Forecast; ahead_s: number }) {
  const times = appointedTimes(set.appointment, forecast, ahead_s);
  if (!times || !set.appointment) return null;
  const save = () => {
    const text = calendarFile([
      {
        uid: SITTING_UID.of(set.id),
        title: set.title,
        note: set.note,
        begins: times.begins,
        ends: times.nine,
        made_at: new Date(),
      },
    ]);
    downloadText(`${fileName(set.title)}.ics`, text);
  };
  return (
    <p data-testid="appointed">
      {upperFirst(appointmentWords(set.appointment))}: half are over by <b>{hourWords(times.half)}</b>, nine
      of ten by <b>{hourWords(times.nine)}</b>.{' '}
      {times.until && <Until until={times.until} over_s={times.over_s ?? 0} />}{' '}
      <Button variant="default" size="compact-md" onClick={save}>
        Calendar file
      </Button>
    </p>
  );
}

/** Whether it is over when it has to be. */
function Until({ until, over_s }: { until: Date; over_s: number }) {
  if (over_s <= 0)
    return (
      <>
        It has to be over by {hourWords(until)}:{' '}
        {over_s < 0 ? `${timeWords(-over_s)} to spare` : 'just in time'}.
      </>
    );
  return (
    <span className={classes.bad}>
      ■ It has to be over by {hourWords(until)}: {timeWords(over_s)} too long. What could go stands under “I
      have less time”.
    </span>
  );
}

const LATE_MIN = [0, 5, 10, 15, 20, 30, 45, 60];

/** She comes later than agreed: every round and the end move with her. */
function Late({ set: { appointment } }: { set: SetDocument }) {
  const change = useStudio((s) => s.change);
  if (!appointment || appointment.at === null) return null;
  const late_min = appointment.late_min ?? 0;
  return (
    <div className={classes.late}>
      <Pick
        label="She is late by"
        value={String(late_min)}
        data={[...new Set([...LATE_MIN, late_min])]
          .sort((a, b) => a - b)
          .map((min) => ({ value: String(min), label: min === 0 ? 'nothing' : `${min} minutes` }))}
        onChange={({ currentTarget }) =>
          change({
            kind: 'appoint',
            appointment: { ...appointment, late_min: Number(currentTarget.value) },
          })
        }
      />
    </div>
  );
}

function sourceWords({ practice }: SetDocument): string {
  return practice.own_times
    ? 'by your own times, where they are known.'
    : 'by the guide: once your own times are known, it can be promised more closely.';
}
