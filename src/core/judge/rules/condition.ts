import type { NailRule } from '../rule';

/** Broken or infected skin or nails: no service (craft rule, deferring to a clinician). */
export const condition: NailRule = {
  codes: ['no-service'],
  asks: 'May this nail be worked on at all?',
  check: ({ context }) =>
    context.nail.condition === 'broken-skin'
      ? [
          {
            severity: 'stop',
            message: 'The skin around this nail is marked as broken: leave it out.',
            reason: 'No service on broken or infected skin or nails; the wearer sees a clinician first.',
          },
        ]
      : [],
};
