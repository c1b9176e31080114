import * as z from 'zod';
import { Across, Along, mm } from './primitives';

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

/** What a liner writes. */
export const WRITABLE = /^[A-Za-z0-9&.!?+ -]*[A-Za-z0-9&.!?+-][A-Za-z0-9&.!?+ -]*$/;

/** A part of the nail. Across by share of the arc, along by landmarks, sizes in mm on the unrolled plate. */
export const Region = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('whole') }),
  z
    .strictObject({ kind: z.literal('band'), from: Along, to: Along })
    .refine((band) => band.to > band.from, { path: ['to'], message: 'must lie beyond "from"' }),
  z.strictObject({ kind: z.literal('tip'), smile: Smile }),
  /** What lies behind the smile line. */
  z.strictObject({ kind: z.literal('bed'), smile: Smile }),
  z.strictObject({
    kind: z.literal('oval'),
    across: Across,
    along: Along,
    width_mm: mm(0.3, 40),
    length_mm: mm(0.3, 60),
    turn_deg: z.number().min(-180).max(180),
  }),
  /** Lines side by side, or checks: about a place, turned off the nail's length. */
  z.strictObject({
    kind: z.literal('lines'),
    count: z.int().min(1).max(30),
    width_mm: mm(0.05, 15),
    pitch_mm: mm(0.1, 30),
    turn_deg: z.number().min(-180).max(180),
    across: Across,
    along: Along,
    crossed: z.boolean(),
    /** They swing to either side by the rise, once over each length. */
    wave: z.strictObject({ rise_mm: mm(0.05, 10), length_mm: mm(0.5, 40) }).optional(),
  }),
  /** Dots in rows, as a dotting tool sets them; each row may lie between those of the row before. */
  z.strictObject({
    kind: z.literal('dots'),
    rows: z.int().min(1).max(30),
    columns: z.int().min(1).max(30),
    dot_mm: mm(0.1, 10),
    pitch_mm: mm(0.2, 20),
    turn_deg: z.number().min(-180).max(180),
    across: Across,
    along: Along,
    staggered: z.boolean(),
  }),
  /** Letters as a liner draws them, upright for whoever wears them with the turn at 0. */
  z.strictObject({
    kind: z.literal('letters'),
    text: z.string().min(1).max(16).regex(WRITABLE, 'letters A to Z, figures, and & . ! ? + - only'),
    height_mm: mm(0.5, 20),
    width_mm: mm(0.05, 3),
    turn_deg: z.number().min(-180).max(180),
    across: Across,
    along: Along,
  }),
  /** A line drawn by hand, smooth through its points. */
  z.strictObject({
    kind: z.literal('path'),
    width_mm: mm(0.05, 15),
    points: z
      .array(z.strictObject({ across: z.number().min(-1.5).max(1.5), along: z.number().min(-0.5).max(2.5) }))
      .min(2)
      .max(60),
  }),
  z.strictObject({
    kind: z.literal('outline'),
    points: z
      .array(z.strictObject({ across: z.number().min(-1.5).max(1.5), along: z.number().min(-0.5).max(2.5) }))
      .min(3)
      .max(60),
  }),
]);
export type Region = z.infer<typeof Region>;

const NOUNS: Record<Region['kind'], string> = {
  whole: '',
  band: 'band',
  tip: 'tip',
  bed: 'bed',
  oval: 'oval',
  lines: 'lines',
  dots: 'dots',
  letters: 'letters',
  path: 'line',
  outline: 'shape',
};

/** What a part of the nail makes of a colour that lies on it: "tip", "dots"; nothing of the whole nail. */
export function regionNoun(region: Region): string {
  if (region.kind === 'lines' && region.crossed) return 'checks';
  return NOUNS[region.kind];
}
