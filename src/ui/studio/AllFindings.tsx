'use client';
import { Drawer } from '@mantine/core';
import { FindingNote } from '../kit/FindingNote';
import { useStudio, useStudioStore } from './studio';

/** Everything found in the set, one a cause, with its ways out. */
export function AllFindings({ onClose }: { onClose: () => void }) {
  const plan = useStudio((s) => s.plan);
  const searched = useStudio((s) => s.searched);
  const store = useStudioStore();
  const findings = plan?.findings ?? [];
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={460}
      title="What is found"
      closeButtonProps={{ 'aria-label': 'Close', size: 44 }}
      styles={{ title: { fontFamily: 'var(--serif)', fontSize: 24, fontWeight: 600 } }}
    >
      {!plan && <p>Planning …</p>}
      {plan && findings.length === 0 && <p>Nothing. Every step has what it needs.</p>}
      {findings.map((finding) => (
        <FindingNote
          key={finding.id}
          finding={finding}
          showNail
          onFix={(fix) => store.getState().change(fix.change)}
        />
      ))}
      {searched < 1 && findings.length > 0 && (
        <p role="status" style={{ color: 'var(--soft)' }}>
          Trying ways out …
        </p>
      )}
    </Drawer>
  );
}
