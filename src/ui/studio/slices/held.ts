import type { SetDocument } from '@/core/document/document';
import type { Slice } from './slice';

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

export const heldSlice: Slice<HeldSlice> = (write, read) => ({
  heldFrom: undefined,
  moving: false,
  takeHold: () => write({ heldFrom: read().set, moving: true }),
  letGo: () => write({ heldFrom: undefined }),
  rested: () => write({ moving: false }),
});
