import * as z from 'zod/mini';
import { mm } from './primitives';

/**
 * The smile line of a French nail. `rise_mm` is how far its middle stands past the free edge (towards the
 * tip; negative: onto the bed), `depth_mm` how far its two ends lie behind the middle, towards the cuticle,
 * `tilt_mm` how much further the right end lies towards the tip than the left.
 */
export const Smile = z.strictObject({
  rise_mm: mm(-15, 20),
  depth_mm: mm(0, 15),
  tilt_mm: mm(-6, 6),
});
export type Smile = z.infer<typeof Smile>;
