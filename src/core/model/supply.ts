import * as z from 'zod/mini';
import { CHARM_SHAPES } from './charmShapes';
import { PIECE_SHAPES } from './pieceShapes';
import { Currency } from './money';
import { Colour, count, Id, mm, share, Words } from './primitives';
import { Lamp, TipBox } from './product';

/** Stone sizes by the trade's numbers. */
export const STONE_NUMBERS = ['SS3', 'SS5', 'SS7', 'SS9', 'SS12', 'SS16', 'SS20'] as const;

/** What a tool is for. */
export const TOOL_USES = ['brush', 'dotting tool', 'stamper', 'file', 'magnet', 'tweezers', 'other'] as const;

export const MAGNET_FORMS = ['bar', 'stack', 'round'] as const;
export const MAGNET_STRENGTHS = ['weak', 'usual', 'strong'] as const;

/** What a magnet is, and how strong. */
export const MagnetPull = z.strictObject({
  form: z.enum(MAGNET_FORMS),
  strength: z.enum(MAGNET_STRENGTHS),
});
export type MagnetPull = z.infer<typeof MagnetPull>;

/** What an artist uses up that no film is made of. */
export const SUNDRY_USES = [
  'wipe',
  'file',
  'buffer',
  'form',
  'foil wrap',
  'wood stick',
  'applicator',
] as const;
export type SundryUse = (typeof SUNDRY_USES)[number];

const left = z.nullable(count(0, 99999));
const measured = z.nullable(z.number().check(z.gte(0), z.lte(99999), z.meta({ step: 0.1 })));
/** What one pack held and cost, and when what is left was counted last (ISO 8601); none of it where not noted. */
const bought = {
  pack: z.optional(z.nullable(z.number().check(z.gte(0.1), z.lte(99999), z.meta({ step: 1 })))),
  price: z.optional(z.nullable(z.number().check(z.gte(0), z.lte(99999), z.meta({ step: 0.5 })))),
  currency: z.optional(z.nullable(Currency)),
  counted_at: z.optional(z.nullable(z.iso.datetime('must be a moment such as 2026-03-01T09:00:00Z'))),
} as const;
const body = {
  length_mm: mm(0.2, 40),
  width_mm: mm(0.1, 30),
  colour: Colour,
  metallic: z.boolean(),
} as const;

/** What an artist has besides products; `count` is how many are left, null where nobody counts them. */
export const Supply = z.discriminatedUnion('kind', [
  z.extend(Lamp, { kind: z.literal('lamp') }),
  z.extend(TipBox, { kind: z.literal('tips'), ...bought }),
  z.strictObject({
    kind: z.literal('piece'),
    id: Id,
    name: Words,
    count: left,
    ...bought,
    ...body,
    shape: z.enum(PIECE_SHAPES),
    thickness_mm: mm(0.005, 3, 0.005),
    /** 0 drapes over the curve, 1 stays flat. */
    stiffness: share(0.1),
  }),
  z.strictObject({
    kind: z.literal('stone'),
    id: Id,
    name: Words,
    count: left,
    ...bought,
    size: z.enum(STONE_NUMBERS),
    colour: Colour,
  }),
  z.strictObject({
    kind: z.literal('charm'),
    id: Id,
    name: Words,
    count: left,
    ...bought,
    ...body,
    shape: z.enum(CHARM_SHAPES),
    height_mm: mm(0.1, 12),
  }),
  z.strictObject({
    kind: z.literal('sheet'),
    id: Id,
    name: Words,
    /** In cm². */
    count: measured,
    ...bought,
    colour: Colour,
  }),
  z.strictObject({
    kind: z.literal('grain'),
    id: Id,
    name: Words,
    /** In g. */
    count: measured,
    ...bought,
    colour: Colour,
  }),
  z.strictObject({
    kind: z.literal('sundry'),
    id: Id,
    name: Words,
    use: z.enum(SUNDRY_USES),
    count: left,
    ...bought,
  }),
  z.strictObject({
    kind: z.literal('tool'),
    id: Id,
    name: Words,
    use: z.enum(TOOL_USES),
    /** Of a magnet. */
    pull: z.optional(z.nullable(MagnetPull)),
  }),
]);
export type Supply = z.infer<typeof Supply>;
export type SupplyOf<K extends Supply['kind']> = Extract<Supply, { kind: K }>;
