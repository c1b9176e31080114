'use client';
import { Button, Drawer } from '@mantine/core';
import { useRuledOut } from '../clients/useRuledOut';
import { RuledOutNote } from '../clients/RuledOutNote';
import { PutRight } from './PutRight';
import { SetFinding } from './SetFinding';
import { useStudio, useStudioStore } from './studio';

/** Everything found in the set, one a cause, with its ways out. */
export function AllFindings({ onClose }: { onClose: () => void }) {
  const plan = useStudio((s) => s.plan);
  const planning = useStudio((s) => s.planning);
  const searched = useStudio((s) => s.searched);
  const searchFailed = useStudio((s) => s.searchFailed);
  const store = useStudioStore();
  const findings = plan?.findings ?? [];
  const { client, ruledOut } = useRuledOut();
  return (
    <Drawer opened onClose={onClose} position="right" size={460} title="What is found">
      {planning === 'making' && <p role="status">Planning …</p>}
      {planning === 'failed' && (
        <p>The set as it is now was not planned{plan ? ': this was found before' : ''}.</p>
      )}
      {planning === 'fresh' && findings.length + ruledOut.length === 0 && (
        <p>Nothing. Every step has what it needs.</p>
      )}
      <PutRight />
      {client && ruledOut.length > 0 && <RuledOutNote client={client} ruledOut={ruledOut} />}
      {findings.map((finding) => (
        <SetFinding key={finding.id} finding={finding} showNail />
      ))}
      {searchFailed && (
        <p role="alert">
          Ways out could not be tried.{' '}
          <Button variant="default" onClick={() => store.getState().replan()}>
            Try again
          </Button>
        </p>
      )}
      {!searchFailed && planning === 'fresh' && searched < 1 && findings.length > 0 && (
        <p role="status" style={{ color: 'var(--soft)' }}>
          Trying ways out …
        </p>
      )}
    </Drawer>
  );
}
