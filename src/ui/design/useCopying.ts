'use client';
import { elementOn } from '@/core/document/nailContext';
import { clearOf, ofParts, partsIn, partsOf, withParts } from '@/core/craft/copies';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import { useGesture } from '../kit/useGesture';
import { useStudioStore } from '../studio/studio';
import { elementId } from './elementId';
import { isOwn, openElementOf, openLookOf, putElement } from './useEditing';

/** Copies parts of an element, and lays them into what is open: there, or on another nail or look. */
export function useCopying() {
  const store = useStudioStore();
  const gesture = useGesture();

  function copy(element: Element, ids: readonly string[]): boolean {
    const { copies } = techniqueOf(element.kind);
    const parts = copies ? partsOf(element, copies, ids) : [];
    if (parts.length > 0) store.getState().keepCopied({ from: element, parts });
    return parts.length > 0;
  }

  function paste(): boolean {
    const studio = store.getState();
    const look = openLookOf(studio.set, studio);
    const copies = studio.copied && techniqueOf(studio.copied.from.kind).copies;
    if (!studio.copied || !look || !copies) return false;
    const { from, parts } = studio.copied;
    const into = openOf(look, studio.openElement, from.kind);
    if (!into) {
      const element = { ...ofParts(from, copies, parts), id: elementId(from.kind, look) };
      if (!studio.change({ kind: 'put-element', look: look.id, element })) return false;
      studio.openElementAt(element.id, `${copies.part}-0`);
      return true;
    }
    const own = isOwn(studio, studio.set, look, into);
    const now = (own && elementOn(studio.set, studio.focus, look.id, into.id)) || into;
    const there = partsIn(now, copies);
    gesture.begin();
    putElement(studio, own, look, into, withParts(now, copies, clearOf(parts, there)), gesture.id());
    studio.openElementAt(into.id, `${copies.part}-${there.length}`);
    return true;
  }

  return { copy, paste };
}

/** The open element where it is of that kind, else the topmost that is. */
function openOf(look: Look, open: string | undefined, kind: string): Element | undefined {
  const element = openElementOf(look, open);
  return element?.kind === kind ? element : look.elements.findLast((one) => one.kind === kind);
}
