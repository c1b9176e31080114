'use client';
import { useMemo, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { NAILS } from '@/core/model/names';
import { workBeginsAt } from '@/core/plan/appointed';
import { helperList } from '@/core/plan/helperList';
import type { Plan } from '@/core/plan/planSet';
import { whoseOf } from '../kit/whose';
import { timeWords, waitWords } from '@/core/model/times';
import { momentWords } from '../kit/words';
import { Paper } from './Paper';
import classes from './CardView.module.css';

/** What a second pair of hands takes over, at its time. */
export function HelperList({ set, plan, choice }: { set: SetDocument; plan: Plan; choice: ReactNode }) {
  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const begins = workBeginsAt(set.appointment, plan.ahead_s);
  const rounds = useMemo(
    () =>
      helperList(
        plan.rounds,
        NAILS.flatMap((name) => plan.operations[name]),
      ),
    [plan],
  );
  return (
    <Paper
      label="Helper’s list"
      choice={choice}
      title={set.title}
      says="For whoever helps: soaking, dust and oil, from the beginning of the sitting."
    >
      <ol className={classes.helps}>
        {rounds.map((round) => (
          <li key={round.number}>
            <span className={classes.at}>{momentWords(begins, round.start_s)}</span>
            <span>
              <b>{whoseOf(round, worked)}</b> {round.words}, {timeWords(round.end_s - round.start_s)}
              {round.wait_s !== undefined && <i> – then {waitWords(round.wait_s)} of rest</i>}
              {round.caution && <small className={classes.caution}>{round.caution}</small>}
            </span>
          </li>
        ))}
      </ol>
    </Paper>
  );
}
