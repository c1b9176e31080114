'use client';
import { changedElement, lookOf } from '@/core/document/nailContext';
import type { Element } from '@/core/craft/techniques';
import type { Look, SetDocument } from '@/core/document/document';
import { twinWearsIt } from '@/core/document/bothHands';
import type { NailChange } from '@/core/model/nail';
import { fingersWords, mirrorOf, nailWords, type NailName } from '@/core/model/names';
import { ownOptions } from '@/core/document/ownOptions';
import type { Studio } from '../studio/slices/state';
import { settledOf, useStudio, useStudioStore } from '../studio/studio';

/** An element as it is edited: that of its look, or the nail's own where it differs there or is to differ. */
export interface Editing {
  element: Element;
  nail: NailName;
  /** What is edited is this nail's alone, or that of its finger on both hands. */
  own: boolean;
  /** Whose it is then: "left ring finger", "ring fingers". */
  whose: string;
  /** The nail in focus wears the look. */
  worn: boolean;
  put: (next: unknown, gesture?: string) => void;
  /** Gives the nail its look's element again. */
  clear: () => void;
}

/** The look that is open in Design: the first where none was chosen. */
export function openLookOf(set: SetDocument, { openLook }: Pick<Studio, 'openLook'>): Look | undefined {
  return set.looks.find((one) => one.id === openLook) ?? set.looks[0];
}

/** Its open element: the topmost where none was chosen. */
export function openElementOf(look: Look, id: string | undefined): Element | undefined {
  return look.elements.find((one) => one.id === id) ?? look.elements.at(-1);
}

function ownOf(set: SetDocument, nail: NailName, element: string): NailChange | undefined {
  return set.nails[nail].changes.find((one) => one.element === element);
}

/** Whether an element is edited as the nail's in focus alone: it has it otherwise, or is to have it so. */
export function isOwn(studio: Studio, set: SetDocument, look: Look, element: Element): boolean {
  const { focus, ownOnly } = studio;
  if (lookOf(set, set.nails[focus])?.id !== look.id) return false;
  const change = ownOf(set, focus, element.id);
  return ownOnly || (change !== undefined && 'options' in change);
}

/** Puts an element as it is edited into its look, or into what is the nail's own. */
export function putElement(
  { change, changeWorn, focus }: Studio,
  own: boolean,
  look: Look,
  ofLook: Element,
  next: Element,
  gesture?: string,
): void {
  if (!own) {
    change({ kind: 'put-element', look: look.id, element: next }, gesture);
    return;
  }
  const options = ownOptions(ofLook, next);
  changeWorn({ kind: 'nail-change', nail: focus, change: { element: ofLook.id, options } }, gesture);
}

/** How the open element is edited on the nail in focus; `asHeld` follows every move of a hand that holds it. */
export function useEditing(look: Look, element: Element, asHeld = false): Editing {
  const setOf = (s: Studio) => (asHeld ? s.set : settledOf(s));
  const nail = useStudio((s) => s.focus);
  const change = useStudio((s) => ownOf(setOf(s), s.focus, element.id));
  const twins = useStudio((s) => {
    const here = ownOf(setOf(s), s.focus, element.id);
    const there = ownOf(setOf(s), mirrorOf(s.focus), element.id);
    return here
      ? JSON.stringify(there) === JSON.stringify(here)
      : s.bothHands && twinWearsIt(setOf(s), s.focus);
  });
  const worn = useStudio((s) => lookOf(setOf(s), setOf(s).nails[s.focus])?.id === look.id);
  const store = useStudioStore();
  const own = useStudio((s) => isOwn(s, setOf(s), look, element));
  const options = change && 'options' in change ? change : undefined;
  return {
    element: (own && changedElement(element, options)) || element,
    nail,
    own,
    whose: twins ? fingersWords(nail) : nailWords(nail),
    worn,
    put: (next, gesture) => putElement(store.getState(), own, look, element, next as Element, gesture),
    clear: () => {
      store.getState().changeWorn({ kind: 'clear-nail-change', nail, element: element.id });
      store.getState().editOwnOnly(false);
    },
  };
}
