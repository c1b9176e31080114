import * as z from 'zod/mini';
import { wayShare } from '../geometry/frame';
import type { Profile } from '../geometry/profiles';
import { share } from '../model/primitives';
import { rounded } from '../model/rounded';
import type { Handle } from '../regions/handle';
import { isMirrored, sideOf, type Fitting, type NailContext } from './context';
import { sideWords } from './sides';
import { numberField, type Field } from './technique';

/** Where something that thins out to nothing is full, and where it is gone: shares of the way from cuticle to tip, or from side to side. */
export const Fade = z.strictObject({
  direction: z.enum(['along', 'across']),
  from: share(),
  to: share(),
});
export type Fade = z.infer<typeof Fade>;

export const FRESH_FADE: Fade = { direction: 'along', from: 0.85, to: 0.35 };

export const FADE_FIELDS: readonly Field[] = [
  {
    kind: 'choice',
    path: 'fade.direction',
    words: 'Runs',
    choices: [
      { value: 'along', words: 'Cuticle to tip' },
      { value: 'across', words: 'Side to side' },
    ],
  },
  { ...numberField(Fade, 'from', 'Full at'), path: 'fade.from' },
  { ...numberField(Fade, 'to', 'Gone at'), path: 'fade.to' },
];

/** The profile of a fade on one nail. */
export function fadeOn(element: Fitting, fade: Fade, context: NailContext): Profile {
  return { kind: 'thinned', ...fade, mirror: isMirrored(context.name, element) };
}

/** Where to it thins out, as it is said at a table. */
export function fadesTo({ direction, from, to }: Fade, element: Fitting, context: NailContext): string {
  if (direction === 'across')
    return `towards the ${sideWords(sideOf(context, element) * (to - from), context.name)}`;
  return to < from ? 'towards the cuticle' : 'towards the tip';
}

/** Where it is full and where it is gone, each to be drawn along the nail or across. */
export function fadeHandles<E extends Fitting & { fade: Fade | null }>(
  element: E,
  context: NailContext,
): Handle<E>[] {
  const { fade } = element;
  if (!fade) return [];
  const { frame } = context;
  const side = sideOf(context, element);
  const along = fade.direction === 'along';
  return (['from', 'to'] as const).map((end) => ({
    id: `fade-${end}`,
    words: end === 'from' ? 'fade: full at' : 'fade: gone at',
    at: along
      ? { x: 0, y: fade[end] * frame.length_mm }
      : { x: side * (fade[end] - 0.5) * frame.arc_mm, y: frame.bed_mm * 0.7 },
    says: `${Math.round(fade[end] * 100)} %`,
    move: ({ x, y }) => {
      const at = wayShare(frame, fade.direction, side)(x, y);
      return { ...element, fade: { ...fade, [end]: rounded(Math.max(0, Math.min(1, at)), 3) } };
    },
  }));
}
