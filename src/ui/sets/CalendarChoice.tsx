'use client';
import { Button, Checkbox, Modal } from '@mantine/core';
import { useState } from 'react';
import type { CalendarRead } from '@/core/files/calendarIn';
import { appointmentWords, type Appointment } from '@/core/model/appointment';
import type { Client } from '@/core/model/client';
import { messageOf } from '@/core/model/messageOf';
import type { Worn } from '@/core/model/wear';
import { fromCalendar, type FromCalendar } from '@/core/wear/fromCalendar';
import { growthOn } from '@/core/wear/growth';
import { infillOf } from '@/core/wear/infill';
import type { Planned } from '@/core/wear/week';
import { makeFor } from '@/data/clients';
import { addSet, changeStored, lastSeen } from '@/data/sets';
import { addNewSet } from '@/data/starting';
import { notify } from '../kit/notify';
import { useAllWorn } from '../wear/useWorn';
import { CALENDAR_DAYS } from './calendarDays';
import classes from './SetsView.module.css';

interface Props {
  name: string;
  read: CalendarRead;
  sets: readonly Planned[];
  clients: readonly Client[];
  onClose: () => void;
}

/** What a calendar would change here, before anything is stored: each is chosen. */
export function CalendarChoice(props: Props) {
  const { all: worn } = useAllWorn();
  return worn ? <Choices {...props} worn={worn} /> : null;
}

function Choices({ name, read, sets, worn, clients, onClose }: Props & { worn: readonly Worn[] }) {
  const [all] = useState(() => fromCalendar(read.events, sets, worn, clients));
  // What was moved there is wanted here; of what else stands in a calendar nobody knows.
  const [chosen, setChosen] = useState(() => new Set(all.filter(({ kind }) => kind !== 'new')));
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  const toggle = (one: FromCalendar) => {
    const next = new Set(chosen);
    if (!next.delete(one)) next.add(one);
    setChosen(next);
  };
  async function take() {
    setBusy(true);
    let done = 0;
    try {
      for (const one of chosen) {
        await takeOne(one, worn, clients);
        done += 1;
      }
      onClose();
      notify(`${done === 1 ? 'One appointment is' : `${done} appointments are`} taken in.`);
    } catch (error) {
      setFault(`${messageOf(error)}. ${done} of ${chosen.size} were taken in before that.`);
    } finally {
      setBusy(false);
    }
  }
  return (
    <Modal opened onClose={onClose} title="Take in a calendar" size="lg" centered>
      <p>
        {name}: the next {CALENDAR_DAYS} days.{' '}
        {all.length === 0 ? 'Nothing in it would change anything here.' : ''}
      </p>
      <ul className={classes.preview}>
        {all.map((one, i) => (
          <li key={`${one.event.uid} ${one.event.on} ${i}`}>
            <Checkbox label={wordsOf(one)} checked={chosen.has(one)} onChange={() => toggle(one)} />
          </li>
        ))}
      </ul>
      {read.broken > 0 && (
        <p className={classes.soft}>
          {read.broken === 1 ? 'One entry is' : `${read.broken} entries are`} no appointment anybody could
          keep, and left out.
        </p>
      )}
      {read.cut && <p className={classes.soft}>There are more; these are the first.</p>}
      {fault && <p role="alert">{fault}</p>}
      <Button
        fullWidth
        loading={busy}
        disabled={chosen.size === 0}
        onClick={() => void take().catch((error: unknown) => setFault(messageOf(error)))}
      >
        {chosen.size === 0 ? 'Nothing chosen' : `Take in ${chosen.size}`}
      </Button>
    </Modal>
  );
}

function appointmentOf({ event: { on, at, until } }: FromCalendar): Appointment {
  return { on, at, ...(until === null ? {} : { until }) };
}

function wordsOf(one: FromCalendar): string {
  const when = appointmentWords(appointmentOf(one));
  const zone = one.event.zone_unknown
    ? ` (its zone “${one.event.zone_unknown}” is not known here: taken as it stands)`
    : '';
  switch (one.kind) {
    case 'moved': {
      const before = one.set.appointment ? `, not ${appointmentWords(one.set.appointment)}` : '';
      return `“${one.set.title}” is ${when}${before}${zone}`;
    }
    case 'infill':
      return `“${one.worn.title}”: its infill is ${when}${zone}`;
    case 'new':
      return `${one.event.title}, ${when}: a new set${one.client ? ` for ${one.client.name}` : ''}${zone}`;
  }
}

async function takeOne(one: FromCalendar, worn: readonly Worn[], clients: readonly Client[]): Promise<void> {
  const appointment = appointmentOf(one);
  if (one.kind === 'moved') {
    const { appointment: before } = one.set;
    await changeStored(one.set.id, (set) => ({ ...set, appointment: { ...before, ...appointment } }));
    return;
  }
  if (one.kind === 'infill') {
    const seen = await lastSeen(one.worn.set);
    if (!seen.ok) throw new Error(`“${one.worn.title}” is not here any more: plan it anew`);
    const next = infillOf(seen.value.set, one.worn, appointment.on, growthOn(one.worn, worn));
    const id = await addSet({ ...next, appointment });
    if (one.worn.client) await makeFor(id, one.worn.client);
    return;
  }
  const client = clients.find(({ id }) => id === one.client?.id);
  const id = await addNewSet(client?.measures[0]?.plates, appointment);
  if (client) await makeFor(id, client.id);
}
