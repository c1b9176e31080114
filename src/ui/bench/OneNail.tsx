'use client';
import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { leftOutOn, spillWiped } from '@/core/bench/instead';
import type { CourseRound } from '@/core/bench/log';
import type { Change } from '@/core/document/changes';
import { upperFirst } from '@/core/model/letters';
import { nailWords } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';
import type { Going } from './GoOn';
import classes from './BenchView.module.css';

interface Props {
  plan: Plan;
  now: CourseRound;
  going: Going;
  onClose: () => void;
}

/** Something happened on one nail of this round: which, and what; the rest is planned with it and shown. */
export function OneNail({ plan, now, going, onClose }: Props) {
  const [nail, setNail] = useState(now.nails[0]!);
  const words = nailWords(nail);
  const ask = (why: string, change: Change | undefined) => {
    going.ask(why, change);
    onClose();
  };
  const operations = plan.operations[nail];
  return (
    <Modal opened onClose={onClose} title="On one nail" size={480} centered>
      <div className={classes.nails} role="group" aria-label="Which nail">
        {now.nails.map((one) => (
          <Button
            key={one}
            variant={one === nail ? 'filled' : 'default'}
            aria-pressed={one === nail}
            onClick={() => setNail(one)}
          >
            {upperFirst(nailWords(one))}
          </Button>
        ))}
      </div>
      <div className={classes.savings}>
        {now.kind === 'work' && (
          <Button
            variant="default"
            onClick={() => ask(`Left out on the ${words}`, leftOutOn(operations, now.operations))}
          >
            Leave this out there
          </Button>
        )}
        <Button
          variant="default"
          onClick={() => ask(`A spill on the ${words}`, spillWiped(operations, now.operations))}
        >
          A spill: wipe it
        </Button>
        <Button
          variant="default"
          c="var(--stop)"
          onClick={() => ask(`Without the ${words}`, { kind: 'in-work', nails: [nail], in_work: false })}
        >
          It broke: go on without it
        </Button>
      </div>
    </Modal>
  );
}
