'use client';
import type { ShelfItem } from '@/core/model/shelf';
import type { Supply } from '@/core/model/supply';
import { stockOnce, watchShelf } from '@/data/shelf';
import { stockSuppliesOnce, watchSupplies } from '@/data/supplies';
import { useWatched } from '../kit/useWatched';

/** The artist's products as they are. */
export function useShelf(): { items: ShelfItem[] | undefined; fault: unknown } {
  const { value, fault } = useWatched(stockOnce, watchShelf);
  return { items: value, fault };
}

/** Lamps, tip boxes, pieces, stones, charms and tools as they are. */
export function useSupplies(): { supplies: Supply[] | undefined; fault: unknown } {
  const { value, fault } = useWatched(stockSuppliesOnce, watchSupplies);
  return { supplies: value, fault };
}
