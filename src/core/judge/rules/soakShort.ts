import { soakGuide_s } from '../../craft/starts/removal';
import type { NailRule } from '../rule';

/** Guides are rough, and a remover's direction goes before them: told where it is clearly less. */
const SHARE = 0.65;

/** Old product that has not had its time in the remover does not come of itself: it is forced, and the plate pays. */
export const soakShort: NailRule = {
  codes: ['soak-short'],
  asks: 'Has the old product as long in the remover as it usually takes?',
  check: ({ name, context, operations }) => {
    const { start } = context.nail;
    const guide_s = start.kind === 'removal' ? soakGuide_s(start.product) : undefined;
    const soak = operations.find((one) => one.verb === 'soak');
    if (start.kind !== 'removal' || guide_s === undefined || !soak || start.soak_s >= guide_s * SHARE)
      return [];
    return [
      {
        severity: 'warn',
        operation: soak.id,
        message: `The soak is short: ${Math.round(start.soak_s / 60)} min, where about ${guide_s / 60} are usual.`,
        reason:
          'What has not let go is scraped off, and takes a layer of the plate along; the remover’s direction goes first.',
        figure: {
          words: 'soak',
          value: start.soak_s,
          limit: Math.round(guide_s * SHARE),
          is: 'at least',
          unit: 's',
        },
        fix: {
          words: `Let it soak for ${guide_s / 60} min`,
          change: { kind: 'nail', nails: [name], put: { start: { ...start, soak_s: guide_s } } },
        },
      },
    ];
  },
};
