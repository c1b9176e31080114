import { across_mm, along_mm, type NailFrame, type Point } from '../geometry/frame';

/** How something drawn lies on one nail. */
export interface OnNail {
  frame: NailFrame;
  /** 1 as drawn, −1 turned over for the other hand. */
  side: 1 | -1;
  /** What its sizes in mm are multiplied by. */
  scale: number;
  /** How much larger than its share of this nail it is laid, to keep the size it was drawn in. */
  size: number;
}

/** Where a spot of a look lies, in mm. */
export function spotAt_mm(
  spot: { across: number; along: number },
  { frame, side }: Pick<OnNail, 'frame' | 'side'>,
): Point {
  return { x: side * across_mm(frame, spot.across), y: along_mm(frame, spot.along) };
}
