import type { BuildStages } from '../build';
import type { NailContext } from '../context';
import { dustOffDraft } from '../drafts';
import { pushBackDraft, sanitiseDraft, shapeDraft, shineOffDraft } from '../prepWork';
import { primePlate, type Primes } from '../primePlate';
import { startKindOf } from '../starts';

/** How the plate is prepared. */
export interface Prep {
  shapeWords: string;
  primer?: Primes;
}

/** What every build on a hand begins with: old product off; cuticle, shape, shine off, dust off; then primed. */
export function prepPlate(context: NailContext, { shapeWords, primer }: Prep): Start {
  const { arrive, prepare } = clearPlate(context, shapeWords);
  return { arrive, prepare: [...prepare, ...primePlate(context, primer)] };
}

type Start = Required<Pick<BuildStages, 'arrive' | 'prepare'>>;

/** The old product off; cuticle, shape, shine off, dust off. */
export function clearPlate(context: NailContext, shapeWords: string): Start {
  const { start } = context.nail;
  const kind = startKindOf(start.kind);
  if (kind.prepared) return kind.prepared(start, context);
  return {
    arrive: [sanitiseDraft(context), ...(kind.clear?.(start, context) ?? [])],
    prepare: [
      pushBackDraft(),
      shapeDraft(shapeWords),
      ...(kind.shines(start) ? [shineOffDraft('Take the shine off')] : []),
      dustOffDraft('brush', 'Dust under the base lifts it.'),
    ],
  };
}
