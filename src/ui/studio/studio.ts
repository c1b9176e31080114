'use client';
import { createContext, useContext } from 'react';
import { temporal, type TemporalState } from 'zundo';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { SetDocument } from '@/core/document/document';
import type { UndoHistory } from '@/data/undoHistory';
import { atHandSlice } from './slices/atHand';
import { documentSlice } from './slices/document';
import { heldSlice } from './slices/held';
import { planningSlice } from './slices/planning';
import { savingSlice } from './slices/saving';
import type { Studio } from './slices/state';

type UndoState = Pick<Studio, 'set'>;
export type StudioStore = StoreApi<Studio> & { temporal: StoreApi<TemporalState<UndoState>> };

/** The shared state of one open set; `history` is what undo and redo led to when it was last open. */
export function createStudio(set: SetDocument, history?: UndoHistory): StudioStore {
  const store: StudioStore = createStore<Studio>()(
    temporal(
      (write, read, api): Studio => {
        /** What joins the step before it is no step of its own. */
        const joining = (joins: boolean, write: () => void) => {
          const { temporal } = api as unknown as StudioStore;
          if (joins) temporal.getState().pause();
          write();
          temporal.getState().resume();
        };
        return {
          ...documentSlice(set, joining)(write, read),
          ...planningSlice(write, read),
          ...savingSlice(write, read),
          ...atHandSlice(set)(write, read),
          ...heldSlice(write, read),
        };
      },
      {
        partialize: ({ set: document }) => ({ set: document }),
        equality: (a, b) => a.set === b.set,
        limit: 200,
      },
    ),
  );
  if (history)
    store.temporal.setState({
      pastStates: history.past.map((one) => ({ set: one })),
      futureStates: history.future.map((one) => ({ set: one })),
    });
  return store;
}

export const StudioContext = createContext<StudioStore | undefined>(undefined);

export function useStudioStore(): StudioStore {
  const store = useContext(StudioContext);
  if (!store) throw new Error('a view of a set stands inside StudioShell');
  return store;
}

export function useStudio<T>(pick: (studio: Studio) => T): T {
  return useStore(useStudioStore(), pick);
}

/**
 * The set as it was when a hand took hold of something on the nail: what is held is drawn at once, and all else follows
 * when it is let go.
 */
export function settledOf({ set, heldFrom }: Studio): SetDocument {
  return heldFrom ?? set;
}

export function useSettled<T>(pick: (set: SetDocument, studio: Studio) => T): T {
  return useStudio((s) => pick(settledOf(s), s));
}

export function useUndo<T>(pick: (state: TemporalState<UndoState>) => T): T {
  return useStore(useStudioStore().temporal, pick);
}
