'use client';
import { createContext, useContext } from 'react';
import { temporal, type TemporalState } from 'zundo';
import { createStore, useStore, type StoreApi } from 'zustand';
import { applyChange, type Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { faultLine } from '@/core/model/result';
import type { Plan } from '@/core/plan/planSet';

/** Whether the plan is that of the set as it is now. */
export type Planning = 'making' | 'fresh' | 'failed';
export type Saving = 'saved' | 'saving' | 'conflict' | 'failed';

/** All that the views of one open set share. Only `set` is undone and stored; the rest is derived or fleeting. */
export interface Studio {
  set: SetDocument;
  /** The last plan that was made; what it says of the set as it is now, `planning` says. */
  plan: Plan | undefined;
  planning: Planning;
  /** Why planning failed, in words. */
  planFault: string | undefined;
  /** The long search broke off: there is a plan, and no way out was tried. */
  searchFailed: boolean;
  /** Plans once more. */
  replan: () => void;
  planned_ms: number | undefined;
  /** Share of the long search done; ways out are offered once it is whole. */
  searched: number;
  saving: Saving;
  selected: NailName[];
  /** The look whose elements are open in Design. */
  openLook: string | undefined;
  openElement: string | undefined;
  /** The nail that Layers shows. */
  focus: NailName;
  refused: string | undefined;
  /** The change that led from one set to the next, where one did. */
  made: { from: SetDocument; to: SetDocument; change: Change } | undefined;
  change: (change: Change) => boolean;
  select: (nails: NailName[]) => void;
}

type UndoState = Pick<Studio, 'set'>;
export type StudioStore = StoreApi<Studio> & { temporal: StoreApi<TemporalState<UndoState>> };

export function createStudio(set: SetDocument): StudioStore {
  return createStore<Studio>()(
    temporal(
      (write, read): Studio => ({
        set,
        plan: undefined,
        planning: 'making',
        planFault: undefined,
        searchFailed: false,
        replan: () => undefined,
        planned_ms: undefined,
        searched: 0,
        saving: 'saved',
        selected: ['left-ring'],
        openLook: set.nails['left-ring'].look ?? set.looks[0]?.id,
        openElement: undefined,
        focus: 'left-ring',
        refused: undefined,
        made: undefined,
        change: (change) => {
          const from = read().set;
          const next = applyChange(from, change);
          if (next.ok) write({ set: next.value, refused: undefined, made: { from, to: next.value, change } });
          else write({ refused: faultLine(next.faults[0]!) });
          return next.ok;
        },
        select: (nails) => {
          const last = nails[nails.length - 1];
          const look = last ? read().set.nails[last].look : undefined;
          write({
            selected: nails,
            ...(last ? { focus: last } : {}),
            ...(look ? { openLook: look, openElement: undefined } : {}),
          });
        },
      }),
      {
        partialize: ({ set: document }) => ({ set: document }),
        equality: (a, b) => a.set === b.set,
        limit: 200,
      },
    ),
  );
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

export function useUndo<T>(pick: (state: TemporalState<UndoState>) => T): T {
  return useStore(useStudioStore().temporal, pick);
}
