import type { StartOf } from '../../model/start';
import type { StartKind } from '../start';

/** A bare plate. */
export const bare: StartKind<StartOf<'bare'>> = {
  kind: 'bare',
  words: 'Bare',
  blurb: 'Nothing on the nail.',
  fields: () => [{ kind: 'switch', path: 'dull', words: 'The shine is off already' }],
  fresh: () => ({ kind: 'bare', dull: false }),
  found: ({ dull }) => ({ dull }),
  shines: ({ dull }) => !dull,
};
