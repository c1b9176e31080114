'use client';
import { NativeSelect, type NativeSelectProps } from '@mantine/core';
import type { KeyboardEvent } from 'react';

const MOVES = new Set(['ArrowUp', 'ArrowDown', 'Home', 'End', 'PageUp', 'PageDown']);

/**
 * The browser's own list to choose from. Closed, it never chooses by itself: keys that move in it open it, and Enter
 * chooses. At home on a tablet, and no engine for popovers is needed.
 */
export function Pick(props: NativeSelectProps) {
  return <NativeSelect {...props} onKeyDown={openFirst} />;
}

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
