'use client';
import { useEffect, useState } from 'react';
import { watchBroken } from '@/data/broken';
import type { BrokenRow } from '@/data/rows';
import type { TableName } from '@/data/tables';
import { unforeseen } from './unforeseen';

/** Rows of some tables that cannot be read, as they are; `tables` has to be the same list at every call. */
export function useBroken(tables: readonly TableName[]): BrokenRow[] {
  const [broken, setBroken] = useState<BrokenRow[]>([]);
  useEffect(() => watchBroken(tables, setBroken, unforeseen), [tables]);
  return broken;
}
