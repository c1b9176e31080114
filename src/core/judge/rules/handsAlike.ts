import type { SetRule } from '../rule';
import { FINGERS, nailWords, type NailName } from '../../model/names';

/** Hands meant to be alike, finger by finger. Asked once for the set: the answer is kept in its practice. */
export const handsAlike: SetRule = {
  codes: ['hands-differ'],
  asks: 'Do the hands match where they are meant to?',
  check: ({ set }) => {
    if (set.practice.hands !== 'alike') return [];
    return FINGERS.flatMap((finger) => {
      const left: NailName = `left-${finger}`;
      const right: NailName = `right-${finger}`;
      const worked = set.nails[left].in_work && set.nails[right].in_work;
      if (!worked || set.nails[left].look === set.nails[right].look) return [];
      return [
        {
          severity: 'warn' as const,
          nail: right,
          message: `The ${nailWords(right)} does not match the left one.`,
          reason:
            'The hands are planned alike; a finger that differs reads as a mistake, unless it is meant.',
          fix: {
            words: 'Give it the look of the left hand',
            change: { kind: 'wear' as const, nails: [right], look: set.nails[left].look },
          },
          also: {
            words: 'They differ on purpose',
            change: { kind: 'practice' as const, practice: { hands: 'differ' as const } },
          },
        },
      ];
    });
  },
};
