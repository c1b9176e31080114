'use client';
import { Button } from '@mantine/core';
import { downloadSet } from '../kit/download';
import { useStudioStore } from './studio';

/** In the place of a view that could not be loaded; the set stays open around it. */
export function ViewLost({ again }: { again: () => void }) {
  const store = useStudioStore();
  return (
    <section role="alert" style={{ padding: 32, maxWidth: 640 }}>
      <h2>This view could not be loaded</h2>
      <p>The program’s server was not reached. The set is kept, and the other views go on.</p>
      <p style={{ display: 'flex', gap: 10 }}>
        <Button onClick={again}>Try again</Button>
        <Button variant="default" onClick={() => downloadSet(store.getState().set)}>
          Export the set
        </Button>
      </p>
    </section>
  );
}
