'use client';
import { Button, Checkbox } from '@mantine/core';
import { IconCalendarPlus } from '@tabler/icons-react';
import { useMemo } from 'react';
import { appointmentWords } from '@/core/model/appointment';
import { dayWords, today } from '@/core/model/days';
import { weekOf, type Planned, type WeekItem } from '@/core/wear/week';
import { weekFile } from '@/core/wear/weekFile';
import { changeWorn } from '@/data/worn';
import { downloadText } from '../kit/download';
import { Go } from '../kit/Go';
import { notKept } from '../kit/notify';
import { pathOf } from '../kit/route';
import { useAllWorn } from '../wear/useWorn';
import classes from './SetsView.module.css';

const MOST_NAMED = 6;

/** What is to be done this week: sittings, sets that are due, follow-ups; all of it as one calendar file. */
export function DueSoon({ planned }: { planned: readonly Planned[] }) {
  const { all: worn } = useAllWorn();
  const week = useMemo(() => weekOf(planned, worn ?? [], today()), [planned, worn]);
  if (week.length === 0) return null;
  return (
    <section className={classes.due} aria-label="This week">
      <b>This week:</b>
      {week.slice(0, MOST_NAMED).map((item) => (
        <Item key={`${item.kind} ${item.set} ${item.on}`} item={item} />
      ))}
      {week.length > MOST_NAMED && <span>{week.length - MOST_NAMED} more</span>}
      <Button
        variant="default"
        size="compact-md"
        leftSection={<IconCalendarPlus size={16} />}
        onClick={() => downloadText('this week.ics', weekFile(week, new Date()))}
      >
        Calendar file
      </Button>
    </section>
  );
}

function Item({ item }: { item: WeekItem }) {
  const { kind, set, title, on } = item;
  const view = kind === 'sitting' ? 'hands' : 'wear';
  const link = <Go href={pathOf({ kind: 'set', id: set, view })}>{title}</Go>;
  if (kind === 'sitting')
    return (
      <span>
        {link} {appointmentWords({ on, at: item.at })}
      </span>
    );
  if (kind === 'due')
    return (
      <span>
        {link} due by {dayWords(on)}
      </span>
    );
  return (
    <Checkbox
      label={
        <>
          {item.follow.words}: {link}
        </>
      }
      checked={false}
      onChange={() =>
        void changeWorn(set, (now) => ({
          ...now,
          follow_ups: (now.follow_ups ?? []).map((one, i) => (i === item.nth ? { ...one, done: true } : one)),
        })).catch(notKept)
      }
    />
  );
}
