import { takesTip } from '../../document/nailContext';
import { rounded } from '../../model/rounded';
import type { NailRule } from '../rule';

/** Less of a bed than this gives a full-cover tip little to hold on (common practice). */
const SHORT_BED_MM = 8;

/** May this nail be worked on, and does it carry what is planned? (craft rule, deferring to a clinician) */
export const condition: NailRule = {
  codes: ['no-service', 'little-plate'],
  asks: 'May this nail be worked on at all, and does it carry what is planned?',
  check: ({ context, set, name }) => {
    const { conditions, plate } = context.nail;
    if (conditions.includes('leave-alone')) {
      return [
        {
          severity: 'stop',
          message: 'This nail is marked to be left alone: leave it out.',
          reason: 'No service on injured or infected skin or nails; the wearer sees a clinician first.',
          fix: {
            words: 'Leave this nail out of the work',
            change: { kind: 'in-work', nails: [name], in_work: false },
          },
        },
      ];
    }
    if (!takesTip(set, context.nail) || !conditions.includes('bitten') || plate.bed_mm >= SHORT_BED_MM)
      return [];
    return [
      {
        severity: 'warn',
        code: 'little-plate',
        message: 'A bitten nail gives the tip little plate to hold on.',
        reason:
          'The tip levers on a short bed and lifts at the cuticle: keep it short, or let the nail grow first.',
        figure: {
          words: 'bed',
          value: rounded(plate.bed_mm, 1),
          limit: SHORT_BED_MM,
          is: 'at least',
          unit: 'mm',
        },
      },
    ];
  },
};
