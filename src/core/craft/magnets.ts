import { MAGNET_FORMS, MAGNET_STRENGTHS, type MagnetPull } from '../model/supply';
import type { Field } from './technique';

/** How far off a nail a magnet still draws shimmer together, by its strength (common practice, rough). */
export const REACH_MM: Record<MagnetPull['strength'], number> = { weak: 3, usual: 7, strong: 12 };

const FORM_WORDS: Record<MagnetPull['form'], string> = { bar: 'A bar', stack: 'A stack', round: 'A round' };
const STRENGTH_WORDS: Record<MagnetPull['strength'], string> = {
  weak: 'Weak',
  usual: 'Of the usual strength',
  strong: 'Strong',
};

/** Form and strength of a magnet, where they are known. */
export const PULL_FIELDS: readonly Field[] = [
  {
    kind: 'optional',
    path: 'pull',
    words: 'I know how strong the magnet is',
    fresh: (): MagnetPull => ({ form: 'bar', strength: 'usual' }),
  },
  {
    kind: 'choice',
    path: 'pull.form',
    words: 'The magnet is',
    choices: MAGNET_FORMS.map((value) => ({ value, words: FORM_WORDS[value] })),
  },
  {
    kind: 'choice',
    path: 'pull.strength',
    words: 'How strong',
    choices: MAGNET_STRENGTHS.map((value) => ({ value, words: STRENGTH_WORDS[value] })),
  },
];
