'use client';
import { Button } from '@mantine/core';
import { downloadSet } from '../kit/download';
import { useStudio, useStudioStore } from './studio';
import classes from './StudioShell.module.css';

/** Over every view, where the set as it is now could not be planned: why, and two ways on. */
export function PlanFailed() {
  const planning = useStudio((s) => s.planning);
  const fault = useStudio((s) => s.planFault);
  const plan = useStudio((s) => s.plan);
  const store = useStudioStore();
  if (planning !== 'failed') return null;
  const { set, replan } = store.getState();
  return (
    <section className={classes.failed} role="alert">
      <p>
        <b>This set could not be planned:</b> {fault}.{' '}
        {plan ? 'What is shown greyed is from before.' : 'Nothing is known of its steps, time or faults.'}
      </p>
      <Button onClick={replan}>Try again</Button>
      <Button variant="default" onClick={() => downloadSet(set)}>
        Export the set
      </Button>
    </section>
  );
}
