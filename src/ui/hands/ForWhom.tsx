'use client';
import { Button, NativeSelect } from '@mantine/core';
import { measureAll } from '@/core/document/changes';
import { platesOf, withMeasures, type Client } from '@/core/model/client';
import { addClient, changeClient, makeFor } from '@/data/clients';
import { dayWords, today } from '../clients/days';
import { useClients } from '../clients/useClients';
import { Go } from '../kit/Go';
import { notify, notKept } from '../kit/notify';
import { pathOf } from '../kit/route';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './HandsView.module.css';

const NEW = 'new';

/** For whom the set is made, and the way of measures between the set and the client's card. */
export function ForWhom() {
  const id = useStudio((s) => s.set.id);
  const store = useStudioStore();
  const { clients } = useClients();
  const client = clients?.find((one) => one.sets.includes(id));

  async function choose(value: string) {
    if (value !== NEW) return makeFor(id, value || undefined);
    const made = await addClient('New client');
    await makeFor(id, made.id);
  }

  function take({ measures: [latest] }: Client) {
    if (latest) store.getState().change(measureAll(latest.plates));
  }

  function keep(one: Client) {
    const plates = platesOf(store.getState().set.nails);
    changeClient(one.id, (now) => withMeasures(now, { on: today(), plates })).then(
      () => notify(`Kept on the card of ${one.name}, ${dayWords(today())}.`),
      notKept,
    );
  }

  return (
    <div className={classes.whom}>
      <NativeSelect
        aria-label="For whom"
        value={client?.id ?? ''}
        data={[
          { value: '', label: 'For nobody yet' },
          ...(clients ?? []).map((one) => ({ value: one.id, label: `For ${one.name}` })),
          { value: NEW, label: 'For a new client' },
        ]}
        onChange={(event) => void choose(event.currentTarget.value).catch(notKept)}
      />
      {client && (
        <>
          <Go href={pathOf({ kind: 'clients', id: client.id })}>The card</Go>
          {client.measures[0] && (
            <Button variant="default" onClick={() => take(client)}>
              Take the measures of {dayWords(client.measures[0].on)}
            </Button>
          )}
          <Button variant="default" onClick={() => keep(client)}>
            Keep these measures on the card
          </Button>
          {client.sensitivities.trim() && (
            <p className={classes.careful}>
              <b>Not on these hands:</b> {client.sensitivities}
            </p>
          )}
        </>
      )}
    </div>
  );
}
