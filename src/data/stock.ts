import { without } from '@/core/model/without';
import type { Stock } from '@/core/stock/held';
import { goodRows } from './rows';
import { stockOnce } from './shelf';
import { stockSuppliesOnce } from './supplies';

/** All that is on the shelf now, and what sets have taken of it. */
export async function stockNow(): Promise<Stock> {
  await stockOnce();
  await stockSuppliesOnce();
  return {
    shelf: (await goodRows('shelf')).map((one) => without(one, 'id')),
    supplies: await goodRows('supplies'),
    takings: await goodRows('takings'),
  };
}
