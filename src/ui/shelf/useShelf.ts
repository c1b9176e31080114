'use client';
import { useEffect, useState } from 'react';
import type { ShelfItem } from '@/core/model/shelf';
import { stockOnce, watchShelf } from '@/data/shelf';

/** The artist's shelf as it is; undefined until it is read, `fault` where it cannot be. */
export function useShelf(): { items: ShelfItem[] | undefined; fault: unknown } {
  const [items, setItems] = useState<ShelfItem[]>();
  const [fault, setFault] = useState<unknown>();
  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    stockOnce().then(() => {
      if (!gone) stop = watchShelf(setItems, setFault);
    }, setFault);
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  return { items, fault };
}
