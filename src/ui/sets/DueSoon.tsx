'use client';
import { Button } from '@mantine/core';
import { IconCalendarPlus } from '@tabler/icons-react';
import { calendarFile } from '@/core/files/calendar';
import { dayWords, today } from '@/core/model/days';
import { dueWithin } from '@/core/wear/growth';
import { downloadBlob } from '../kit/download';
import { Go } from '../kit/Go';
import { pathOf } from '../kit/route';
import { useAllWorn } from '../wear/useWorn';
import classes from './SetsView.module.css';

const WEEK_DAYS = 7;
const MOST_NAMED = 4;

/** Which worn sets are due this week; all of them as one calendar file. */
export function DueSoon() {
  const { all } = useAllWorn();
  const due = dueWithin(all ?? [], today(), WEEK_DAYS);
  if (due.length === 0) return null;
  const save = () => {
    const text = calendarFile(
      due.map(({ worn, due: { from, to } }) => ({
        uid: `${worn.set}-due@merry-lacquer`,
        title: `${worn.title}: due`,
        note: `Between ${dayWords(from)} and ${dayWords(to)}`,
        begins: new Date(`${to}T09:00:00`),
        ends: new Date(`${to}T10:00:00`),
        made_at: new Date(),
      })),
    );
    downloadBlob('due.ics', new Blob([text], { type: 'text/calendar' }));
  };
  return (
    <section className={classes.due} aria-label="Due this week">
      <b>Due this week:</b>
      {due.slice(0, MOST_NAMED).map(({ worn, due: { to } }) => (
        <span key={worn.set}>
          <Go href={pathOf({ kind: 'set', id: worn.set, view: 'wear' })}>{worn.title}</Go> by {dayWords(to)}
        </span>
      ))}
      {due.length > MOST_NAMED && <Go href="/holds">{due.length - MOST_NAMED} more</Go>}
      <Button variant="default" size="compact-md" leftSection={<IconCalendarPlus size={16} />} onClick={save}>
        Calendar file
      </Button>
    </section>
  );
}
