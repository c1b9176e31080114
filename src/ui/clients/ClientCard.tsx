'use client';
import '../kit/tableStyles';
import { Button, SegmentedControl, Table, Textarea, TextInput } from '@mantine/core';
import { IconPlus, IconRepeat } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { MEASURES, type Measure } from '@/core/craft/measures';
import { onPlates, type Client, type Measured } from '@/core/model/client';
import { fingerOf, nailWords, NAILS } from '@/core/model/names';
import { tidyWords } from '@/core/model/primitives';
import { notesOn, type Worn } from '@/core/model/wear';
import { changeClient, makeFor, removeClient } from '@/data/clients';
import type { StoredSet } from '@/data/records';
import { addCopy, storedSets } from '@/data/sets';
import { addNewSet } from '@/data/starting';
import { Go, go } from '../kit/Go';
import { notify, notKept } from '../kit/notify';
import { MoreMenu } from '../kit/MoreMenu';
import { once } from '../kit/once';
import { pathOf } from '../kit/route';
import { aboutWords, soughtIn } from '../sets/aboutSet';
import { exportClient } from '../sets/backUp';
import { LittleHands } from '../sets/LittleHands';
import { useAllWorn } from '../wear/useWorn';
import { dayWords, today } from '@/core/model/days';
import { DeleteWhole } from './DeleteWhole';
import { MergeCard } from './MergeCard';
import classes from './ClientsView.module.css';

/** One client's card. What is typed is kept at every stroke. */
export function ClientCard({ client, others }: { client: Client; others: readonly Client[] }) {
  const put = (change: Partial<Client>) =>
    void changeClient(client.id, (now) => ({ ...now, ...change })).catch(notKept);
  const [name, setName] = useState(client.name);
  const [sensitivities, setSensitivities] = useState(client.sensitivities);
  const [note, setNote] = useState(client.note);
  const [deleting, setDeleting] = useState(false);
  const [merging, setMerging] = useState(false);
  const [search, setSearch] = useState('');
  const sets = useSets(client.sets);
  const removed = sets ? client.sets.length - sets.length : 0;
  const latest = client.measures[0];
  const { all = [] } = useAllWorn();
  const mine = all.filter((one) => one.client === client.id);
  const wanted = search.trim().toLowerCase();
  const worn = new Map(mine.map((one) => [one.set, one]));
  const whenOf = ({ id, document, changed_at }: StoredSet) =>
    worn.get(id)?.made_on ?? document.appointment?.on ?? today(new Date(changed_at));
  const found = sets
    ?.filter(
      (stored) =>
        wanted === '' || soughtIn({ kind: 'set', id: stored.id, stored }, undefined).includes(wanted),
    )
    .toSorted((a, b) => whenOf(b).localeCompare(whenOf(a)));
  const gone = sets ? mine.filter((one) => !sets.some(({ id }) => id === one.set)) : [];

  async function newSet() {
    const id = await addNewSet(latest?.plates);
    await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'hands' }));
  }

  /** The set once more, on the hands as they were measured last. */
  async function again({ document }: StoredSet) {
    const id = await addCopy(
      latest ? { ...document, nails: onPlates(document.nails, latest.plates) } : document,
    );
    await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'design' }));
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
      {merging && <MergeCard client={client} others={others} onClose={() => setMerging(false)} />}
      {deleting && <DeleteWhole client={client} onClose={() => setDeleting(false)} />}
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
        <MoreMenu
          label={`More for ${client.name}`}
          entries={[
            {
              key: 'export',
              words: 'Export the card whole',
              onPick: () => void exportClient(client).catch(notKept),
            },
            ...(others.length > 0
              ? [{ key: 'merge', words: 'Merge another card into it', onPick: () => setMerging(true) }]
              : []),
            {
              key: 'whole',
              words: 'Delete the card and all that was made',
              danger: true,
              onPick: () => setDeleting(true),
            },
            {
              key: 'remove',
              words: 'Remove the card',
              danger: true,
              onPick: () => void remove().catch(notKept),
            },
          ]}
        />
      </div>
      <div className={classes.texts}>
        <Textarea
          label="Not on these hands"
          description="Parted by commas. What a product is called or contains is told in the plan. It never leaves with a set."
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
        <span>
          <Button
            variant="default"
            leftSection={<IconPlus size={18} />}
            onClick={() => void once('new set', newSet).catch(notKept)}
          >
            {latest ? `New set with the measures of ${dayWords(latest.on)}` : 'New set'}
          </Button>
        </span>
      </div>
      {client.sets.length === 0 && <p className={classes.soft}>None yet.</p>}
      {client.sets.length > MANY && (
        <TextInput
          aria-label="Search these sets"
          placeholder="A colour, a technique, a look"
          maw={320}
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
      )}
      {found?.length === 0 && wanted !== '' && <p className={classes.soft}>No set says “{search}”.</p>}
      <ul className={classes.sets}>
        {found?.map((one) => (
          <li key={one.id}>
            <Go href={pathOf({ kind: 'set', id: one.id, view: 'design' })} aria-label={one.title}>
              <LittleHands set={one.document} width={SET_PX} />
              <b>{one.title}</b>
              <span className={classes.soft}>{aboutWords(one, undefined, worn.get(one.id))}</span>
            </Go>
            <span className={classes.under}>
              {worn.has(one.id) && (
                <Go href={pathOf({ kind: 'set', id: one.id, view: 'wear' })}>
                  How it wore: {notedWords(worn.get(one.id)!)}
                </Go>
              )}
              <Button
                variant="subtle"
                color="gray"
                size="compact-md"
                leftSection={<IconRepeat size={16} />}
                aria-label={`${one.title} again, with changes`}
                onClick={() => void once(`again ${one.id}`, () => again(one)).catch(notKept)}
              >
                Again, with changes
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {removed > 0 && (
        <p className={classes.soft}>
          {removed === 1 ? 'One more was removed.' : `${removed} more were removed.`}
        </p>
      )}
      {gone.length > 0 && (
        <ul className={classes.gone} aria-label="Worn, and the set itself removed">
          {gone.map((one) => (
            <li key={one.set}>
              {one.title}: {wornWords(one)}. Its set was removed, its record stays.
            </li>
          ))}
        </ul>
      )}
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

/** "worn since 1 Mar 2026, 2 noted". */
function wornWords(worn: Worn): string {
  const { made_on, off_on } = worn;
  const when = off_on
    ? `worn from ${dayWords(made_on)} to ${dayWords(off_on)}`
    : `worn since ${dayWords(made_on)}`;
  return `${when}, ${notedWords(worn)}`;
}

function notedWords(worn: Worn): string {
  const notes = notesOn(worn);
  return notes === 0 ? 'nothing noted' : `${notes} noted`;
}

function setsLeft(count: number): string {
  if (count === 0) return '';
  return count === 1 ? 'The set made for them stays.' : `The ${count} sets made for them stay.`;
}

/** As many are looked through at once; of more one is searched for. */
const MANY = 3;
/** Room for the two hands of each set, in px. */
const SET_PX = 250;

/** Some sets as they are stored, the latest first. */
function useSets(ids: readonly string[]): readonly StoredSet[] | undefined {
  const [sets, setSets] = useState<readonly StoredSet[]>();
  const key = ids.join(' ');
  useEffect(() => {
    let gone = false;
    storedSets(key.split(' ').filter(Boolean)).then((read) => {
      if (!gone) setSets(read);
    }, notKept);
    return () => {
      gone = true;
    };
  }, [key]);
  return sets;
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
