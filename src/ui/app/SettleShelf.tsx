'use client';
import { useEffect } from 'react';
import { today } from '@/core/model/days';
import { takenLines, type Stock } from '@/core/stock/held';
import { pastOf } from '@/core/stock/pastDate';
import type { Taking } from '@/core/stock/taking';
import { benchOf } from '@/data/benches';
import { clientOf } from '@/data/clients';
import { lastSeen } from '@/data/sets';
import { workedOut } from '@/data/takings';
import { beginWorn } from '@/data/worn';
import { doneOf } from '@/workers/planner';
import { useStock } from '../shelf/useStock';

/**
 * Takes off the shelf what sets that are done have used, and begins the record of how they are worn, as soon as it is worked out; one
 * that was cut short is taken up again.
 */
export function SettleShelf() {
  const { stock } = useStock();
  const open = stock?.takings.find(({ lines }) => lines === null);
  useEffect(() => {
    if (stock && open) settle(open, stock).catch(() => undefined);
  }, [open, stock]);
  return null;
}

async function settle(taking: Taking, stock: Stock): Promise<void> {
  const opened = await lastSeen(taking.set);
  // A set that is gone, or cannot be read, took nothing that is known.
  if (!opened.ok) return workedOut(taking, []);
  const { set } = opened.value;
  const on = today(new Date(taking.at));
  const past = stock.shelf.filter((item) => pastOf(item, on)?.gone).map(({ product }) => product.id);
  const client = (await clientOf(set.id))?.id ?? null;
  const { needs, worn } = await doneOf(set, { bench: await benchOf(set.id), on, client, past });
  await beginWorn(worn);
  await workedOut(taking, takenLines(needs, stock));
}
