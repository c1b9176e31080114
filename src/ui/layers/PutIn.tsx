'use client';
import { Button, Switch } from '@mantine/core';
import { useState } from 'react';
import { PUT_IN, putIn, putInProducts, type PutIn as Work } from '@/core/compile/putIn';
import type { Operation } from '@/core/craft/operation';
import { Choice, FigureInput } from '../kit/Inputs';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './LayersView.module.css';

const WORK = Object.keys(PUT_IN) as Work[];

/** One more piece of work, or one more coat, right after a step. */
export function PutIn({ after, onDone }: { after: Operation; onDone: (operation?: string) => void }) {
  const kit = useStudio((s) => s.set.kit.products);
  const store = useStudioStore();
  const [verb, setVerb] = useState<Work>('wipe');
  const [asked_s, setSeconds] = useState<number>();
  const [wanted, setWanted] = useState<string>();
  const [held, setHeld] = useState(false);
  const products = putInProducts(verb, kit);
  const product = products.find((one) => one.id === wanted) ?? products[0];
  const seconds = asked_s ?? PUT_IN[verb].seconds;

  function put() {
    const wished = { verb, seconds, held, ...(product ? { product: product.id } : {}) };
    const { change, operation } = putIn(store.getState().set, after, wished);
    store.getState().change(change);
    onDone(operation);
  }

  return (
    <form
      className={classes.putIn}
      aria-label="Put in after this step"
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
    >
      <Choice
        label="What"
        value={verb}
        choices={WORK.filter((one) => one !== 'coat' || putInProducts(one, kit).length > 0).map((one) => ({
          value: one,
          label: PUT_IN[one].words,
        }))}
        onChange={(value) => {
          setVerb(value as Work);
          setSeconds(undefined);
        }}
      />
      {products.length > 0 && (
        <Choice
          label="Of"
          value={product?.id ?? ''}
          choices={products.map((one) => ({ value: one.id, label: one.name }))}
          onChange={setWanted}
        />
      )}
      <FigureInput
        key={verb}
        label="For"
        unit="s"
        min={1}
        max={1800}
        step={1}
        value={seconds}
        onChange={setSeconds}
      />
      <Switch
        label="Without letting go of the nail"
        checked={held}
        onChange={(event) => setHeld(event.currentTarget.checked)}
      />
      <div className={classes.actions}>
        <Button type="submit">Put it in</Button>
        <Button variant="default" onClick={() => onDone()}>
          Do not
        </Button>
      </div>
    </form>
  );
}
