'use client';
import { Button, Modal } from '@mantine/core';
import type { CourseRound } from '@/core/bench/log';
import type { NailName } from '@/core/model/names';
import { lineWords } from '@/core/timing/rounds';
import { whoseOf } from '../kit/whose';
import classes from './BenchView.module.css';

interface Props {
  rounds: readonly CourseRound[];
  worked: NailName[];
  onPick: (operation: string) => void;
  onClose: () => void;
}

/** So many are read at a time. */
const MOST = 8;

/** Something else is done first: what nothing else has to go before on its nails. */
export function AnotherFirst({ rounds, worked, onPick, onClose }: Props) {
  return (
    <Modal opened onClose={onClose} title="Another first" size={560} centered>
      {rounds.length === 0 && <p>Nothing else can be done before this.</p>}
      <div className={classes.savings}>
        {rounds.slice(0, MOST).map((round) => (
          <Button
            key={round.operations[0]}
            variant="default"
            size="md"
            justify="flex-start"
            onClick={() => {
              onPick(round.operations[0]!);
              onClose();
            }}
          >
            {whoseOf(round, worked)}: {lineWords(round)}
          </Button>
        ))}
      </div>
    </Modal>
  );
}
