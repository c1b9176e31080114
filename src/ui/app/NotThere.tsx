'use client';
import { Button } from '@mantine/core';
import { useTitle } from '../kit/useTitle';
import { Plain } from './Plain';

/** An address that leads nowhere. */
export function NotThere() {
  useTitle('Nothing here');
  return (
    <Plain
      title="There is nothing at this address"
      ways={
        // It may stand outside the program, where only the browser leads on.
        <Button component="a" href="/">
          To the sets
        </Button>
      }
    >
      <p>The address may be mistyped. Your sets are where they were.</p>
    </Plain>
  );
}
