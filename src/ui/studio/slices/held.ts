import type { HeldSlice, Slice } from './state';

export const heldSlice: Slice<HeldSlice> = (write, read) => ({
  heldFrom: undefined,
  moving: false,
  takeHold: () => write({ heldFrom: read().set, moving: true }),
  letGo: () => write({ heldFrom: undefined }),
  rested: () => write({ moving: false }),
});
