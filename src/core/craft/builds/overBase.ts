import * as z from 'zod/mini';
import type { NailContext } from '../context';
import { baseDraft } from '../drafts';
import type { Draft } from '../operation';
import type { Field } from '../technique';
import type { BuildStages } from '../build';
import { handmadePeel } from '../handmadePeel';
import { clearPlate, prepPlate } from './prep';

/** What holds a build on the wearer's own plate. */
export const OVER_BASE = z.enum(['coat', 'peel-off', 'handmade']);
type OverBase = z.infer<typeof OVER_BASE>;

const CHOICES: { value: OverBase; words: string }[] = [
  { value: 'coat', words: 'A coat of base' },
  { value: 'peel-off', words: 'Peel-off, for days only' },
  { value: 'handmade', words: 'Peel-off of oil and base, by hand' },
];

function field(...more: { value: string; words: string }[]): Field {
  return { kind: 'choice', path: 'base', words: 'Base', choices: [...CHOICES, ...more] };
}

export const PEELS = 'Worn for days and lifted off whole: it takes the place of primer and base.';

/** The choice of a base on the wearer's own length, and the stages it asks for; `none` lays none. */
export const overBase = {
  field: field(),
  fieldWith: field,
  stages(base: OverBase | 'none', context: NailContext, why: string): BuildStages & { foundation: Draft[] } {
    const shapeWords = `File the free edge ${context.frame.shape}`;
    if (base === 'handmade') return { ...clearPlate(context, shapeWords), foundation: handmadePeel(context) };
    const peels = base === 'peel-off';
    return {
      ...prepPlate(context, {
        shapeWords,
        ...(peels ? { primer: 'never' } : {}),
      }),
      foundation:
        base === 'none' ? [] : baseDraft(context, peels ? PEELS : why, peels ? 'peel_base' : 'base'),
    };
  },
};
