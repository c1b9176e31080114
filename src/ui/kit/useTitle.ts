'use client';
import { useEffect } from 'react';

/** U+2068 and U+2069: what stands between them turns no text around it, whatever marks of direction it holds. */
const isolated = (words: string) => `\u2068${words}\u2069`;

/** Names the page: the view, and the set where there is one. */
export function useTitle(view: string, set?: string): void {
  useEffect(() => {
    document.title = [view, ...(set === undefined ? [] : [isolated(set)]), 'Merry Lacquer'].join(' · ');
  }, [view, set]);
}
