'use client';
import { Button } from '@mantine/core';
import { useStudio, useStudioStore } from '../studio/studio';
import { Mirror } from './Mirror';
import { ReferencePicture } from './ReferencePicture';

/** What can be done with the nails in hand as they are, and the picture they are made after. */
export function NailActions() {
  const selected = useStudio((s) => s.selected);
  const { changeWorn } = useStudioStore().getState();
  return (
    <>
      {selected.length === 2 && (
        <Button
          variant="default"
          onClick={() => changeWorn({ kind: 'swap', nails: [selected[0]!, selected[1]!] })}
        >
          Swap these two
        </Button>
      )}
      <ReferencePicture />
      <Mirror />
    </>
  );
}
