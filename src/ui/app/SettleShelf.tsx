'use client';
import { useEffect } from 'react';
import { takenLines } from '@/core/stock/held';
import type { Taking } from '@/core/stock/taking';
import { lastSeen } from '@/data/sets';
import { workedOut } from '@/data/takings';
import { needsFor } from '@/workers/planner';
import { useStock } from '../shelf/useStock';

/** Takes off the shelf what sets that are done have used, as soon as it is worked out; one that was cut short is taken up again. */
export function SettleShelf() {
  const { stock } = useStock();
  const open = stock?.takings.find(({ lines }) => lines === null);
  useEffect(() => {
    if (stock && open) settle(open, stock).catch(() => undefined);
  }, [open, stock]);
  return null;
}

async function settle(taking: Taking, stock: Parameters<typeof takenLines>[1]): Promise<void> {
  const opened = await lastSeen(taking.set);
  // A set that is gone, or cannot be read, took nothing that is known.
  const needs = opened.ok ? await needsFor(opened.value.set) : [];
  await workedOut(taking, takenLines(needs, stock));
}
