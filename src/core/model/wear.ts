import * as z from 'zod/mini';
import { dayWords } from './days';
import { NAILS, type NailName } from './names';
import { Words } from './primitives';
import { Day } from './shelf';

/** What can become of a nail that is worn. */
export const WEAR_WHAT = ['lifted', 'chipped', 'cracked', 'fell', 'grown-out', 'off-early'] as const;
export type WearWhat = (typeof WEAR_WHAT)[number];

/** How much of the nail it is. */
export const HOW_MUCH = ['a little', 'up to half', 'more than half'] as const;

/** What a wearer felt. */
export const FELT = ['burning', 'itching', 'pressure', 'pain'] as const;
export type Felt = (typeof FELT)[number];

/** Where on the nail: across from −1 at its left wall to 1, along from 0 at the cuticle to 1 at the tip. */
export const Spot = z.strictObject({
  across: z.number().check(z.gte(-1), z.lte(1)),
  along: z.number().check(z.gte(0), z.lte(1)),
});
export type Spot = z.infer<typeof Spot>;

/** Something that was seen on a nail, on a day. `causes`: what the artist says of a cause that was offered. */
export const WearNote = z.strictObject({
  on: Day,
  what: z.enum(WEAR_WHAT),
  at: z.nullable(Spot),
  much: z.nullable(z.enum(HOW_MUCH)),
  felt: z.array(z.enum(FELT)).check(z.maxLength(4)),
  note: z.string().check(z.maxLength(500, 'must be at most 500 characters')),
  /** Bare plate at the cuticle, as a caliper reads it. */
  grown_mm: z.optional(z.nullable(z.number().check(z.gte(0), z.lte(30)))),
  photo: z.nullable(z.string().check(z.maxLength(80))),
  causes: z
    .array(z.strictObject({ code: z.string().check(z.maxLength(60)), so: z.boolean() }))
    .check(z.maxLength(20)),
});
export type WearNote = z.infer<typeof WearNote>;

/** What was really done on a nail, as far as anyone knows; what is null nobody knows. */
export const NailFacts = z.strictObject({
  /** How it is built, by its kind and by its name; the looks it wears. */
  build: z.string().check(z.maxLength(60)),
  build_name: Words,
  look: z.nullable(Words),
  length_mm: z.number(),
  bed_mm: z.number(),
  products: z.array(Words).check(z.maxLength(60)),
  /** Steps that were left out at the table, by verb. */
  left_out: z.array(z.string().check(z.maxLength(40))).check(z.maxLength(60)),
  dehydrated: z.boolean(),
  primed: z.boolean(),
  buffed: z.boolean(),
  /** From the last primer or dehydrator to the first wet film on it. */
  primed_to_wet_s: z.nullable(z.number()),
  /** Light that was cut short, as the least share that any of its films got. */
  least_light: z.nullable(z.number()),
  /** A tip’s width over its nail: less than nothing is too narrow. */
  tip_spare_mm: z.nullable(z.number()),
  /** A film of each is capped over the free edge. */
  capped: z.boolean(),
  edge_mm: z.nullable(z.number()),
  cuticle_mm: z.nullable(z.number()),
  /** What its end carries, as a multiple of a usual natural nail. */
  carries: z.nullable(z.number()),
  conditions: z.array(z.string().check(z.maxLength(40))).check(z.maxLength(10)),
  past_date: z.array(Words).check(z.maxLength(20)),
  fixing_mm3: z.nullable(z.number()),
  /** What is not found again from memory: a magnet, a marble, a mix, as it really was. */
  recipes: z.optional(z.array(z.string().check(z.maxLength(300))).check(z.maxLength(20))),
});
export type NailFacts = z.infer<typeof NailFacts>;

/** Of a set as it is worn. */
export const MOST_PHOTOS = 40;

/** Something to do after: to ask how it holds, to look at what was mended. */
export const FollowUp = z.strictObject({
  on: Day,
  words: Words,
  done: z.boolean(),
});
export type FollowUp = z.infer<typeof FollowUp>;

