'use client';
import { useEffect, useEffectEvent } from 'react';

/** Where words or figures are typed: every key is the field's. */
export const TYPING =
  'input:not([type="radio"], [type="checkbox"], [type="range"]), textarea, [contenteditable], [role="dialog"] *';
/** A list to choose from has its own letters and arrows, but no undo. */
export const CHOOSING = 'select';

/** One key of a view, by itself, wherever nothing is typed; of several that wait for it, the first has it. */
export function useKey(key: string, act: () => void): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (event.key !== key || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    if (target.matches(TYPING) || target.matches(CHOOSING)) return;
    event.preventDefault();
    act();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
