'use client';
import { Button } from '@mantine/core';
import { go } from '../kit/Go';
import { useTitle } from '../kit/useTitle';
import { Plain } from './Plain';

/** An address that leads nowhere. */
export function NotThere() {
  useTitle('Nothing here');
  return (
    <Plain
      title="There is nothing at this address"
      ways={
        <Button h={44} onClick={() => go('/')}>
          To the sets
        </Button>
      }
    >
      <p>The address may be mistyped. Your sets are where they were.</p>
    </Plain>
  );
}
