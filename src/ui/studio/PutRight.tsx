'use client';
import { Button } from '@mantine/core';
import { IconWand } from '@tabler/icons-react';
import { useState } from 'react';
import { nailsOf } from '@/core/judge/finding';
import { NAILS, type NailName } from '@/core/model/names';
import { late } from '../kit/late';
import { useStudio } from './studio';

const PutRightChoice = late(
  () => import('./PutRightChoice').then((module) => module.PutRightChoice),
  'Put it right',
);

/** Asks for the smallest change that clears what is found on a nail, or on all of them; nothing where nothing is. */
export function PutRight({ nail }: { nail?: NailName }) {
  const findings = useStudio((s) => s.plan?.findings);
  const planning = useStudio((s) => s.planning);
  const [nails, setNails] = useState<readonly NailName[]>();
  const found = (findings ?? []).some(
    (one) => one.severity !== 'note' && (nail ? nailsOf(one).includes(nail) : nailsOf(one).length > 0),
  );
  return (
    <>
      {found && planning === 'fresh' && (
        <Button
          variant="default"
          fullWidth
          mb="md"
          leftSection={<IconWand size={18} />}
          onClick={() => setNails(nail ? [nail] : NAILS)}
        >
          {nail ? 'Put this nail right' : 'Put the set right'}
        </Button>
      )}
      {nails && <PutRightChoice nails={nails} onClose={() => setNails(undefined)} />}
    </>
  );
}
