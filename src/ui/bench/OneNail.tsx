'use client';
import { Button, Modal } from '@mantine/core';
import { Fragment, useState } from 'react';
import { againOn, leftOutOn, spillWiped } from '@/core/bench/instead';
import type { CourseRound } from '@/core/bench/log';
import type { Progress } from '@/core/bench/progress';
import type { Change } from '@/core/document/changes';
import { upperFirst } from '@/core/model/letters';
import { fingerOf, handNails, HANDS, nailWords, type NailName } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';
import type { Going } from './GoOn';
import classes from './BenchView.module.css';

interface Props {
  plan: Plan;
  now: CourseRound;
  progress: Progress;
  worked: NailName[];
  going: Going;
  onClose: () => void;
}

/** Something happened on one nail: which, and what; the rest is planned with it and shown. */
export function OneNail({ plan, now, progress, worked, going, onClose }: Props) {
  const [nail, setNail] = useState(now.nails[0]!);
  const words = nailWords(nail);
  const ask = (why: string, change: Change | undefined, undone: readonly string[] = []) => {
    going.ask(why, change, undone);
    onClose();
  };
  const operations = plan.operations[nail];
  const again = againOn(operations, progress.ended_ms);
  const isInRound = now.nails.includes(nail);
  return (
    <Modal opened onClose={onClose} title="On one nail" size={560} centered>
      <div className={classes.tenNails} role="group" aria-label="Which nail">
        {HANDS.map((hand) => (
          <Fragment key={hand}>
            <b>{upperFirst(hand)}</b>
            {handNails(hand).map((one) => (
              <Button
                key={one}
                variant={one === nail ? 'filled' : 'default'}
                px={4}
                size="md"
                disabled={!worked.includes(one)}
                aria-label={upperFirst(nailWords(one))}
                aria-pressed={one === nail}
                onClick={() => setNail(one)}
              >
                {upperFirst(fingerOf(one))}
              </Button>
            ))}
          </Fragment>
        ))}
      </div>
      <div className={classes.savings}>
        {again && (
          <Button
            variant="default"
            size="md"
            onClick={() => ask(`Again on the ${words}`, again.change, again.undone)}
          >
            {again.words}
          </Button>
        )}
        {now.kind === 'work' && isInRound && (
          <Button
            size="md"
            variant="default"
            onClick={() => ask(`Left out on the ${words}`, leftOutOn(operations, now.operations))}
          >
            Leave this out there
          </Button>
        )}
        {isInRound && (
          <Button
            variant="default"
            size="md"
            onClick={() => ask(`A spill on the ${words}`, spillWiped(operations, now.operations))}
          >
            A spill: wipe it
          </Button>
        )}
        <Button
          variant="default"
          size="md"
          c="var(--stop)"
          onClick={() => ask(`Without the ${words}`, { kind: 'in-work', nails: [nail], in_work: false })}
        >
          It broke: go on without it
        </Button>
      </div>
    </Modal>
  );
}
