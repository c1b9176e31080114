import * as z from 'zod/mini';
import { HANDS, NAILS } from '../model/names';
import { PRODUCT_FAMILIES } from '../model/product';
import { BenchClock } from './clock';

/** The most that a note holds, and a log. */
export const MOST_NOTE = 500;
const MOST_EVENTS = 5000;

const Operation = z.string().check(z.minLength(3), z.maxLength(200));
const Nail = z.enum(NAILS);
const At = z.number().check(z.gte(0));
const Mode = z.enum(['cure', 'flash']);

/** One piece of work as it was planned: how long it takes, or its light, held within the work. */
const Piece = z.strictObject({
  operation: Operation,
  seconds: z.number().check(z.gte(0)),
  light: z.optional(z.strictObject({ mode: Mode, lamp: z.string() })),
  /** What is done, of what, and how long the guide gives for what hands can hasten; logs of before this was kept have none. */
  work: z.optional(
    z.strictObject({
      verb: z.string().check(z.maxLength(40)),
      family: z.optional(z.enum(PRODUCT_FAMILIES)),
      guide_s: z.number().check(z.gte(0)),
      /** A hold that no hand hastens, and the brush that is changed before it. */
      fixed_s: z.number().check(z.gte(0)),
    }),
  ),
  /** Of a wipe that only lets another nail be filed: what it follows on its own. */
  after: z.optional(Operation),
});

/** What happened at the table, at the bench's own time in ms. */
export const BenchEvent = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('begun'), at_ms: At }),
  /** Work on some nails, from `from_ms` on. */
  z.strictObject({
    what: z.literal('done'),
    at_ms: At,
    from_ms: At,
    words: z.string(),
    by: z.enum(['key', 'tap', 'pedal']),
    pieces: z.array(Piece),
    /** How long its nails then rest. */
    rest_s: z.optional(z.number().check(z.gte(0))),
  }),
  /** Nails under a lamp, for so long. */
  z.strictObject({
    what: z.literal('lit'),
    at_ms: At,
    words: z.string(),
    lamp: z.string(),
    mode: Mode,
    seconds: z.number().check(z.gt(0)),
    nails: z.array(Nail),
    operations: z.array(Operation),
  }),
  /** A light that ended before its time: by the lamp's fault, or its door. `of`: the event's place in the log. */
  z.strictObject({
    what: z.literal('cut-short'),
    at_ms: At,
    of: z.number().check(z.gte(0)),
    why: z.enum(['door', 'fault']),
  }),
  /** A press that was wrong: what the event at `of` says did not happen. */
  z.strictObject({ what: z.literal('taken-back'), at_ms: At, of: z.number().check(z.gte(0)) }),
  /** What was done of these was for nothing, and is done again. */
  z.strictObject({
    what: z.literal('undone'),
    at_ms: At,
    words: z.string(),
    operations: z.array(Operation).check(z.minLength(1)),
  }),
  /** A break: the hands rest, lights and films go on. */
  z.strictObject({ what: z.literal('paused'), at_ms: At }),
  z.strictObject({ what: z.literal('resumed'), at_ms: At }),
  /** What a magnet, a marble or a mix really was, on the nails of these operations; `kept`: as it was planned. */
  z.strictObject({
    what: z.literal('recipe'),
    at_ms: At,
    operations: z.array(Operation).check(z.minLength(1)),
    kept: z.boolean(),
    figures: z
      .array(
        z.strictObject({
          path: z.string().check(z.maxLength(80)),
          words: z.string().check(z.maxLength(120)),
          unit: z.string().check(z.maxLength(8)),
          value: z.number(),
        }),
      )
      .check(z.maxLength(24)),
  }),
  /** Read off a caliper. */
  z.strictObject({ what: z.literal('measured'), at_ms: At, nail: z.nullable(Nail), mm: z.number() }),
  /** A picture was taken; it is kept beside the log, on this device. */
  z.strictObject({
    what: z.literal('pictured'),
    at_ms: At,
    photo: z.string().check(z.maxLength(60)),
    operation: z.nullable(Operation),
  }),
  /** Whether the time of the work at `of` counts among the artist's own, whatever it looks like. */
  z.strictObject({
    what: z.literal('counted'),
    at_ms: At,
    of: z.number().check(z.gte(0)),
    counts: z.boolean(),
  }),
  z.strictObject({ what: z.literal('replanned'), at_ms: At, why: z.string() }),
  z.strictObject({
    what: z.literal('noted'),
    at_ms: At,
    operation: z.nullable(Operation),
    text: z.string().check(z.minLength(1), z.maxLength(MOST_NOTE)),
  }),
  z.strictObject({ what: z.literal('ended'), at_ms: At }),
]);
export type BenchEvent = z.infer<typeof BenchEvent>;

const BenchLog = z.array(BenchEvent).check(z.maxLength(MOST_EVENTS));

/** A round of the sitting, as it was planned when the work began or was planned anew. */
const Course = z.array(
  z.strictObject({
    number: z.number(),
    kind: z.enum(['work', 'load']),
    start_s: z.number(),
    end_s: z.number(),
    hand: z.enum([...HANDS, 'both']),
    nails: z.array(Nail),
    words: z.string(),
    then: z.optional(z.array(z.string())),
    waited: z.optional(z.string()),
    reason: z.string(),
    caution: z.optional(z.string()),
    times: z.optional(z.number()),
    wait_s: z.optional(z.number()),
    light: z.optional(z.strictObject({ mode: Mode, seconds: z.number(), lamp: z.string() })),
    operations: z.array(Operation),
    /** The pass it belongs to; a course of before they were kept has none. */
    pass: z.optional(
      z.strictObject({ number: z.number(), hand: z.enum([...HANDS, 'both']), title: z.string() }),
    ),
    /** The work of it, piece by piece. */
    pieces: z.array(Piece),
    /** What must follow soon: "Into the lamp", by which operation, and how soon at most. */
    windows: z.array(
      z.strictObject({
        operation: Operation,
        follows: Operation,
        words: z.string(),
        guide_s: z.number(),
        most_s: z.number(),
      }),
    ),
  }),
);
export type CourseRound = z.infer<typeof Course>[number];

/** A sitting at the table: the course it follows, and what has happened of it. */
export const Bench = z.strictObject({
  set: z.string(),
  /** The set as it was when its course was planned: another one is told. */
  mark: z.string(),
  course: Course,
  events: BenchLog,
  clock: BenchClock,
});
export type Bench = z.infer<typeof Bench>;
