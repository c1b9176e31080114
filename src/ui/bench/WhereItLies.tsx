'use client';
import { useMemo } from 'react';
import type { Operation } from '@/core/craft/operation';
import type { SetDocument } from '@/core/document/document';
import { stepMap } from '@/core/picture/stepMap';
import { MapOf } from '../kit/MapOf';
import classes from './BenchView.module.css';

const PX_PER_MM = 7;

/** Where on its nail a step lies, in mm; nothing for what is done all over. */
export function WhereItLies({ set, operation }: { set: SetDocument; operation: Operation | undefined }) {
  const map = useMemo(() => operation && stepMap(set, operation), [set, operation]);
  return map ? (
    <div className={classes.map}>
      <MapOf map={map} px_per_mm={PX_PER_MM} />
    </div>
  ) : null;
}
