'use client';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { workInMemory, type StoreState } from '@/data/store';
import { useTitle } from '../kit/useTitle';
import { Plain } from './Plain';

/** In the place of every view, where the browser's store cannot be used. */
export function StoreTrouble({ store }: { store: Extract<StoreState, { kind: 'failed' | 'blocked' }> }) {
  useTitle('The store');
  const [fault, setFault] = useState<string>();
  const ways = (
    <>
      <Button onClick={() => window.location.reload()}>Try again</Button>
      <Button
        variant="default"
        onClick={() => {
          workInMemory().catch((error: unknown) => setFault(messageOf(error)));
        }}
      >
        Go on without it
      </Button>
    </>
  );
  if (store.kind === 'blocked')
    return (
      <Plain title="Another tab has to be closed" ways={ways}>
        <p>
          It holds the store in an older version of this program. What it shows is kept; close it, or open it
          anew, and this page goes on by itself.
        </p>
      </Plain>
    );
  return (
    <Plain title="This browser’s store cannot be used" ways={ways}>
      <p>Your sets are kept there. What the browser says: {store.why}.</p>
      <p>
        Private windows, full disks and blocked site data are the usual reasons. Without the store you can
        still plan, open files and export; nothing else is kept.
      </p>
      {fault && <p role="alert">That did not work: {fault}.</p>}
    </Plain>
  );
}
