'use client';
import { Button } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { kitDiffers } from '@/core/starter/kitDiffers';
import { noteAsked, wasAsked } from '@/data/asked';
import { useStudio, useStudioStore } from '../studio/studio';
import { useShelf, useSupplies } from './useShelf';
import classes from './ShelfView.module.css';

const SHOWN = 12;

/** Where the shelf has something otherwise than the open set: asked once for all of it. */
export function KitAsk() {
  const set = useStudio((s) => s.set);
  const store = useStudioStore();
  const { items } = useShelf();
  const { supplies } = useSupplies();
  const [open, setOpen] = useState(false);
  const [answered, setAnswered] = useState<string>();
  const differs = useMemo(
    () =>
      items && supplies
        ? kitDiffers(
            set,
            items.map((one) => one.product),
            supplies,
          )
        : [],
    [set, items, supplies],
  );
  const question = differs.length > 0 ? JSON.stringify(differs.map((one) => one.change)) : '';
  useEffect(() => {
    if (question)
      wasAsked(set.id, question).then(
        (was) => {
          if (was) setAnswered(question);
        },
        () => undefined,
      );
  }, [set.id, question]);
  if (!question || answered === question) return null;
  const things = differs.length === 1 ? `“${differs[0]!.name}”` : `${differs.length} things`;

  function take() {
    store.getState().change({ kind: 'many', changes: differs.map((one) => one.change) });
    setOpen(false);
  }
  function keep() {
    setAnswered(question);
    setOpen(false);
    void noteAsked(set.id, question).catch(() => undefined);
  }
  return (
    <section className={classes.ask} aria-label="The shelf and this set">
      <p>
        Your shelf has <bdi>{things}</bdi> otherwise than this set.
      </p>
      {!open && (
        <Button variant="default" onClick={() => setOpen(true)}>
          See and choose
        </Button>
      )}
      {open && (
        <>
          <ul className={classes.changes} aria-label="What differs">
            {differs.slice(0, SHOWN).map((one) => (
              <li key={one.name}>
                <b>
                  <bdi>{one.name}</bdi>:
                </b>{' '}
                {one.figures
                  .map((figure) => `${figure.what.replace(/_/g, ' ')} ${figure.set} → ${figure.shelf}`)
                  .join('; ')}
              </li>
            ))}
            {differs.length > SHOWN && <li>and {differs.length - SHOWN} more</li>}
          </ul>
          <Button onClick={take}>Take the shelf’s into this set</Button>
          <Button variant="default" onClick={keep}>
            Keep this set’s
          </Button>
        </>
      )}
    </section>
  );
}
