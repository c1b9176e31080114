'use client';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { watchMotifs } from '@/data/motifs';
import { nothingFirst, useWatched } from '../kit/useWatched';

/** The artist's own motifs as they are; undefined until they are read. */
export function useMotifs(): KeptMotif[] | undefined {
  return useWatched(nothingFirst, watchMotifs).value;
}
