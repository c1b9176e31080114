import type { Part } from '@/core/craft/copies';
import type { Element } from '@/core/craft/techniques';
import type { WornChange } from '@/core/document/bothHands';
import type { Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { Point } from '@/core/geometry/frame';
import type { NailName } from '@/core/model/names';
import type { Plan } from '@/core/plan/planSet';

/**
 * All that the views of one open set share, by slices; each is written by its own actions. Only `set` is undone and
 * stored; the rest is derived or fleeting.
 */
export type Studio = DocumentSlice & PlanningSlice & SavingSlice & AtHandSlice & HeldSlice;

/** A part of the studio's store: its first values, and the actions that alone write them. */
export type Slice<T> = (write: (part: Partial<Studio>) => void, read: () => Studio) => T;

export interface Made {
  from: SetDocument;
  to: SetDocument;
  change: Change;
  gesture: string | undefined;
  /** Of the gesture before it. */
  joins: boolean;
}

/** Nails besides the chosen ones that the last change reached, and what takes it back from there. */
export interface Carried {
  /** `hands`: to the same fingers of the other hand; `look`: to all that wear the look. */
  by: 'hands' | 'look';
  nails: NailName[];
  before: SetDocument;
  after: SetDocument;
}

export interface DocumentSlice {
  /** All that is undone and stored. */
  set: SetDocument;
  /** The change that led from one set to the next, where one did. */
  made: Made | undefined;
  refused: string | undefined;
  carried: Carried | undefined;
  /** Changes of one gesture (a drag, a stretch of typing) are one step of undo. */
  change: (change: Change, gesture?: string) => boolean;
  /** What nails wear is changed: of both hands, as long as they are edited as one. */
  changeWorn: (change: WornChange, gesture?: string) => boolean;
  /** The open look becomes that of the chosen nails alone; what was carried to others is taken back from them. */
  onlyOnChosen: () => boolean;
  /** Takes back from the other hand what the last change carried there; from now on the hands differ. */
  handsDiffer: () => boolean;
}

/** Whether the plan is that of the set as it is now. */
export type Planning = 'making' | 'fresh' | 'failed';

/** What `keepPlanned` knows of the plan. */
export interface PlanningState {
  /** The last plan that was made; what it says of the set as it is now, `planning` says. */
  plan: Plan | undefined;
  planning: Planning;
  /** Why planning failed, in words. */
  planFault: string | undefined;
  /** The long search broke off: there is a plan, and no way out was tried. */
  searchFailed: boolean;
  planned_ms: number | undefined;
  /** Share of the long search done; ways out are offered once it is whole. */
  searched: number;
  /** The sitting shown is one that a long search has found. */
  settled: boolean;
  /** Plans once more. */
  replan: () => void;
}

export interface PlanningSlice extends PlanningState {
  tellPlanning: (state: Partial<PlanningState>) => void;
}

/** `gone`: removed elsewhere; `only-read`: the store is of a newer program. */
export type Saving = 'saved' | 'saving' | 'conflict' | 'failed' | 'gone' | 'only-read';

export interface SavingSlice {
  saving: Saving;
  /** Why a save failed, in words. */
  savingFault: string | undefined;
  tellSaving: (saving: Saving, fault?: string) => void;
  /** The set as another tab saved it takes the place of this one. */
  takeStored: (set: SetDocument) => void;
}

/** A line about to be drawn on the nail: what becomes of its points, in mm. */
export type Stroke = (line: Point[]) => void;

export interface Copied {
  from: Element;
  parts: Part[];
}

/** What is chosen and open, and how it is looked at. */
export interface AtHandSlice {
  selected: NailName[];
  /** The nail that stands large. */
  focus: NailName;
  /** The look whose elements are open in Design: that of the chosen nail, unless it is pinned. */
  openLook: string | undefined;
  /** The look stays open whichever nail is chosen. */
  pinned: boolean;
  openElement: string | undefined;
  /** What of the open element is taken hold of, or has its numbers open: `piece-2`. */
  openPart: string | undefined;
  /** What moves along with it: chosen with Shift. */
  alsoParts: readonly string[];
  copied: Copied | undefined;
  /** Whose eyes, or which light, Design shows the nails in. */
  seenAs: string;
  /** What is put on a nail goes on the same finger of the other hand as well. */
  bothHands: boolean;
  /** What is edited in Design is the nail's in focus alone. */
  ownOnly: boolean;
  pen: Stroke | undefined;
  select: (nails: NailName[]) => void;
  openLookAt: (look: string | undefined, element?: string) => void;
  pinLook: (pinned: boolean) => void;
  openElementAt: (element: string, part?: string) => void;
  openPartAt: (part: string) => void;
  chooseParts: (parts: readonly string[]) => void;
  keepCopied: (copied: Copied) => void;
  seeAs: (seenAs: string) => void;
  editBothHands: (bothHands: boolean) => void;
  editOwnOnly: (ownOnly: boolean) => void;
  takePen: (pen: Stroke) => void;
  /** Lays the pen aside: whoever has it, or only where it is still the one that was taken. */
  layPen: (pen?: Stroke) => void;
}

/** What a hand holds on the nail. */
export interface HeldSlice {
  /** Something on the nail is held and follows the hand: the set as it was before. */
  heldFrom: SetDocument | undefined;
  /** Held, or let go a moment ago. */
  moving: boolean;
  takeHold: () => void;
  letGo: () => void;
  /** The hand has rested since it let go. */
  rested: () => void;
}
