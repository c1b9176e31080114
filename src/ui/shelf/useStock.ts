'use client';
import { useMemo } from 'react';
import type { Stock } from '@/core/stock/held';
import type { Taking } from '@/core/stock/taking';
import { watchPricing } from '@/data/pricing';
import { watchTakings } from '@/data/takings';
import { NO_PRICING, type Pricing } from '@/core/model/pricing';
import { nothingFirst, useWatched } from '../kit/useWatched';
import { useShelf, useSupplies } from './useShelf';

/** What is on the shelf and what sets took of it; undefined until all of it is read. */
export function useStock(): { stock: Stock | undefined; fault: unknown } {
  const { items, fault } = useShelf();
  const { supplies, fault: other } = useSupplies();
  const { value: takings, fault: third } = useWatched(nothingFirst, watchTakings);
  const stock = useMemo(
    () => (items && supplies && takings ? { shelf: items, supplies, takings } : undefined),
    [items, supplies, takings],
  );
  return { stock, fault: fault ?? other ?? third };
}

/** What sets that are done took off the shelf; undefined until it is read. */
export function useTakings(): Taking[] | undefined {
  return useWatched(nothingFirst, watchTakings).value;
}

/** What the artist asks for her work. */
export function usePricing(): { pricing: Pricing; said: boolean } {
  const { value } = useWatched(nothingFirst, watchPricing);
  return { pricing: value ?? NO_PRICING, said: value !== undefined };
}
