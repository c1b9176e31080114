'use client';
import { Button, Modal, Radio } from '@mantine/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { faultLine } from '@/core/model/result';
import { takeIn } from '@/data/backup';
import { notify } from '../kit/notify';
import type { ReadBackup } from './readFile';
import classes from './SetsView.module.css';

type Differing = 'both' | 'backup';

/** What a backup would bring, before anything is stored. */
export function BackupChoice({ read, onClose }: { read: ReadBackup; onClose: () => void }) {
  const [differing, setDiffering] = useState<Differing>('both');
  const [fault, setFault] = useState<string>();
  const { fresh, same, differing: other } = read.preview;
  const titles = (sets: ReadBackup['preview']['fresh']) =>
    sets.map((one) => `“${one.document.title}”`).join(', ');
  const brings = fresh.length + other.length;

  async function take() {
    try {
      await takeIn(read.backup, differing);
      onClose();
      notify(`${brings} ${brings === 1 ? 'set was' : 'sets were'} taken in.`);
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
      <Button fullWidth h={44} disabled={brings === 0} onClick={() => void take()}>
        {brings === 0 ? 'Nothing to take in' : `Take in ${brings} ${brings === 1 ? 'set' : 'sets'}`}
      </Button>
    </Modal>
  );
}
