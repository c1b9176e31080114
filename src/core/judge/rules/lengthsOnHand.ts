import { lengthPast_mm } from '../../compile/lengths';
import { mostOf } from '../../model/extent';
import { FINGERS, HANDS, nailWords, type NailName } from '../../model/names';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import type { SetRule } from '../rule';

/** Beyond this a finger's nail reads as longer than the rest of its hand (common practice). */
const OUT_OF_LINE_MM = 3;

/** One nail of a hand that is much longer than its fellows: it catches, and looks like a slip of the pen. */
export const lengthsOnHand: SetRule = {
  codes: ['longer-than-the-rest'],
  asks: 'Is no nail much longer than the others of its hand?',
  check: ({ set }) =>
    HANDS.flatMap((hand) => {
      const worked = FINGERS.map((finger): NailName => `${hand}-${finger}`).filter(
        (nail) => set.nails[nail].in_work,
      );
      if (worked.length < 3) return [];
      const lengths = worked.map((nail) => ({ nail, past_mm: lengthPast_mm(set, nail) }));
      return lengths.flatMap(({ nail, past_mm }): FindingDraft[] => {
        const others = lengths.filter((one) => one.nail !== nail).map((one) => one.past_mm);
        const next_mm = mostOf(others);
        if (past_mm - next_mm <= OUT_OF_LINE_MM) return [];
        return [
          {
            severity: 'note',
            nail,
            message: `The ${nailWords(nail)} is ${rounded(past_mm - next_mm, 1)} mm longer past the free edge than any other of its hand.`,
            reason: 'One long nail among shorter ones levers and catches, unless it is meant.',
            figure: {
              words: 'longer than the next',
              value: rounded(past_mm - next_mm, 1),
              limit: OUT_OF_LINE_MM,
              is: 'at most',
              unit: 'mm',
            },
            fix: {
              words: `Make it ${rounded(next_mm, 1)} mm past the free edge, as the longest of the others`,
              change: { kind: 'nail', nails: [nail], put: { own_free_mm: rounded(next_mm, 1) } },
            },
          },
        ];
      });
    }),
};
