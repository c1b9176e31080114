'use client';
import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { recipeEvent, type AskedRecipe } from '@/core/bench/recipes';
import { figureWords } from '@/core/craft/recalled';
import type { BenchEvent } from '@/core/bench/log';
import { lowerFirst } from '@/core/model/letters';
import type { NailName } from '@/core/model/names';
import { FigureInput } from '../kit/Inputs';
import { whoseNails } from '../kit/whose';
import classes from './BenchView.module.css';

interface Props {
  asked: AskedRecipe;
  worked: NailName[];
  time: () => number;
  onSay: (event: BenchEvent) => void;
}

/** What nobody remembers: whether it was done as planned, by one tap, or what it really was. */
export function Recipe({ asked, worked, time, onSay }: Props) {
  const [open, setOpen] = useState(false);
  const [values, setValues] = useState<Record<string, number>>({});
  const said = asked.figures.map(figureWords);
  const whose = whoseNails(asked.nails, worked);
  return (
    <section className={classes.recipe} aria-label="What it really was">
      <b>
        {asked.words}, {lowerFirst(whose)}
      </b>
      <ul>
        {said.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <span className={classes.goOnButtons}>
        <Button size="md" onClick={() => onSay(recipeEvent(asked, time()))}>
          As planned
        </Button>
        <Button size="md" variant="default" onClick={() => setOpen(true)}>
          It was otherwise …
        </Button>
      </span>
      {open && (
        <Modal opened onClose={() => setOpen(false)} title={`${asked.words}, ${lowerFirst(whose)}`} centered>
          <div className={classes.savings}>
            {asked.figures.map(({ path, words, unit, value, min, max, step }) => (
              <FigureInput
                key={path}
                label={words}
                unit={unit}
                value={values[path] ?? value}
                min={min}
                max={max}
                step={step}
                onChange={(next) => setValues((all) => ({ ...all, [path]: next }))}
              />
            ))}
            <Button
              onClick={() => {
                onSay(recipeEvent(asked, time(), values));
                setOpen(false);
              }}
            >
              Note it so
            </Button>
          </div>
        </Modal>
      )}
    </section>
  );
}
