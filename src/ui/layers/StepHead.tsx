'use client';
import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Operation } from '@/core/craft/operation';
import { lowerFirst } from '@/core/model/letters';
import type { Kept, WhyHere as Why } from '@/core/plan/whyHere';
import { whyStepHere } from '@/workers/planner';
import { notDrawn } from '../kit/notDrawn';
import { useSettled } from '../studio/studio';
import classes from './LayersView.module.css';

/** What a step is, and why it stands where it does: asked of the nail itself, by moving it and looking what is found. `ends`: nothing is beside it on one side. */
export function StepHead({ operation, ends }: { operation: Operation; ends: boolean }) {
  const set = useSettled((now) => now);
  const [told, setTold] = useState<{ id: string; of: unknown; why: Why }>();
  const ask = () => {
    whyStepHere(set, operation.nail, operation.id).then(
      (why) => setTold({ id: operation.id, of: set, why }),
      (error: unknown) => notDrawn(error, ask),
    );
  };
  // What was said of another step, or of the set as it was, is not said of this one.
  const why = told && told.id === operation.id && told.of === set ? told.why : undefined;
  return (
    <>
      <div className={classes.detailHead}>
        <h3>{operation.words}</h3>
        {!why && (
          <Button variant="default" onClick={ask}>
            Why here?
          </Button>
        )}
      </div>
      <p>{operation.reason}</p>
      {why && (
        <div className={classes.why} role="status">
          {sides(why).map(([side, kept]) => (
            <p key={side}>
              <b>
                Not {side} “{kept.past}”:
              </b>{' '}
              {lowerFirst(kept.message)} {kept.reason}
            </p>
          ))}
          {sides(why).length === 0 && (
            <p>Nothing holds it here: it may stand some places earlier or later.</p>
          )}
          {sides(why).length === 1 && !ends && <p>To the other side it is free.</p>}
        </div>
      )}
    </>
  );
}

function sides({ earlier, later }: Why): [string, Kept][] {
  return [
    ...(earlier ? [['before', earlier] as [string, Kept]] : []),
    ...(later ? [['after', later] as [string, Kept]] : []),
  ];
}
