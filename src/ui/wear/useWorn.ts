'use client';
import { useCallback, useMemo } from 'react';
import type { Worn } from '@/core/model/wear';
import { withEnds } from '@/core/wear/ends';
import { watchAllWorn, watchWorn } from '@/data/worn';
import { nothingFirst, useWatched } from '../kit/useWatched';

/** The record of one worn set; `read`: whether it is known that there is none. */
export function useWorn(set: string): { worn: Worn | undefined; read: boolean; fault: unknown } {
  const watch = useCallback(
    (onChange: (value: { worn: Worn | undefined }) => void, onError: (error: unknown) => void) =>
      watchWorn(set, (worn) => onChange({ worn }), onError),
    [set],
  );
  const { value, fault } = useWatched(nothingFirst, watch);
  return { worn: value?.worn, read: value !== undefined, fault };
}

/** All that was worn, each to the day it came off as far as that is known; undefined until it is read. */
export function useAllWorn(): { all: Worn[] | undefined; fault: unknown } {
  const { value, fault } = useWatched(nothingFirst, watchAllWorn);
  return { all: useMemo(() => value && withEnds(value), [value]), fault };
}
