import { lengthPast_mm } from '../../compile/lengths';
import { FINGERS, nailWords, type NailName } from '../../model/names';
import { rounded } from '../../model/rounded';
import type { SetRule } from '../rule';

/** What the eye sees between two hands side by side (from memory). */
const SEEN_MM = 0.8;

/** Hands meant to be alike, with one finger of a pair longer than the other: by accident, more often than not. */
export const lengthsAlike: SetRule = {
  codes: ['lengths-differ'],
  asks: 'Are both hands as long, finger by finger?',
  check: ({ set }) => {
    if (set.practice.hands !== 'alike') return [];
    return FINGERS.flatMap((finger) => {
      const pair: NailName[] = [`left-${finger}`, `right-${finger}`];
      const [left, right] = pair.map((nail) => lengthPast_mm(set, nail)) as [number, number];
      const sameBuild = set.nails[pair[0]!].build === set.nails[pair[1]!].build;
      const worked = pair.every((nail) => set.nails[nail].in_work);
      if (!worked || !sameBuild || Math.abs(left - right) <= SEEN_MM) return [];
      return [
        {
          severity: 'note' as const,
          nail: pair[1]!,
          message: `The ${nailWords(pair[1]!)} is ${rounded(Math.abs(left - right), 1)} mm ${right > left ? 'longer' : 'shorter'} than the left one.`,
          reason: 'The hands are planned alike; side by side such a difference is seen.',
          figure: {
            words: 'difference in length',
            value: rounded(Math.abs(left - right), 2),
            limit: SEEN_MM,
            is: 'at most' as const,
            unit: 'mm',
          },
        },
      ];
    });
  },
};
