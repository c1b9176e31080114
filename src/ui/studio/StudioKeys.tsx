'use client';
import { useEffect } from 'react';
import { handOf, NAILS } from '@/core/model/names';
import { go } from '../kit/Go';
import { pathOf, routeOfPath } from '../kit/route';
import { VIEWS } from './Rail';
import { useStudioStore } from './studio';
import { CHOOSING, TYPING } from './useKey';

/** The keys of every view: 1–0 select, letters put a look on, M mirrors, Ctrl Z and Y undo and redo. */
export function StudioKeys() {
  const store = useStudioStore();
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const target = event.target as HTMLElement;
      const on = event.altKey && !event.ctrlKey && { Period: 1, Comma: -1 }[event.code];
      if (on) {
        goOn(on);
        event.preventDefault();
        return;
      }
      if (target.matches(TYPING)) return;
      const studio = store.getState();
      if (event.ctrlKey || event.metaKey) {
        const key = event.key.toLowerCase();
        if (key === 'a' && !event.shiftKey && showsNails()) studio.select([...NAILS]);
        else if (key === 'z' && !event.shiftKey) store.temporal.getState().undo();
        else if (key === 'y' || (key === 'z' && event.shiftKey)) store.temporal.getState().redo();
        else return;
        event.preventDefault();
        return;
      }
      if (event.altKey || target.matches(CHOOSING)) return;
      const digit = /^Digit(\d)$/.exec(event.code)?.[1];
      if (digit !== undefined) {
        const nail = NAILS[(Number(digit) + 9) % 10]!;
        studio.select(event.shiftKey ? toggled(studio.selected, nail) : [nail]);
        event.preventDefault();
        return;
      }
      if (event.shiftKey) return;
      if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
        if (target.closest('[role="slider"], [role="option"], [role="radiogroup"], [data-keeps-arrows]'))
          return;
        const at = NAILS.indexOf(studio.focus) + (event.key === 'ArrowLeft' ? -1 : 1);
        studio.select([NAILS[(at + 10) % 10]!]);
        event.preventDefault();
        return;
      }
      // Nothing is put on a nail that is not in sight.
      if (!showsNails()) return;
      if (event.key === 'm') {
        studio.change({ kind: 'mirror', from: handOf(studio.focus) });
        return;
      }
      const look = studio.set.looks.find((one) => one.key === event.key);
      if (look && studio.selected.length > 0) {
        studio.changeWorn({ kind: 'wear', nails: studio.selected, look: look.id });
        studio.openLookAt(look.id);
      }
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [store]);
  return null;
}

/** The view after or before this one, in the order the work goes. */
function goOn(by: number): void {
  const route = routeOfPath(window.location.pathname);
  if (route?.kind !== 'set') return;
  const next = VIEWS[VIEWS.findIndex(({ view }) => view === route.view) + by];
  if (!next) return;
  // The keyboard goes on at the head of what comes.
  document.querySelector<HTMLElement>('main')?.focus();
  go(pathOf({ ...route, view: next.view }));
}

/** Elsewhere all there is to choose is words. */
function showsNails(): boolean {
  const route = routeOfPath(window.location.pathname);
  return route?.kind === 'set' && (route.view === 'hands' || route.view === 'design');
}

export function toggled<T>(selected: readonly T[], item: T): T[] {
  return selected.includes(item) ? selected.filter((one) => one !== item) : [...selected, item];
}
