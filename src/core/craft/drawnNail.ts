import { makeFrame } from '../geometry/frame';
import { DRAWN_FOR_ARC_MM } from '../geometry/regions';

/** The nail that looks are drawn for: a middle finger's, as wide along its curve as `DRAWN_FOR_ARC_MM`. */
export const DRAWN_NAIL = makeFrame({
  width_mm: DRAWN_FOR_ARC_MM * 0.86,
  arch_mm: 3,
  bed_mm: 12,
  free_mm: 6,
  radiusAlong_mm: 60,
  shape: 'almond',
});
