'use client';
import { NativeSelect, type NativeSelectProps } from '@mantine/core';
import { memo, useCallback, useLayoutEffect, useRef, type ChangeEvent, type KeyboardEvent } from 'react';
import isEqual from 'react-fast-compare';

const MOVES = new Set(['ArrowUp', 'ArrowDown', 'Home', 'End', 'PageUp', 'PageDown']);

/**
 * The browser's own list to choose from. Closed, it never chooses by itself: keys that move in it open it, and Enter
 * chooses. At home on a tablet, and no engine for popovers is needed.
 */
export function Pick({ onChange, ...props }: NativeSelectProps) {
  const latest = useRef(onChange);
  useLayoutEffect(() => {
    latest.current = onChange;
  });
  const choose = useCallback((event: ChangeEvent<HTMLSelectElement>) => latest.current?.(event), []);
  return <SteadySelect {...props} onChange={choose} onKeyDown={openFirst} />;
}

/** Drawn anew only when it shows something else: each drawing puts an open list back to what was chosen before. */
const SteadySelect = memo((props: NativeSelectProps) => <NativeSelect {...props} />, isEqual);

function openFirst(event: KeyboardEvent<HTMLSelectElement>): void {
  const { key, ctrlKey, metaKey, altKey } = event;
  if (ctrlKey || metaKey || altKey || !(MOVES.has(key) || (key.length === 1 && key !== ' '))) return;
  event.stopPropagation();
  try {
    event.currentTarget.showPicker();
    event.preventDefault();
  } catch {
    // A browser that cannot open it by a script opens it by the arrow itself.
  }
}
