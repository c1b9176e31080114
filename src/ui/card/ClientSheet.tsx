'use client';
import { useMemo, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { clientSheet } from '@/core/plan/clientSheet';
import type { Plan } from '@/core/plan/planSet';
import { HandsSpread } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import { timeWords } from '../kit/words';
import { Paper } from './Paper';
import classes from './CardView.module.css';

const PICTURE_PX_PER_MM = 3.2;

/** What the client takes home. */
export function ClientSheet({ set, plan, choice }: { set: SetDocument; plan: Plan; choice: ReactNode }) {
  const pictures = usePictures(set, PICTURE_PX_PER_MM * FINENESS);
  const day = set.appointment?.on ?? today();
  const sheet = useMemo(() => clientSheet(set, plan, day), [set, plan, day]);
  return (
    <Paper
      label="Client’s sheet"
      choice={choice}
      title={sheet.title}
      says={`${dayWords(day)} · about ${timeWords(sheet.from_s)} to ${timeWords(sheet.to_s)} at the table`}
      picture={<HandsSpread set={set} pictures={pictures} px_per_mm={PICTURE_PX_PER_MM} />}
    >
      <section className={classes.take}>
        <h3>What you wear</h3>
        <ul>
          {sheet.worn.map(({ whose, what }) => (
            <li key={whose}>
              <b>{whose}</b> {what}
            </li>
          ))}
        </ul>
        {sheet.again && (
          <>
            <h3>When to come again</h3>
            <p>
              Between {dayWords(sheet.again.from)} and {dayWords(sheet.again.to)}: {sheet.again.then}.
            </p>
          </>
        )}
        <h3>Care</h3>
        <ul>
          {sheet.care.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
    </Paper>
  );
}
