'use client';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { today } from '@/core/model/days';
import { bottlesOn } from '@/core/stock/bottles';
import { benchOf } from '@/data/benches';
import { beginWorn } from '@/data/worn';
import { doneOf } from '@/workers/planner';
import { useClientOf } from '../clients/useClients';
import { notKept } from '../kit/notify';
import { useStock } from '../shelf/useStock';
import { useStudio } from '../studio/studio';
import classes from './WearView.module.css';

/** Before it is done: one press says that it was done as planned, on this day. */
export function NotWorn({ set }: { set: SetDocument }) {
  const [on, setOn] = useState(set.appointment?.on ?? today());
  const client = useClientOf(set.id);
  const { stock } = useStock();
  const change = useStudio((s) => s.change);
  const [busy, setBusy] = useState(false);
  async function begin() {
    setBusy(true);
    try {
      const { worn } = await doneOf(set, {
        bench: await benchOf(set.id),
        on,
        client: client?.id ?? null,
        bottles: bottlesOn(stock?.shelf ?? [], on),
      });
      await beginWorn(worn);
      if (set.state !== 'done') change({ kind: 'state', state: 'done' });
    } finally {
      setBusy(false);
    }
  }
  const good = /^\d{4}-\d{2}-\d{2}$/.test(on) && on <= today();
  return (
    <div className={classes.view} tabIndex={0} role="region" aria-label="Not worn yet">
      <h2>Not worn yet</h2>
      <p className={classes.lead}>
        Once it is done at the bench, it stands here with what was really done on each nail. It can be said as
        well.
      </p>
      <div className={classes.ask}>
        <TextInput
          type="date"
          label="Made on"
          value={on}
          max={today()}
          error={good ? undefined : 'a day that has come'}
          onChange={({ currentTarget }) => setOn(currentTarget.value)}
        />
        <Button disabled={!good} loading={busy} onClick={() => void begin().catch(notKept)}>
          Done as planned, on this day
        </Button>
      </div>
    </div>
  );
}
