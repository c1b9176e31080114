'use client';
import { Button, SegmentedControl, Table, Textarea, TextInput } from '@mantine/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { MEASURES, type Measure } from '@/core/craft/measures';
import type { Client, Measured } from '@/core/model/client';
import { fingerOf, nailWords, NAILS } from '@/core/model/names';
import { tidyWords } from '@/core/model/primitives';
import { changeClient, makeFor, removeClient } from '@/data/clients';
import { titlesOf } from '@/data/sets';
import { addNewSet } from '@/data/starting';
import { Go, go } from '../kit/Go';
import { notify, notKept } from '../kit/notify';
import { pathOf } from '../kit/route';
import { dayWords } from '@/core/model/days';
import classes from './ClientsView.module.css';

/** One client's card. What is typed is kept at every stroke. */
export function ClientCard({ client }: { client: Client }) {
  const put = (change: Partial<Client>) =>
    void changeClient(client.id, (now) => ({ ...now, ...change })).catch(notKept);
  const [name, setName] = useState(client.name);
  const [sensitivities, setSensitivities] = useState(client.sensitivities);
  const [note, setNote] = useState(client.note);
  const titles = useTitles(client.sets);
  const latest = client.measures[0];

  async function newSet() {
    const id = await addNewSet(latest?.plates);
    await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'hands' }));
  }

  async function remove() {
    const putBack = await removeClient(client.id);
    go('/clients');
    if (!putBack) return;
    notify(
      <>
        The card of {client.name} is gone. {setsLeft(client.sets.length)}{' '}
        <Button variant="default" onClick={() => void putBack().catch(notKept)}>
          Put it back
        </Button>
      </>,
      undefined,
      `gone-${client.id}`,
    );
  }

  return (
    <section className={classes.card} aria-label={`Card of ${client.name}`}>
      <div className={classes.pair}>
        <TextInput
          label="Name"
          value={name}
          maxLength={80}
          error={tidyWords(name) === undefined ? 'A card needs a name' : undefined}
          onChange={(event) => {
            setName(event.currentTarget.value);
            const tidy = tidyWords(event.currentTarget.value);
            if (tidy !== undefined) put({ name: tidy });
          }}
        />
        <Button
          variant="default"
          leftSection={<IconTrash size={18} />}
          onClick={() => void remove().catch(notKept)}
        >
          Remove the card
        </Button>
      </div>
      <div className={classes.texts}>
        <Textarea
          label="Not on these hands"
          description="Shown in Hands while you work for this client. It never leaves with a set."
          autosize
          minRows={2}
          maxLength={2000}
          value={sensitivities}
          onChange={(event) => {
            setSensitivities(event.currentTarget.value);
            put({ sensitivities: event.currentTarget.value });
          }}
        />
        <Textarea
          label="Notes"
          description="Work, habits, what held and what did not."
          autosize
          minRows={2}
          maxLength={2000}
          value={note}
          onChange={(event) => {
            setNote(event.currentTarget.value);
            put({ note: event.currentTarget.value });
          }}
        />
      </div>
      <div className={classes.titled}>
        <h2>Sets</h2>
        <Button
          variant="default"
          leftSection={<IconPlus size={18} />}
          onClick={() => void newSet().catch(notKept)}
        >
          {latest ? `New set with the measures of ${dayWords(latest.on)}` : 'New set'}
        </Button>
      </div>
      {client.sets.length === 0 && <p className={classes.soft}>None yet.</p>}
      <ul className={classes.sets}>
        {client.sets.map((id) => (
          <li key={id}>
            {titles?.has(id) ? (
              <Go href={pathOf({ kind: 'set', id, view: 'design' })}>{titles.get(id)}</Go>
            ) : (
              titles && <span className={classes.soft}>A set that was removed</span>
            )}
          </li>
        ))}
      </ul>
      <h2>Measures by day, in mm</h2>
      {client.measures.length === 0 ? (
        <p className={classes.soft}>
          None yet. Measure ten nails in Hands of a set made for {client.name}, then keep them here.
        </p>
      ) : (
        <Measures measures={client.measures} />
      )}
    </section>
  );
}

function setsLeft(count: number): string {
  if (count === 0) return '';
  return count === 1 ? 'The set made for them stays.' : `The ${count} sets made for them stay.`;
}

/** The titles of some sets; a set that is not there has none. */
function useTitles(ids: readonly string[]): ReadonlyMap<string, string> | undefined {
  const [titles, setTitles] = useState<ReadonlyMap<string, string>>();
  const key = ids.join(' ');
  useEffect(() => {
    let gone = false;
    titlesOf(key.split(' ').filter(Boolean)).then((read) => {
      if (!gone) setTitles(read);
    }, notKept);
    return () => {
      gone = true;
    };
  }, [key]);
  return titles;
}

/** Nails in the order of a hand laid on the table, left little finger first; one measure of them at a time. */
function Measures({ measures }: { measures: readonly Measured[] }) {
  const [shown, setShown] = useState<Measure['key']>('width_mm');
  return (
    <>
      <SegmentedControl
        aria-label="Which measure"
        value={shown}
        onChange={(next) => setShown(next as Measure['key'])}
        data={MEASURES.map((one) => ({ value: one.key, label: one.words }))}
      />
      <Table className={classes.widths}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th rowSpan={2}>Day</Table.Th>
            <Table.Th colSpan={5}>Left hand</Table.Th>
            <Table.Th colSpan={5}>Right hand</Table.Th>
          </Table.Tr>
          <Table.Tr>
            {NAILS.map((nail) => (
              <Table.Th key={nail} title={nailWords(nail)}>
                {fingerOf(nail)}
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {measures.map(({ on, plates }) => (
            <Table.Tr key={on}>
              <Table.Td className={classes.day}>{dayWords(on)}</Table.Td>
              {NAILS.map((nail) => (
                <Table.Td key={nail}>{plates[nail][shown].toFixed(1)}</Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}
