import * as z from 'zod/mini';
import { PotGrains } from './grains';
import { Colour, count, Id, mm, seconds, um, Words } from './primitives';

/** Families the craft tells apart; what each leaves behind stands in craft/families.ts. */
export const PRODUCT_FAMILIES = [
  'base-gel',
  'peel-off-base',
  'gel-colour',
  'two-stage-colour',
  'art-gel',
  'liner-gel',
  'magnetic-gel',
  'foil-gel',
  'builder-gel',
  'putty-gel',
  'acrylic',
  'dip',
  'dip-base',
  'dip-activator',
  'bedding-gel',
  'fixing-gel',
  'top-no-wipe',
  'top-wipe',
  'top-matte',
  'mirror-powder',
  'pearl-powder',
  'lacquer',
  'lacquer-base',
  'lacquer-top',
  'instant-glue',
  'dehydrator',
  'primer',
  'cleanser',
  'remover',
  'oil',
] as const;
export type ProductFamily = (typeof PRODUCT_FAMILIES)[number];

/** The light a product hardens in, or a lamp gives. */
export const LIGHTS = ['led', 'uv', 'both'] as const;
export type Light = (typeof LIGHTS)[number];

/** How deep light may reach at all; at its most, no coat that anybody lays wants longer. */
export const DEPTH_UM = { min: 10, max: 5000 } as const;

/**
 * A product as its own direction gives it. `lamp_s` is the full cure of one coat `coat_um` thick, `flash_s`
 * what makes it hold its place, `depth_um` the depth in which light falls to 1/e (D_p). What dries or sets by
 * itself has a working time `working_s` and is hard after `dry_s`. `coats_to_cover` is the number of coats for a contrast ratio of 0.98 on the `judged_on` grounds.
 */
export const Product = z.strictObject({
  id: Id,
  name: Words,
  family: z.enum(PRODUCT_FAMILIES),
  coat_um: z.optional(
    z.number().check(z.gte(1, 'must be at least 1 µm'), z.lte(2000, 'must be at most 2000 µm')),
  ),
  lamp: z.optional(
    z.strictObject({
      cure_s: seconds(5, 600),
      flash_s: seconds(1, 120),
      depth_um: z.number().check(z.gte(DEPTH_UM.min), z.lte(DEPTH_UM.max)),
      /** From this thickness on its direction asks for this long. */
      thick: z.optional(z.nullable(z.strictObject({ from_um: um(50, 3000), cure_s: seconds(5, 600) }))),
      /** What light its direction asks for, where it asks for one. */
      light: z.optional(z.enum(LIGHTS)),
    }),
  ),
  /** How long the wet film may wait for its light, where its direction says so. */
  open_s: z.optional(seconds(5, 600)),
  /** The maker's system it belongs to, as the artist calls it: what its maker vouches for together. */
  system: z.optional(Words),
  /** What is in it, as its maker lists it: some hands do not bear everything. */
  contains: z.optional(Words),
  working_s: z.optional(seconds(1, 3600)),
  dry_s: z.optional(seconds(1, 3600)),
  colour: z.optional(Colour),
  effect: z.optional(z.enum(['film', 'sheer', 'metallic'])),
  coats_to_cover: z.optional(z.number().check(z.gte(0.5), z.lte(8))),
  judged_on: z.optional(z.enum(['card', 'nail'])),
  runny: z.optional(z.boolean()),
  /** Glitter or shimmer that is in it. */
  grains: z.optional(PotGrains),
});
export type Product = z.infer<typeof Product>;

/** What a product is known by at a glance: its colour, or that of the glitter in it. */
export function tokenColour({ colour, grains }: Product): string | undefined {
  return colour ?? grains?.colour;
}

/**
 * A lamp. An empty list of programmes means that any time can be set; without `light` it is not noted what it gives. A
 * `torch` is held to one nail by hand, for a flash.
 */
export const Lamp = z.strictObject({
  id: Id,
  name: Words,
  programmes_s: z.array(seconds(5, 600)).check(z.maxLength(12)),
  light: z.optional(z.enum(LIGHTS)),
  torch: z.optional(z.boolean()),
  low_heat: z.optional(z.boolean()),
});
export type Lamp = z.infer<typeof Lamp>;

/** Which product of the kit does the work that no element names. */
export const Roles = z.strictObject({
  dehydrator: Id,
  primer: Id,
  base: Id,
  peel_base: Id,
  builder: Id,
  putty: Id,
  acrylic: Id,
  dip: Id,
  dip_base: Id,
  activator: Id,
  bedding: Id,
  fixing: Id,
  glue: Id,
  top: Id,
  lacquer_base: Id,
  lacquer_top: Id,
  matte_top: Id,
  cleanser: Id,
  remover: Id,
  oil: Id,
});
export type Role = keyof z.infer<typeof Roles>;

/** How strongly the tips of a box are curved across. */
export const CURVES = ['flat', 'normal', 'strong'] as const;
export type CurveClass = (typeof CURVES)[number];

/** One size of a box: what it measures along its curve from side to side, and how many are left. */
export const TipSize = z.strictObject({
  size: count(0, 12),
  arc_mm: mm(4, 30),
  count: count(0, 999),
});

export const TipBox = z.strictObject({
  id: Id,
  name: Words,
  curve: z.enum(CURVES),
  /** Half tips, to be overlaid; otherwise full ones. */
  half: z.optional(z.boolean()),
  sizes: z.array(TipSize).check(z.maxLength(20)),
});
export type TipBox = z.infer<typeof TipBox>;

export const Kit = z.strictObject({
  products: z.array(Product).check(z.maxLength(600)),
  lamps: z.array(Lamp).check(z.maxLength(6)),
  roles: Roles,
  tips: z.array(TipBox).check(z.maxLength(12)),
});
export type Kit = z.infer<typeof Kit>;

/** Whether a lamp of the kit is held to one nail by hand. */
export function hasTorch({ lamps }: Pick<Kit, 'lamps'>): boolean {
  return lamps.some((lamp) => lamp.torch === true);
}
