'use client';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { watchMotifs } from '@/data/motifs';
import { useWatched } from '../kit/useWatched';

const nothingFirst = () => Promise.resolve();

/** The artist's own motifs as they are; undefined until they are read. */
export function useMotifs(): KeptMotif[] | undefined {
  return useWatched(nothingFirst, watchMotifs).value;
}
