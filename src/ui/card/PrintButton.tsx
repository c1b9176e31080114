'use client';
import { Button } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { useStudio } from '../studio/studio';

/** Prints the sheet that is shown, once its plan is the last one. */
export function PrintButton() {
  // Two sheets of one set must not differ: what is printed is what a long search has found.
  const final = useStudio((s) => s.planning === 'fresh' && (s.settled || s.searchFailed));
  return (
    <Button
      leftSection={<IconPrinter size={18} />}
      disabled={!final}
      title={final ? undefined : 'Printed once the search for the best order is done'}
      onClick={() => window.print()}
    >
      Print
    </Button>
  );
}
