'use client';
import { Button } from '@mantine/core';
import { putBack, removeSet } from '@/data/sets';
import { notify } from '../kit/notify';

/** Removes a record, whole or broken, and offers to put it back. */
export async function removeAndOffer(title: string, record: unknown): Promise<void> {
  // By its own key, which in a broken record need not even be text.
  await removeSet((record as { id: string }).id);
  notify(
    <>
      “{title}” is removed.{' '}
      <Button variant="default" h={44} onClick={() => void putBack(record)}>
        Put it back
      </Button>
    </>,
  );
}