const Nail = z.strictObject({ facts: NailFacts, notes: z.array(WearNote).check(z.maxLength(40)) });
const nails = Object.fromEntries(NAILS.map((nail) => [nail, z.nullable(Nail)])) as Record<
  NailName,
  z.ZodMiniNullable<typeof Nail>
>;

/**
 * A set that was made and is, or was, worn: what was done, from the bench’s log or as planned, and how it held. It stands by itself: the set
 * it came from may be gone.
 */
export const Worn = z.strictObject({
  set: z.string().check(z.maxLength(80)),
  title: z.string().check(z.maxLength(200)),
  /** Whose hands, where that is known: a client’s card. */
  client: z.nullable(z.string().check(z.maxLength(80))),
  made_on: Day,
  off_on: z.nullable(Day),
  /** Whether it was worked from the bench, or said to be done as planned. */
  by: z.enum(['bench', 'plan']),
  practice: z.record(z.string(), z.string().check(z.maxLength(60))),
  /** Batches of the bottles that were used, by the products' names. */
  batches: z.optional(z.record(z.string(), z.string().check(z.maxLength(60)))),
  /** Pictures of it as it was worn, by their ids. */
  photos: z.optional(z.array(z.string().check(z.maxLength(80))).check(z.maxLength(MOST_PHOTOS))),
  follow_ups: z.optional(z.array(FollowUp).check(z.maxLength(20))),
  nails: z.strictObject(nails),
});
export type Worn = z.infer<typeof Worn>;

/** The photos that were noted with how a set wore, by their ids. */
export function photosOf({ nails: worn, photos = [] }: Pick<Worn, 'nails' | 'photos'>): string[] {
  const noted = NAILS.flatMap((nail) => (worn[nail]?.notes ?? []).flatMap(({ photo }) => photo ?? []));
  return [...photos, ...noted];
}

/** How much was noted of a set as it wore. */
export function notesOn({ nails: worn }: Pick<Worn, 'nails'>): number {
  return NAILS.reduce((sum, nail) => sum + (worn[nail]?.notes.length ?? 0), 0);
}

/** Products by name, each with the batch of the bottle where that is known. */
export function withBatches(products: readonly string[], batches: Worn['batches'] = {}): string[] {
  return products.map((name) => (batches[name] ? `${name} (batch ${batches[name]})` : name));
}

/** Whether a text is a day. */
export function isDay(text: string): boolean {
  return Day.safeParse(text).success;
}

/** A day is written so that days compare as text; undefined where this can be, else why not. */
export function wearFault(worn: Pick<Worn, 'made_on' | 'off_on'>, on: string): string | undefined {
  if (on < worn.made_on) return 'That is before the set was made.';
  if (worn.off_on !== null && on > worn.off_on) return 'That is after the set came off.';
  return undefined;
}

/** Why a set cannot have been made on a day, `today` being today: what is known of it is earlier, or the day has not come. */
export function madeFault(
  worn: Pick<Worn, 'off_on' | 'nails'>,
  on: string,
  today: string,
): string | undefined {
  if (on > today) return 'That day has not come. Is the clock of this device right?';
  if (worn.off_on !== null && on > worn.off_on) return 'It came off before that.';
  const first = notedDays(worn)[0];
  return first !== undefined && on > first ? `Something was noted on ${dayWords(first)} already.` : undefined;
}

/** Why a set cannot have come off on a day. */
export function offFault(
  worn: Pick<Worn, 'made_on' | 'nails'>,
  on: string,
  today: string,
): string | undefined {
  if (on > today) return 'That day has not come.';
  if (on < worn.made_on) return 'That is before the set was made.';
  const last = notedDays(worn).at(-1);
  return last !== undefined && on < last ? `Something was noted on ${dayWords(last)} still.` : undefined;
}

function notedDays({ nails: all }: Pick<Worn, 'nails'>): string[] {
  return NAILS.flatMap((nail) => (all[nail]?.notes ?? []).map(({ on }) => on)).sort();
}
