'use client';
import { changedElement, lookOf } from '@/core/compile/prepare';
import type { Element } from '@/core/craft/techniques';
import type { Look, SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { ownOptions } from '@/core/document/ownOptions';
import { settledOf, useStudio, useStudioStore, type Studio } from '../studio/studio';

/** An element as it is edited: that of its look, or the nail's own where it differs there or is to differ. */
export interface Editing {
  element: Element;
  nail: NailName;
  /** What is edited is this nail's alone. */
  own: boolean;
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

/** How the open element is edited on the nail in focus; `asHeld` follows every move of a hand that holds it. */
export function useEditing(look: Look, element: Element, asHeld = false): Editing {
  const setOf = (s: Studio) => (asHeld ? s.set : settledOf(s));
  const nail = useStudio((s) => s.focus);
  const own = useStudio((s) => s.ownOnly);
  const change = useStudio((s) => setOf(s).nails[s.focus].changes.find((one) => one.element === element.id));
  const worn = useStudio((s) => lookOf(setOf(s), setOf(s).nails[s.focus])?.id === look.id);
  const store = useStudioStore();
  const options = worn && change && 'options' in change;
  const alone = worn && (own || options === true);
  return {
    element: (alone && changedElement(element, options ? change : undefined)) || element,
    nail,
    own: alone,
    worn,
    put: (next, gesture) => {
      const { change: make } = store.getState();
      if (!alone) {
        make({ kind: 'put-element', look: look.id, element: next as Element }, gesture);
        return;
      }
      make(
        {
          kind: 'nail-change',
          nail,
          change: { element: element.id, options: ownOptions(element, next as Element) },
        },
        gesture,
      );
    },
    clear: () => {
      store.getState().change({ kind: 'clear-nail-change', nail, element: element.id });
      store.setState({ ownOnly: false });
    },
  };
}
