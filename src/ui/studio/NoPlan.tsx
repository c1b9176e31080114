'use client';
import { useStudio } from './studio';

/** Where a view has no plan to show: whether one is being made. */
export function NoPlan() {
  const planning = useStudio((s) => s.planning);
  return (
    <p role="status" style={{ padding: 24, margin: 0 }}>
      {planning === 'failed' ? 'There is no plan to show.' : 'Planning …'}
    </p>
  );
}
