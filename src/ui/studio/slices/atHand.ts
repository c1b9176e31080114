import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import type { AtHandSlice, Slice } from './state';

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
