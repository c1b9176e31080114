'use client';
import { Button, Modal } from '@mantine/core';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { BIN_DAYS, dropFromBin, putBack, watchBin } from '@/data/bin';
import type { Binned } from '@/data/records';
import { notify } from '../kit/notify';
import classes from './SetsView.module.css';

/** What was removed, for as long as it can be put back. */
export function BinPanel({ onClose }: { onClose: () => void }) {
  const [binned, setBinned] = useState<Binned[]>();
  useEffect(() => watchBin(setBinned), []);
  const trying = (work: Promise<void>) =>
    void work.catch((error: unknown) => notify(messageOf(error), 'That was not done'));
  return (
    <Modal opened onClose={onClose} title="Bin" size="lg" centered>
      {binned?.length === 0 && <p>Nothing was removed in the last {BIN_DAYS} days.</p>}
      <ul className={classes.binned}>
        {binned?.map((one) => (
          <li key={one.key}>
            <div>
              <h3>
                <bdi>{one.title}</bdi>
              </h3>
              <p>Removed {dayjs(one.removed_at).format('D MMMM, HH:mm')}</p>
            </div>
            <Button variant="default" onClick={() => trying(putBack(one.key))}>
              Put back
            </Button>
            <Button variant="subtle" color="red" onClick={() => trying(dropFromBin(one.key))}>
              Remove for good
            </Button>
          </li>
        ))}
      </ul>
      {binned && binned.length > 0 && (
        <p className={classes.hint}>What is here goes for good {BIN_DAYS} days after it was removed.</p>
      )}
    </Modal>
  );
}
