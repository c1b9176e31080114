'use client';
import { Button, Checkbox, TextInput } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import { useState } from 'react';
import { dayAfter, dayWords, today } from '@/core/model/days';
import { tidyWords } from '@/core/model/primitives';
import { isDay, type FollowUp, type Worn } from '@/core/model/wear';
import { changeWorn } from '@/data/worn';
import { notKept } from '../kit/notify';
import classes from './WearView.module.css';

/** After so many days one asks how it holds (common practice). */
const ASK_AFTER_DAYS = 3;
const MOST = 20;

/** What is to be done after this set: asked, looked at, told. It stands in the week on Sets, and in its calendar file. */
export function FollowUps({ worn }: { worn: Worn }) {
  const own = worn.follow_ups ?? [];
  const soon = dayAfter(worn.made_on, ASK_AFTER_DAYS);
  const [on, setOn] = useState(soon < today() ? dayAfter(today(), 1) : soon);
  const [words, setWords] = useState('Ask how it holds');
  const fault = isDay(on) && on >= worn.made_on ? undefined : 'a day after it was made';
  const tidy = tidyWords(words);
  const put = (change: (all: readonly FollowUp[]) => FollowUp[]) =>
    void changeWorn(worn.set, (now) => ({ ...now, follow_ups: change(now.follow_ups ?? []) })).catch(notKept);
  return (
    <section className={classes.next} aria-label="To do after">
      <h3>To do after</h3>
      {own.length > 0 && (
        <ul className={classes.follow}>
          {own.map((one, i) => (
            <li key={`${one.on} ${one.words} ${i}`}>
              <Checkbox
                label={`${one.words}, ${dayWords(one.on)}`}
                checked={one.done}
                onChange={() =>
                  put((all) => all.map((old, j) => (i === j ? { ...old, done: !old.done } : old)))
                }
              />
              <Button
                variant="subtle"
                color="gray"
                size="compact-md"
                aria-label={`Take out: ${one.words}`}
                onClick={() => put((all) => all.filter((_, j) => i !== j))}
              >
                Take out
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form
        className={classes.ask}
        onSubmit={(event) => {
          event.preventDefault();
          if (!fault && tidy && own.length < MOST) put((all) => [...all, { on, words: tidy, done: false }]);
        }}
      >
        <TextInput
          label="What"
          value={words}
          maxLength={120}
          onChange={({ currentTarget }) => setWords(currentTarget.value)}
        />
        <TextInput
          type="date"
          label="When"
          value={on}
          min={worn.made_on}
          error={fault}
          onChange={({ currentTarget }) => setOn(currentTarget.value)}
        />
        <Button
          type="submit"
          variant="default"
          leftSection={<IconPlus size={18} />}
          disabled={fault !== undefined || tidy === undefined || own.length >= MOST}
        >
          Add it
        </Button>
      </form>
    </section>
  );
}
