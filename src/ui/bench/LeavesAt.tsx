'use client';
import { Button, Modal, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Begun } from '@/core/timing/problem';
import type { SetDocument } from '@/core/document/document';
import type { Shortening } from '@/core/plan/shorten';
import { shorteningsOf } from '@/workers/planner';
import { timeWords } from '@/core/model/times';
import { hourWords } from '../kit/words';
import { notDrawn } from '../kit/notDrawn';
import type { Going } from './GoOn';
import classes from './BenchView.module.css';

interface Props {
  set: SetDocument;
  begun: Begun;
  /** When the sitting ends as it is planned, by the clock. */
  ends: Date;
  going: Going;
  onClose: () => void;
}

/** When the client has to leave, beside when the sitting ends; what of the rest could go or be simpler, each planned. */
export function LeavesAt({ set, begun, ends, going, onClose }: Props) {
  const [at, setAt] = useState(hourWords(ends));
  const [asked] = useState({ set, begun });
  const [list, setList] = useState<Shortening[]>();
  useEffect(() => {
    let stale = false;
    const ask = () => {
      shorteningsOf(asked.set, asked.begun).then(
        (found) => {
          if (!stale) setList(found);
        },
        (error: unknown) => {
          if (!stale) notDrawn(error, ask);
        },
      );
    };
    ask();
    return () => {
      stale = true;
    };
  }, [asked]);
  const leaves = timeOfHour(at, ends);
  const over_s = leaves ? (ends.getTime() - leaves.getTime()) / 1000 : 0;
  return (
    <Modal opened onClose={onClose} title="The client has to leave" size={560} centered>
      <TextInput
        type="time"
        label="At"
        value={at}
        data-autofocus
        onChange={({ currentTarget }) => setAt(currentTarget.value)}
      />
      <p role="status">
        As it is planned it ends at {hourWords(ends)}
        {over_s > 30 ? `, ${timeWords(over_s)} too late.` : ': in time.'}
      </p>
      <h3>What would save time from here</h3>
      {!list && <p>Each is planned …</p>}
      {list?.length === 0 && <p>Nothing of what is still to do can be simpler by half a minute.</p>}
      <ul className={classes.savings}>
        {list?.map((one) => (
          <li key={one.words}>
            <Button
              variant="default"
              fullWidth
              justify="space-between"
              rightSection={`saves ${timeWords(one.saves_s)}`}
              onClick={() => {
                going.ask(one.words, one.change);
                onClose();
              }}
            >
              {one.words}
            </Button>
          </li>
        ))}
      </ul>
    </Modal>
  );
}

/** The next such hour that is not long before another: an evening may go past midnight. */
function timeOfHour(hour: string, near: Date): Date | undefined {
  const match = /^(\d\d):(\d\d)$/.exec(hour);
  if (!match) return undefined;
  const date = new Date(near);
  date.setHours(Number(match[1]), Number(match[2]), 0, 0);
  const off_h = (near.getTime() - date.getTime()) / 3_600_000;
  if (off_h > 12) date.setDate(date.getDate() + 1);
  if (off_h < -12) date.setDate(date.getDate() - 1);
  return date;
}
