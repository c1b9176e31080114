import type { Part } from '@/core/craft/copies';
import type { Element } from '@/core/craft/techniques';
import type { SetDocument } from '@/core/document/document';
import type { Point } from '@/core/geometry/frame';
import type { NailName } from '@/core/model/names';
import type { Slice } from './slice';

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

export function atHandSlice(set: SetDocument): Slice<AtHandSlice> {
  const first: NailName = 'left-ring';
  return (write, read) => ({
    selected: [first],
    focus: first,
    openLook: set.nails[first].look ?? set.looks[0]?.id,
    pinned: false,
    openElement: undefined,
    openPart: undefined,
    alsoParts: [],
    copied: undefined,
    seenAs: 'plain',
    bothHands: set.practice.hands === 'alike',
    ownOnly: false,
    pen: undefined,
    select: (selected) => {
      const focus = selected.at(-1);
      const { set: now, pinned, openLook } = read();
      const wears = focus && now.nails[focus].look;
      const opens = wears && !pinned && wears !== openLook;
      write({
        selected,
        ownOnly: false,
        ...(focus ? { focus } : {}),
        ...(opens ? { openLook: wears, openElement: undefined, openPart: undefined } : {}),
      });
    },
    openLookAt: (openLook, openElement) => write({ openLook, openElement }),
    pinLook: (pinned) => {
      write({ pinned });
      // Let go of, the look of the nail in hand is open again.
      if (!pinned) read().select(read().selected);
    },
    openElementAt: (openElement, part) => write({ openElement, ...(part ? { openPart: part } : {}) }),
    openPartAt: (openPart) => write({ openPart }),
    chooseParts: (alsoParts) => write({ alsoParts }),
    keepCopied: (copied) => write({ copied }),
    seeAs: (seenAs) => write({ seenAs }),
    editBothHands: (bothHands) => write({ bothHands }),
    editOwnOnly: (ownOnly) => write({ ownOnly }),
    takePen: (pen) => write({ pen }),
    layPen: (pen) => {
      if (pen === undefined || read().pen === pen) write({ pen: undefined });
    },
  });
}
