import { buildOf } from '../../compile/prepare';
import { buildKindOf } from '../../craft/builds';
import type { NailRule } from '../rule';
import { rounded } from '../../model/rounded';

/** Wider than this and filing the sides takes the tip's strength (common practice). */
const MAX_SPARE_MM = 1.2;

/** A tip must reach sidewall to sidewall; between sizes the wider one is taken and filed. */
export const tipSize: NailRule = {
  codes: ['tip-misfit'],
  asks: 'Is there a tip in the box that reaches sidewall to sidewall?',
  check: ({ set, context }) => {
    if (buildKindOf(buildOf(set, context.nail).kind).edge !== 'tip') return [];
    const { width_mm } = context.frame;
    const wide = set.kit.tips.filter((tip) => tip.width_mm >= width_mm - 0.05);
    const best = wide.reduce((a, b) => (b.width_mm < a.width_mm ? b : a), { size: -1, width_mm: Infinity });
    const largest = Math.max(0, ...set.kit.tips.map((tip) => tip.width_mm));
    if (!Number.isFinite(best.width_mm)) {
      return [
        {
          severity: 'stop',
          message: `No tip in the box reaches sidewall to sidewall: the nail is ${rounded(width_mm, 1)} mm, the widest tip ${rounded(largest, 1)} mm.`,
          reason: 'Too narrow a tip lifts or cracks along the sides.',
          figure: {
            words: 'widest tip',
            value: rounded(largest, 1),
            limit: rounded(width_mm, 1),
            is: 'at least',
            unit: 'mm',
          },
        },
      ];
    }
    const spare = best.width_mm - width_mm;
    if (spare <= MAX_SPARE_MM) return [];
    return [
      {
        severity: 'warn',
        message: `The nearest tip, size ${best.size}, is ${rounded(spare, 1)} mm too wide.`,
        reason: 'Filing so much off the sides takes the tip’s strength; left on, it lifts at the sides.',
        figure: {
          words: 'too wide by',
          value: rounded(spare, 2),
          limit: MAX_SPARE_MM,
          is: 'at most',
          unit: 'mm',
        },
      },
    ];
  },
};
