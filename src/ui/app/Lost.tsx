'use client';
import { Button } from '@mantine/core';
import { Plain } from './Plain';

/** In the place of a view that cannot be loaded. */
export function Lost({ again }: { again: () => void }) {
  return (
    <Plain
      title="This part could not be loaded"
      ways={
        <>
          <Button onClick={again}>Try again</Button>
          <Button variant="default" onClick={() => window.location.reload()}>
            Open the page anew
          </Button>
        </>
      }
    >
      <p>The program’s server was not reached. All that you made is kept in this browser.</p>
    </Plain>
  );
}
