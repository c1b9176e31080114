import type { Broken } from '../../timing/problem';
import type { SetRule } from '../rule';
import { rounded } from '../../model/rounded';

interface Words {
  says: (what: string) => string;
  reason: string;
  figure?: string;
}

const WORDS: Record<Broken['kind'], Words> = {
  'dust-beside-wet': {
    says: (what) => `${what}: there is dust while another nail of that hand is wet or sticky.`,
    reason: 'Dust settles in the sticky layer and shows under the top.',
  },
  'open-too-long': {
    says: (what) => `${what} waits too long for the lamp.`,
    reason: 'A wet film gathers lint and creeps to the walls; a runny one has run before the light holds it.',
    figure: 'over its open time',
  },
  'primed-too-long': {
    says: (what) => `${what} comes too long after the primer.`,
    reason: 'A primed plate takes up moisture again; prime just before the base.',
    figure: 'over its time',
  },
  'pinched-too-late': {
    says: (what) => `${what} comes when the acrylic hardly gives any more.`,
    reason: 'Dull beads take the C-curve for a few minutes; hard ones crack, or spring back.',
    figure: 'over its time',
  },
  'gone-dull': {
    says: (what) => `${what} comes when the acrylic it goes into has gone dull.`,
    reason: 'Pieces sink into a wet bead; on a dull one they lie loose and stand up.',
    figure: 'over its time',
  },
  'soaked-too-long': {
    says: (what) => `${what}: the remover has been on longer than it is meant to.`,
    reason: 'Past its time a soak dries out plate and skin, and softens nothing more.',
    figure: 'over its time',
  },
  cooled: {
    says: (what) => `${what} comes when the top below has cooled.`,
    reason: 'Powder takes to a top that is warm from the lamp; later it takes in patches.',
    figure: 'over its time',
  },
  'spill-left': {
    says: (what) => `${what} comes minutes after its flash.`,
    reason: 'A flashed spill wipes off cleanly while it is fresh; on skin it is uncured gel all the while.',
    figure: 'over its time',
  },
  'hand-at-work': {
    says: (what) => `${what}: the hand that does it has a nail that is wet, only flashed, or on a form.`,
    reason: 'On your own hands the one at work must be safe: what is soft on it is smeared or knocked.',
  },
  'forms-on-both': {
    says: (what) => `${what}: the other hand has a form or mould on already.`,
    reason: 'With forms on both hands neither can be rested or turned, and the first ones are knocked loose.',
  },
};

/** What no order of work could keep: dust beside wet nails, films and primer that wait too long. */
export const sittingKept: SetRule = {
  codes: Object.keys(WORDS) as Broken['kind'][],
  asks: 'Can the sitting be run as the craft asks?',
  check: ({ sitting, operations }) =>
    sitting.broken.map((broken) => {
      const operation = operations.find((one) => one.id === broken.operation)!;
      const words = WORDS[broken.kind];
      return {
        code: broken.kind,
        severity: 'warn' as const,
        nail: operation.nail,
        operation: operation.id,
        element: operation.element,
        message: words.says(operation.words),
        reason: words.reason,
        ...(words.figure
          ? {
              figure: {
                words: words.figure,
                value: rounded(broken.seconds, 0),
                limit: 0,
                is: 'at most' as const,
                unit: 's',
              },
            }
          : {}),
      };
    }),
};
