import * as z from 'zod/mini';
import { Id, mm } from './primitives';
import { SHAPES } from './shapes';
import { Start } from './start';

export const PLATE_OUTLINES = ['round', 'square'] as const;

/**
 * The measured natural nail. `width_mm` is the chord a caliper reads between the sidewalls, `arch_mm` the
 * height of the C-curve over that chord, `bed_mm` the length over the finger, `free_edge_mm` what stands
 * past it, `thickness_mm` the plate at its edge, `radius_mm` the curve along the nail (0: straight).
 */
export const Plate = z.strictObject({
  width_mm: mm(4, 25),
  arch_mm: mm(0, 12),
  bed_mm: mm(4, 25),
  free_edge_mm: mm(0, 30),
  outline: z.enum(PLATE_OUTLINES),
  thickness_mm: mm(0.1, 1.5),
  radius_mm: mm(0, 200),
});
export type Plate = z.infer<typeof Plate>;

/** What may be the matter with a nail. `leave-alone`: injured or infected, skin or nail; no service. */
export const CONDITIONS = ['thin', 'oily', 'ridged', 'bitten', 'lifted-before', 'leave-alone'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** A nail's own change to its look, by element id: the element left off, or some of its options replaced. */
export const NailChange = z.union([
  z.strictObject({ element: Id, leave_off: z.literal(true) }),
  z.strictObject({ element: Id, options: z.record(z.string(), z.json()) }),
]);
export type NailChange = z.infer<typeof NailChange>;

export const Nail = z.strictObject({
  plate: Plate,
  /** Whether this nail is worked on in this sitting: a set may be five nails, or one practice tip. */
  in_work: z.boolean(),
  conditions: z.array(z.enum(CONDITIONS)).check(
    z.maxLength(CONDITIONS.length),
    z.refine((all) => new Set(all).size === all.length, 'names a condition twice'),
  ),
  /** Length past the free edge and outline of this nail, where they are not its build's. */
  own_free_mm: z.nullable(mm(0, 30)),
  own_shape: z.nullable(z.enum(SHAPES)),
  start: Start,
  build: Id,
  look: z.nullable(Id),
  changes: z.array(NailChange).check(z.maxLength(60)),
});
export type Nail = z.infer<typeof Nail>;
