import { handsApart, onBothHands, withTwins } from '@/core/document/bothHands';
import { applyChange, type Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import { onlyHere } from '@/core/document/onlyHere';
import { wearersOf } from '@/core/document/wearers';
import type { NailName } from '@/core/model/names';
import { faultWords } from '@/core/model/placeWords';
import type { Carried, DocumentSlice, Slice, Studio } from './state';

/** The chosen nails, and where both hands are edited as one those of the same fingers. */
export function chosenNails({ selected, bothHands }: Pick<Studio, 'selected' | 'bothHands'>): NailName[] {
  return bothHands ? withTwins(selected) : selected;
}

export function documentSlice(set: SetDocument, joining: (joins: boolean, write: () => void) => void) {
  const slice: Slice<DocumentSlice> = (write, read) => ({
    set,
    made: undefined,
    refused: undefined,
    carried: undefined,
    change: (change, gesture) => {
      const { set: from, made, carried } = read();
      const next = applyChange(from, change);
      if (!next.ok) {
        write({ refused: faultWords(next.faults[0]!) });
        return false;
      }
      const joins = gesture !== undefined && made?.gesture === gesture && made.to === from;
      const to = next.value;
      joining(joins, () =>
        write({
          set: to,
          refused: undefined,
          made: { from, to, change, gesture, joins },
          carried: withLook(change, joins && carried?.by === 'look' ? carried.before : from, to, read()),
        }),
      );
      return true;
    },
    changeWorn: (change, gesture) => {
      const { set: from, bothHands, carried: earlier, change: make } = read();
      if (!bothHands) return make(change, gesture);
      const both = onBothHands(from, change);
      if (!make(both.change, gesture)) return false;
      const { set: after, made } = read();
      const before = made?.joins && earlier ? earlier.before : from;
      write({
        carried: both.nails.length > 0 ? { by: 'hands', nails: both.nails, before, after } : undefined,
      });
      return true;
    },
    onlyOnChosen: () => {
      const studio = read();
      const { set: now, carried, openLook, openElement } = studio;
      const before = carried?.by === 'look' && carried.after === now ? carried.before : now;
      const nails = chosenNails(studio).filter((name) => now.nails[name].look === openLook);
      const own = openLook === undefined ? undefined : onlyHere(before, now, openLook, nails);
      if (!own) {
        write({ refused: 'A set has twelve looks at most: remove one that nobody wears.' });
        return false;
      }
      if (!studio.change(own.change)) return false;
      write({ openLook: own.look, openElement });
      return true;
    },
    handsDiffer: () => {
      const { carried, change } = read();
      if (carried?.by !== 'hands' || !change(handsApart(carried.before, carried.nails))) return false;
      write({ bothHands: false });
      return true;
    },
  });
  return slice;
}

/** What an element of a look became, it became on every nail that wears the look. */
function withLook(
  change: Change,
  before: SetDocument,
  after: SetDocument,
  studio: Studio,
): Carried | undefined {
  const look = lookChanged(change);
  if (look === undefined) return undefined;
  const wearers = wearersOf(after, look);
  const chosen = chosenNails(studio);
  const nails = wearers.filter((name) => !chosen.includes(name));
  return nails.length > 0 && nails.length < wearers.length ? { by: 'look', nails, before, after } : undefined;
}

/** The look of which an element is changed, be it together with what that brings into the set. */
function lookChanged(change: Change): string | undefined {
  switch (change.kind) {
    case 'put-element':
    case 'remove-element':
    case 'move-element':
      return change.look;
    case 'many':
      return change.changes.map(lookChanged).find((look) => look !== undefined);
    default:
      return undefined;
  }
}
