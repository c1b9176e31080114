'use client';
import { Button } from '@mantine/core';
import { downloadSet } from '../kit/download';
import { useStudio, useStudioStore } from './studio';
import classes from './StudioShell.module.css';

/** Over every view, where the set was removed in another tab: nothing is brought back in silence. */
export function Gone({ onPutBack }: { onPutBack: () => void }) {
  const gone = useStudio((s) => s.saving === 'gone');
  const store = useStudioStore();
  if (!gone) return null;
  return (
    <section className={classes.failed} role="alert">
      <p>
        <b>This set was removed in another tab.</b> What you see here is not kept any more.
      </p>
      <Button onClick={onPutBack}>Keep it after all</Button>
      <Button variant="default" onClick={() => downloadSet(store.getState().set)}>
        Export the set
      </Button>
    </section>
  );
}
