'use client';
import { Button } from '@mantine/core';
import { putBack, toBin } from '@/data/bin';
import { notify, notKept } from '../kit/notify';

/** Puts a record, whole or broken, into the bin, and offers to put it back. By its own key, which need not even be text. */
export async function removeAndOffer(title: string, id: string): Promise<void> {
  const key = await toBin(id);
  if (key === undefined) return;
  notify(
    <>
      “<bdi>{title}</bdi>” is in the bin.{' '}
      <Button variant="default" h={44} onClick={() => void putBack(key).catch(notKept)}>
        Put it back
      </Button>
    </>,
  );
}
