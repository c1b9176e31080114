import { wholePlace, type NailContext } from './context';
import { coatOf } from './cure';
import { dustOffDraft, hardenOf, LAST_DUST_OFF, STICKY_OFF, wipeDraft } from './drafts';
import { HAND_S } from './handwork';
import type { Draft } from './operation';

/** How often oil and base are laid in turn (common practice). */
const TURNS = 2;

/** A layer that lets go again, made of oil and base in turns, each cured, then keyed: meant so, and worn for days. */
export function handmadePeel(context: NailContext): Draft[] {
  const [oil, base] = [context.role('oil'), context.role('base')];
  const place = wholePlace();
  return [
    wipeDraft(context, 'peel-plate', LAST_DUST_OFF, 'Clean and dull, and neither dehydrated nor primed.'),
    ...Array.from({ length: TURNS }, (_, i) => i + 1).flatMap((pass): Draft[] => [
      {
        step: 'peel-layer',
        pass,
        verb: 'peel-layer',
        words: `A trace of ${oil.name} wiped out thin, ${base.name} over it, ${pass} of ${TURNS}`,
        product: base.id,
        place,
        deposit: { kind: 'conformal', t_um: coatOf(base) },
        hand_s: HAND_S['peel-layer'],
        reason:
          'Oil keeps the base from gripping: here that is meant. Its bottle stands apart from now on, the brush has oil in it.',
      },
      ...hardenOf(base, coatOf(base), place, 'cure-peel', pass),
    ]),
    wipeDraft(context, 'peel-wipe', STICKY_OFF, 'The sticky layer clogs the buffer: off with it first.'),
    {
      step: 'peel-key',
      verb: 'buff',
      words: 'Take the shine off the peel-off layer, lightly',
      place,
      hand_s: HAND_S.buff,
      reason: 'What comes over it holds on what is dull; pressed harder, the buffer lifts its rim.',
    },
    dustOffDraft('peel-brush', 'Dust under what follows lifts it.'),
    wipeDraft(context, 'peel-clean', LAST_DUST_OFF, 'Clean before the next layer.'),
  ];
}
