import * as z from 'zod';
import type { NailContext } from '../context';
import { baseDraft } from '../drafts';
import type { Draft } from '../operation';
import type { Field } from '../technique';
import type { Prep } from './prep';

/** What holds a build on the wearer's own plate. */
export const OVER_BASE = z.enum(['coat', 'peel-off']);
type OverBase = z.infer<typeof OVER_BASE>;

const CHOICES: { value: OverBase; words: string }[] = [
  { value: 'coat', words: 'A coat of base' },
  { value: 'peel-off', words: 'Peel-off, for days only' },
];

function field(...more: { value: string; words: string }[]): Field {
  return { kind: 'choice', path: 'base', words: 'Base', choices: [...CHOICES, ...more] };
}

/** The choice of a base, with the preparation and the work it asks for. */
export const overBase = {
  field: field(),
  fieldWith: field,
  prep: (base: string): Pick<Prep, 'primer'> => (base === 'peel-off' ? { primer: 'never' } : {}),
  drafts: (base: OverBase, context: NailContext, why: string): Draft[] =>
    base === 'peel-off'
      ? baseDraft(
          context,
          'Worn for days and lifted off whole: it takes the place of primer and base.',
          'peel_base',
        )
      : baseDraft(context, why),
};
