'use client';
import { useMemo } from 'react';

let count = 0;

/** A name for what is done in one go at a field: from when it is entered until it is entered again. */
export function useGesture(): { begin: () => void; id: () => string } {
  return useMemo(() => {
    let id = `gesture ${(count += 1)}`;
    return { begin: () => (id = `gesture ${(count += 1)}`), id: () => id };
  }, []);
}
