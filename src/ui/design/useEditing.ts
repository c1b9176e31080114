'use client';
import { changedElement, lookOf } from '@/core/compile/prepare';
import type { Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { ownOptions } from '@/core/document/ownOptions';
import { useStudio, useStudioStore } from '../studio/studio';

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

/** How the open element is edited on the nail in focus. */
export function useEditing(look: Look, element: Element): Editing {
  const nail = useStudio((s) => s.focus);
  const own = useStudio((s) => s.ownOnly);
  const change = useStudio((s) => s.set.nails[s.focus].changes.find((one) => one.element === element.id));
  const worn = useStudio((s) => lookOf(s.set, s.set.nails[s.focus])?.id === look.id);
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
