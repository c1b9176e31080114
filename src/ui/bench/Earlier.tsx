'use client';
import { Button, Modal } from '@mantine/core';
import { clockWords, timeWords } from '@/core/model/times';
import classes from './BenchView.module.css';

interface Props {
  /** What is shown as to be done now. */
  words: string;
  now_ms: number;
  /** Before this it cannot have been done. */
  last_ms: number;
  begun_ms: number;
  onPick: (at_ms: number) => void;
  onClose: () => void;
}

const AGO_S = [10, 20, 30, 45, 60, 90, 120, 180, 300, 600, 1200];

/** A press that was forgotten: how long ago it was done. */
export function Earlier({ words, now_ms, last_ms, begun_ms, onPick, onClose }: Props) {
  const could = AGO_S.filter((ago_s) => now_ms - ago_s * 1000 > last_ms);
  return (
    <Modal opened onClose={onClose} title="It was done before" size={480} centered>
      <p>{words}</p>
      {could.length === 0 && <p>The press before this one was only just now.</p>}
      <div className={classes.nails}>
        {could.map((ago_s) => (
          <Button
            key={ago_s}
            variant="default"
            size="lg"
            onClick={() => {
              onPick(now_ms - ago_s * 1000);
              onClose();
            }}
          >
            {timeWords(ago_s)} ago, at {clockWords((now_ms - ago_s * 1000 - begun_ms) / 1000)}
          </Button>
        ))}
      </div>
    </Modal>
  );
}
