'use client';
import { Button, Modal, Radio } from '@mantine/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { faultLine } from '@/core/model/result';
import { takeIn } from '@/data/backup';
import { notify, notKept } from '../kit/notify';
import type { ReadBackup } from './readFile';
import classes from './SetsView.module.css';

type Differing = 'both' | 'backup';

/** What a backup would bring, before anything is stored. */
export function BackupChoice({ read, onClose }: { read: ReadBackup; onClose: () => void }) {
  const [differing, setDiffering] = useState<Differing>('both');
  const [fault, setFault] = useState<string>();
  const { fresh, same, differing: other, clients, products, supplies } = read.preview;
  const titles = (sets: ReadBackup['preview']['fresh']) =>
    sets.map((one) => `“${one.document.title}”`).join(', ');
  const brings = fresh.length + other.length;
  const more = [
    ...counted(brings, 'set', 'sets'),
    ...counted(clients.length, 'client', 'clients'),
    ...counted(products.length, 'product', 'products'),
    ...counted(supplies.length, 'lamp, box or tool', 'lamps, boxes and tools'),
  ].join(', ');

  async function take() {
    try {
      await takeIn(read.backup, differing);
      onClose();
      notify(`Taken in: ${more}.`);
    } catch (error) {
      setFault(messageOf(error));
    }
  }

  return (
    <Modal opened onClose={onClose} title="Take in a backup" size="lg" centered>
      <p>
        {read.name}, made {dayjs(read.backup.made_at).format('D MMMM YYYY, HH:mm')}.
      </p>
      <ul className={classes.preview}>
        {fresh.length > 0 && (
          <li>
            <b>Not here yet, added:</b> {titles(fresh)}
          </li>
        )}
        {same.length > 0 && (
          <li>
            <b>Here just so, left alone:</b> {titles(same)}
          </li>
        )}
        {other.length > 0 && (
          <li>
            <b>Here, and other than in the backup:</b> {titles(other)}
          </li>
        )}
        {clients.length > 0 && (
          <li>
            <b>Clients’ cards, added:</b> {clients.map((one) => `“${one.name}”`).join(', ')}
          </li>
        )}
        {supplies.length > 0 && (
          <li>
            <b>Lamps, boxes, pieces and tools, put on the shelf:</b> {supplies.length}
          </li>
        )}
        {products.length > 0 && (
          <li>
            <b>Products, put on the shelf:</b> {products.length}
          </li>
        )}
        {read.faults.map((one) => (
          <li key={faultLine(one)}>
            <b>Cannot be read, left out:</b> {faultLine(one)}
          </li>
        ))}
        {read.backup.records.length > 0 && (
          <li>
            <b>Could not be read when it was made, left out:</b>{' '}
            {read.backup.records.map((one) => `“${one.title}”`).join(', ')}
          </li>
        )}
      </ul>
      {other.length > 0 && (
        <Radio.Group
          value={differing}
          onChange={(value) => setDiffering(value as Differing)}
          label="Where both differ"
          mb="md"
        >
          <Radio mt="xs" value="both" label="Keep both: the backup’s as a copy" />
          <Radio mt="xs" value="backup" label="Take the backup’s; what is here goes into the bin" />
        </Radio.Group>
      )}
      {fault && <p role="alert">Nothing was taken in: {fault}.</p>}
      <Button fullWidth h={44} disabled={!more} onClick={() => void take().catch(notKept)}>
        {more ? `Take in ${more}` : 'Nothing to take in'}
      </Button>
    </Modal>
  );
}

/** "2 sets", or nothing where there are none. */
function counted(count: number, one: string, many: string): string[] {
  return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
}
