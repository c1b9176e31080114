'use client';
import { Button } from '@mantine/core';
import { useNetwork } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { backupOverdue_days } from '@/data/backup';
import { keeping, type Keeping as Kept } from '@/data/store';
import classes from './SetsView.module.css';

/** At the foot of the list: where the sets are kept, and whether it is time for a backup. */
export function Keeping({ onBackUp }: { onBackUp: () => void }) {
  const [kept, setKept] = useState<Kept>();
  const [overdue, setOverdue] = useState<number>();
  const { online } = useNetwork();
  useEffect(() => {
    let stale = false;
    Promise.all([keeping(), backupOverdue_days()]).then(
      ([now, days]) => {
        if (stale) return;
        setKept(now);
        setOverdue(days);
      },
      // A line at the foot is no reason to stop.
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, []);
  if (!kept) return null;
  return (
    <footer className={classes.keeping}>
      <p>
        {!online && <b>Offline: everything goes on as it does. </b>}
        Kept in this browser, on this device.{' '}
        {kept.kept
          ? 'It has promised not to clear them by itself.'
          : 'It may clear them when room runs short: a backup is kept where you put it.'}
        {overdue !== undefined && <b> Nothing was backed up for {overdue} days.</b>}
      </p>
      <Button variant={overdue === undefined ? 'subtle' : 'filled'} onClick={onBackUp}>
        Back up everything
      </Button>
    </footer>
  );
}
