'use client';
import { Button } from '@mantine/core';
import { IconCalendarPlus } from '@tabler/icons-react';
import { dayWords, today } from '@/core/model/days';
import { dueWithin } from '@/core/wear/growth';
import { Go } from '../kit/Go';
import { pathOf } from '../kit/route';
import { saveDue } from '../wear/dueFile';
import { useAllWorn } from '../wear/useWorn';
import classes from './SetsView.module.css';

const WEEK_DAYS = 7;
const MOST_NAMED = 4;

/** Which worn sets are due this week; all of them as one calendar file. */
export function DueSoon() {
  const { all } = useAllWorn();
  const due = dueWithin(all ?? [], today(), WEEK_DAYS);
  if (due.length === 0) return null;
  return (
    <section className={classes.due} aria-label="Due this week">
      <b>Due this week:</b>
      {due.slice(0, MOST_NAMED).map(({ worn, due: { to } }) => (
        <span key={worn.set}>
          <Go href={pathOf({ kind: 'set', id: worn.set, view: 'wear' })}>{worn.title}</Go> by {dayWords(to)}
        </span>
      ))}
      {due.length > MOST_NAMED && <Go href="/holds">{due.length - MOST_NAMED} more</Go>}
      <Button
        variant="default"
        size="compact-md"
        leftSection={<IconCalendarPlus size={16} />}
        onClick={() => saveDue('due', due)}
      >
        Calendar file
      </Button>
    </section>
  );
}
