'use client';
import { useEffect, useReducer } from 'react';
import { today } from '@/core/model/days';
import { takenLines } from '@/core/stock/held';
import { bottlesOn } from '@/core/stock/bottles';
import type { Taking } from '@/core/stock/taking';
import { benchOf } from '@/data/benches';
import { clientOf } from '@/data/clients';
import { lastSeen } from '@/data/sets';
import { stockNow } from '@/data/stock';
import { workedOut } from '@/data/takings';
import { beginWorn } from '@/data/worn';
import { doneOf } from '@/workers/planner';
import { useTakings } from '../shelf/useStock';

/**
 * Takes off the shelf what sets that are done have used, and begins the record of how they are worn, as soon as it is worked out; one
 * that was cut short is taken up again.
 */
export function SettleShelf() {
  const [begun, begin] = useReducer(() => true, false);
  useEffect(() => {
    // Nobody waits for it: what is looked at comes first.
    const timer = setTimeout(begin, BEGIN_MS);
    return () => clearTimeout(timer);
  }, []);
  return begun ? <Settling /> : null;
}

const BEGIN_MS = 1500;

function Settling() {
  const open = useTakings()?.find(({ lines }) => lines === null);
  useEffect(() => {
    if (open) settle(open).catch(() => undefined);
  }, [open]);
  return null;
}

async function settle(taking: Taking): Promise<void> {
  const opened = await lastSeen(taking.set);
  // A set that is gone, or cannot be read, took nothing that is known.
  if (!opened.ok) return workedOut(taking, []);
  const { set } = opened.value;
  const stock = await stockNow();
  const on = today(new Date(taking.at));
  const client = (await clientOf(set.id))?.id ?? null;
  const { needs, worn } = await doneOf(set, {
    bench: await benchOf(set.id),
    on,
    client,
    bottles: bottlesOn(stock.shelf, on),
  });
  await beginWorn(worn);
  await workedOut(taking, takenLines(needs, stock));
}
