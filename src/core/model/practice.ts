import * as z from 'zod/mini';
import { MOST_OWN_TIMES, OwnTime } from './ownTime';
import { mm } from './primitives';

/** The artist's schools. Each is a choice the trade disagrees about; the defaults and reasons stand in docs/craft.md. */
export const Practice = z.strictObject({
  /** Leave the base tacky so that the next coat grips it, or wipe it. */
  base: z.enum(['leave', 'wipe']),
  /** Primer once on the dehydrated plate, or none. */
  primer: z.enum(['once', 'none']),
  /** What the file leaves of a free edge, plate or tip and all that lies on it. */
  edge_mm: mm(0.3, 1.2),
  /** Acrylic on a plate primed once and dry, or primed again and beaded into it wet. */
  acrylic_primer: z.enum(['dry', 'dry-and-wet']),
  /** Whether an extension is pinched to its C-curve while it still gives. */
  pinch: z.enum(['pinch', 'leave']),
  /** What a build is levelled with. */
  grit: z.enum(['100-180', '100', '180']),
  /** Colour straight on a filed build, or base first. */
  filed: z.enum(['colour', 'base']),
  /** Ready tips cut and filed to shape before they are fixed, or on the finger; or sized, cut and shaped ahead of the sitting. */
  tips: z.enum(['before', 'after', 'ready']),
  /** Stones set in the wet top, or bedded first with the top taken around them. */
  stones: z.enum(['wet-top', 'bedded']),
  /** The top taken around what stands, or run over set stones as well: a safer hold, and less fire. */
  stone_top: z.enum(['around', 'over']),
  /** The thumb turns away from the light in a load of five; cured alone, or both in a load of their own, it faces it. */
  thumbs: z.enum(['apart', 'together', 'with-fingers']),
  /** On a client the other hand can be worked on during a cure; on one's own hands it cannot. */
  wearer: z.enum(['client', 'own']),
  /** The artist's stronger hand; on one's own nails it is painted by the weaker one, more slowly. */
  stronger_hand: z.enum(['left', 'right']),
  /** How quick the artist's hands are against the guide times. */
  pace: z.enum(['new', 'usual', 'practised']),
  /** What was seen of the artist's own hands; it goes before the pace. */
  own_times: z.optional(z.nullable(z.array(OwnTime).check(z.maxLength(MOST_OWN_TIMES)))),
  /** Whether the plan saves every second, or changes of hand, brush and lamp as well. */
  flow: z.enum(['quick', 'balanced', 'calm']),
  /** Whether the two hands are meant to match, finger by finger. */
  hands: z.enum(['alike', 'differ']),
});
export type Practice = z.infer<typeof Practice>;
