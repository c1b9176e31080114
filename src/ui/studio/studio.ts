'use client';
import { createContext, useContext } from 'react';
import { temporal, type TemporalState } from 'zundo';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { Part } from '@/core/craft/copies';
import type { Element } from '@/core/craft/techniques';
import { onBothHands, type WornChange } from '@/core/document/bothHands';
import { applyChange, type Change } from '@/core/document/changes';
import type { Point } from '@/core/geometry/frame';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { faultLine } from '@/core/model/result';
import type { Plan } from '@/core/plan/planSet';
import type { UndoHistory } from '@/data/undoHistory';

/** Whether the plan is that of the set as it is now. */
export type Planning = 'making' | 'fresh' | 'failed';
/** `gone`: removed elsewhere; `only-read`: the store is of a newer program. */
export type Saving = 'saved' | 'saving' | 'conflict' | 'failed' | 'gone' | 'only-read';

export interface Made {
  from: SetDocument;
  to: SetDocument;
  change: Change;
  gesture: string | undefined;
  /** Of the gesture before it. */
  joins: boolean;
}

/** Nails of the other hand that the last change was carried to. */
export interface CarriedTo {
  nails: NailName[];
  before: SetDocument;
  after: SetDocument;
}

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
  /** The sitting shown is one that a long search has found. */
  settled: boolean;
  saving: Saving;
  /** Why a save failed, in words. */
  savingFault: string | undefined;
  selected: NailName[];
  /** The look whose elements are open in Design. */
  openLook: string | undefined;
  openElement: string | undefined;
  /** What moves along with it: chosen with Shift. */
  alsoParts: readonly string[];
  /** Parts of an element that were copied. */
  copied: { from: Element; parts: Part[] } | undefined;
  /** What of the open element is taken hold of, or has its numbers open: `piece-2`. */
  openPart: string | undefined;
  /** The nail that Layers shows. */
  focus: NailName;
  /** Whose eyes, or which light, Design shows the nails in. */
  seenAs: string;
  /** What is put on a nail goes on the same finger of the other hand as well. */
  bothHands: boolean;
  carried: CarriedTo | undefined;
  /** What is edited in Design is the nail's in focus alone. */
  ownOnly: boolean;
  /** A line is about to be drawn on the nail: what becomes of its points, in mm. */
  pen: ((line: Point[]) => void) | undefined;
  /** Something on the nail is held and follows the hand: the set as it was before. */
  heldFrom: SetDocument | undefined;
  /** Held, or let go a moment ago. */
  moving: boolean;
  refused: string | undefined;
  /** The change that led from one set to the next, where one did. */
  made: Made | undefined;
  /** Changes of one gesture (a drag, a stretch of typing) are one step of undo. */
  change: (change: Change, gesture?: string) => boolean;
  /** What nails wear is changed: of both hands, as long as they are edited as one. */
  changeWorn: (change: WornChange, gesture?: string) => boolean;
  select: (nails: NailName[]) => void;
}

type UndoState = Pick<Studio, 'set'>;
export type StudioStore = StoreApi<Studio> & { temporal: StoreApi<TemporalState<UndoState>> };

/** The shared state of one open set; `history` is what undo and redo led to when it was last open. */
export function createStudio(set: SetDocument, history?: UndoHistory): StudioStore {
  const store: StudioStore = createStore<Studio>()(
    temporal(
      (write, read, api): Studio => ({
        set,
        plan: undefined,
        planning: 'making',
        planFault: undefined,
        searchFailed: false,
        replan: () => undefined,
        planned_ms: undefined,
        searched: 0,
        settled: false,
        saving: 'saved',
        savingFault: undefined,
        selected: ['left-ring'],
        openLook: set.nails['left-ring'].look ?? set.looks[0]?.id,
        openElement: undefined,
        openPart: undefined,
        alsoParts: [],
        copied: undefined,
        focus: 'left-ring',
        seenAs: 'plain',
        bothHands: set.practice.hands === 'alike',
        carried: undefined,
        ownOnly: false,
        pen: undefined,
        heldFrom: undefined,
        moving: false,
        refused: undefined,
        made: undefined,
        change: (change, gesture) => {
          const { set: from, made } = read();
          const next = applyChange(from, change);
          if (!next.ok) {
            write({ refused: faultLine(next.faults[0]!) });
            return false;
          }
          const joins = gesture !== undefined && made?.gesture === gesture && made.to === from;
          const { temporal } = api as unknown as StudioStore;
          if (joins) temporal.getState().pause();
          write({
            set: next.value,
            refused: undefined,
            made: { from, to: next.value, change, gesture, joins },
          });
          temporal.getState().resume();
          return true;
        },
        changeWorn: (change, gesture) => {
          const { set: from, bothHands, carried: earlier, change: make } = read();
          if (!bothHands) return make(change, gesture);
          const both = onBothHands(from, change);
          if (!make(both.change, gesture)) return false;
          const { set: after, made } = read();
          const before = made?.joins && earlier ? earlier.before : from;
          write({ carried: both.nails.length > 0 ? { nails: both.nails, before, after } : undefined });
          return true;
        },
        select: (nails) => {
          const last = nails[nails.length - 1];
          // The look at hand stays open: what is chosen is where it goes.
          write({ selected: nails, ownOnly: false, ...(last ? { focus: last } : {}) });
        },
      }),
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
