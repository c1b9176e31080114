'use client';
import { Button } from '@mantine/core';
import { putBack, rowToBin } from '@/data/bin';
import { isWorn } from '@/data/worn';
import type { BrokenRow } from '@/data/rows';
import { notify, notKept } from './notify';

/** Puts a record, whole or broken, into the bin, and offers to put it back. By its own key, which need not even be text. */
export async function removeAndOffer(row: Pick<BrokenRow, 'table' | 'key' | 'title'>): Promise<void> {
  const key = await rowToBin(row);
  if (key === undefined) return;
  notify(
    <>
      “<bdi>{row.title}</bdi>” is in the bin.
      {row.table === 'sets' && (await isWorn(row.key)) ? ' How it was worn stays on record. ' : ' '}
      <Button variant="default" onClick={() => void putBack(key).catch(notKept)}>
        Put it back
      </Button>
    </>,
  );
}
