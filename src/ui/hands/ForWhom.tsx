'use client';
import { Button, Modal, TextInput } from '@mantine/core';
import { useState } from 'react';
import { measureAll } from '@/core/document/changes';
import { areOnPlates, platesOf, withMeasures, type Client } from '@/core/model/client';
import { addClient, changeClient, makeFor } from '@/data/clients';
import { tidyWords } from '@/core/model/primitives';
import { dayWords, today } from '@/core/model/days';
import { useClients } from '../clients/useClients';
import { Go } from '../kit/Go';
import { notify, notKept } from '../kit/notify';
import { pathOf } from '../kit/route';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { Pick } from '../kit/Pick';
import { When } from './When';
import classes from './HandsView.module.css';

const NEW = 'new';

/** For whom the set is made, and the way of measures between the set and the client's card. */
export function ForWhom() {
  const id = useStudio((s) => s.set.id);
  const store = useStudioStore();
  const { clients } = useClients();
  const client = clients?.find((one) => one.sets.includes(id));

  const latest = client?.measures[0];
  const kept = useSettled((set) => latest !== undefined && areOnPlates(set.nails, latest.plates));
  const [naming, setNaming] = useState(false);

  async function choose(value: string) {
    if (value === NEW) setNaming(true);
    else await makeFor(id, value || undefined);
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
      <Pick
        aria-label="For whom"
        value={client?.id ?? ''}
        data={[
          { value: '', label: 'For nobody yet' },
          ...(clients ?? []).map((one) => ({ value: one.id, label: `For ${one.name}` })),
          { value: NEW, label: 'A new client …' },
        ]}
        onChange={(event) => void choose(event.currentTarget.value).catch(notKept)}
      />
      <When />
      {naming && (
        <NewClient
          onClose={() => setNaming(false)}
          onNamed={(name) => {
            setNaming(false);
            addClient(name)
              .then((made) => makeFor(id, made.id))
              .catch(notKept);
          }}
        />
      )}
      {client && (
        <>
          <Go href={pathOf({ kind: 'clients', id: client.id })}>The card</Go>
          {!kept && client.measures[0] && (
            <Button variant="default" onClick={() => take(client)}>
              Take the measures of {dayWords(client.measures[0].on)}
            </Button>
          )}
          {!kept && (
            <Button variant="default" onClick={() => keep(client)}>
              Keep these measures on the card
            </Button>
          )}
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

/** A new client needs a name, and nothing else yet. */
function NewClient({ onClose, onNamed }: { onClose: () => void; onNamed: (name: string) => void }) {
  const [name, setName] = useState('');
  const tidy = tidyWords(name);
  return (
    <Modal opened onClose={onClose} title="A new client" centered>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (tidy) onNamed(tidy);
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Button type="submit" mt="md" fullWidth disabled={!tidy}>
          Make this set for them
        </Button>
      </form>
    </Modal>
  );
}
