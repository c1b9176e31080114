'use client';
import { useEffect, useEffectEvent, useRef } from 'react';
import { TYPING } from '../studio/useKey';

const FORWARD = [' ', 'Enter', 'ArrowRight', 'PageDown'];
/** What a key presses where the keyboard has gone to it: a space presses no link. */
const PRESSED_BY: Record<string, string> = { ' ': 'button, summary', Enter: 'button, a, summary' };
const BACK = ['ArrowLeft', 'Backspace', 'PageUp'];
/** A caliper that types sends its figure in one go, and Enter after it. */
const TYPED_MS = 1500;
const FIGURE = /^[\d.,]$/;

interface Keys {
  onForward: () => void;
  onBack: () => void;
  /** A figure in mm, typed and ended with Enter. */
  onFigure: (mm: number) => void;
}

/** The keys of the table: space and arrows, of a keyboard or of a pedal that types; and what a caliper types. */
export function useTableKeys(keys: Keys): void {
  const typed = useRef({ text: '', at_ms: 0 });
  /** Whether what has the keyboard was gone to by a pointer. */
  const pointed = useRef(false);
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || target.matches(TYPING)) return;
    if (target.closest('[role="dialog"], [role="menu"]')) return;
    const text = event.timeStamp - typed.current.at_ms < TYPED_MS ? typed.current.text : '';
    if (FIGURE.test(event.key)) {
      typed.current = { text: text + event.key, at_ms: event.timeStamp };
      event.preventDefault();
      return;
    }
    typed.current = { text: '', at_ms: 0 };
    const forward = FORWARD.includes(event.key);
    if (event.key === 'Tab') pointed.current = false;
    // A button that the keyboard has gone to is pressed by it, and not the table; one that was only clicked is not in its way.
    const onButton = !pointed.current && target.closest(PRESSED_BY[event.key] ?? 'no-such') !== null;
    const mm = event.key === 'Enter' && text !== '' ? Number(text.replace(',', '.')) : undefined;
    if (mm === undefined && ((!forward && !BACK.includes(event.key)) || onButton)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (mm !== undefined) keys.onFigure(mm);
    else if (forward) keys.onForward();
    else keys.onBack();
  });
  useEffect(() => {
    const onPointer = () => (pointed.current = true);
    window.addEventListener('keydown', onKey, { capture: true });
    window.addEventListener('pointerdown', onPointer, { capture: true });
    return () => {
      window.removeEventListener('keydown', onKey, { capture: true });
      window.removeEventListener('pointerdown', onPointer, { capture: true });
    };
  }, []);
}
