import { wholePlace, type NailContext } from '../context';
import { baseOver, keyedDrafts } from '../drafts';
import type { Draft } from '../operation';

/** Thickness of a ready full tip at cuticle, apex and free edge (common practice, from memory). */
export const FULL_TIP_UM = { cuticle_um: 180, apex_um: 520, edge_um: 420 };

/** What a tip that is ready asks for at the table: it is laid out by its finger (common practice). */
const LAID_OUT_S = 10;

/** A tip sized as `work` says; where all were sized and cut ahead of the sitting, laid out, `and` what does not keep. */
export function sizedTip(
  { practice }: NailContext,
  tip: string,
  work: Pick<Draft, 'words' | 'hand_s' | 'reason'>,
  and = '',
): Draft {
  const ready = practice.tips === 'ready';
  return {
    step: 'ready-tip',
    verb: 'ready-tip',
    place: wholePlace(),
    ...(ready
      ? {
          words: `Lay the ${tip} out${and}`,
          hand_s: LAID_OUT_S,
          // No dust of it is raised here.
          caution: '',
          reason: 'It was sized, cut and shaped before the sitting, and lies by its finger.',
        }
      : work),
  };
}

/** A ready tip made a ground for colour, on the hand or on its stand. */
export function keyedTip(context: NailContext): Draft[] {
  return [
    ...keyedDrafts(context, 'tip', 'colour', 'Colour does not grip the shine of a ready tip.'),
    ...baseOver(context),
  ];
}
