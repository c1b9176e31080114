import { FINGER_WORDS, NEAR_MISS, seenOn, type Seen } from '../balance';
import { fingerOf, FINGERS, HANDS, type NailName } from '../../model/names';
import { upperFirst } from '../../model/letters';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import type { SetCase, SetRule } from '../rule';

/** What the eye does between the fingers of a hand: the same as is said beside who wears what. */
export const eye: SetRule = {
  codes: ['neighbours-fight', 'nearly-one-colour', 'none-leads'],
  asks: 'Does one nail of a hand lead, and do neighbours agree?',
  check: (set) =>
    HANDS.flatMap((hand) => {
      const nails = FINGERS.map((finger): NailName => `${hand}-${finger}`);
      const worn = nails.map((nail) => (set.set.nails[nail].in_work ? set.seen(nail) : undefined));
      // Three of a hand may be meant; beside four nothing is quiet any more.
      const found = seenOn(worn).filter((seen) => seen.kind !== 'none-leads' || seen.value > MOST_BUSY);
      return found.map((seen) =>
        told(
          seen,
          seen.fingers.map((i) => nails[i]!),
          set,
        ),
      );
    }),
};

function told({ kind, value, fingers }: Seen, nails: readonly NailName[], { set }: SetCase): FindingDraft {
  const pair = upperFirst(
    fingers
      .slice(0, 2)
      .map((i) => FINGER_WORDS[i]!)
      .join(' and '),
  );
  // Both hands alike are told once.
  const about = {
    severity: 'note' as const,
    nail: nails[0]!,
    about: nails.map((nail) => `${fingerOf(nail)} ${set.nails[nail].look}`).join(),
  };
  if (kind === 'two-ask')
    return {
      ...about,
      code: 'neighbours-fight',
      message: `${pair} ask for the eye at once.`,
      reason: 'Two busy nails side by side take from each other; with a quiet one between both are seen.',
    };
  if (kind === 'nearly-one')
    return {
      ...about,
      code: 'nearly-one-colour',
      message: `${pair} are nearly one colour, and not quite.`,
      reason:
        'Colours that nearly match read as a mistake: take one and the same, or two that clearly differ.',
      figure: {
        words: 'colour difference',
        value: rounded(value, 1),
        limit: NEAR_MISS.to,
        is: 'at least',
        unit: 'ΔE00',
      },
    };
  return {
    ...about,
    code: 'none-leads',
    message: `${value} fingers of a hand stand out: none of them leads.`,
    reason: 'One or two accents a hand are seen; where most nails are busy, none is.',
  };
}

const MOST_BUSY = 3;
