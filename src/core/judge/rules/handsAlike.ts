import type { SetRule } from '../rule';
import { FINGERS, nailWords, type NailName } from '../../model/names';

/** Hands meant to be alike, finger by finger. */
export const handsAlike: SetRule = {
  codes: ['hands-differ'],
  asks: 'Do the hands match where they are meant to?',
  check: ({ set }) => {
    if (set.practice.hands !== 'alike') return [];
    return FINGERS.flatMap((finger) => {
      const left: NailName = `left-${finger}`;
      const right: NailName = `right-${finger}`;
      if (set.nails[left].look === set.nails[right].look) return [];
      return [
        {
          severity: 'warn' as const,
          nail: right,
          message: `The ${nailWords(right)} does not match the left one.`,
          reason: 'The hands are planned alike; one finger that differs reads as a mistake.',
          fix: {
            words: 'Give it the look of the left hand',
            change: { kind: 'wear' as const, nails: [right], look: set.nails[left].look },
          },
        },
      ];
    });
  },
};
