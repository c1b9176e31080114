import { lampOf } from '../../craft/families';
import type { Operation } from '../../craft/operation';
import type { NailRule } from '../rule';

/** Thick gel on a thin plate gets hot as it cures (common practice). */
const THIN_PLATE_UM = 350;

export const heat: NailRule = {
  codes: ['heat'],
  asks: 'Will a thick layer burn on a thin plate?',
  check: ({ operations, context }) => {
    const isThin = context.nail.conditions.includes('thin');
    const limit = isThin ? THIN_PLATE_UM : 700;
    const inOneLayer_um = ({ deposit, product }: Operation): number => {
      if (!deposit || !product || !lampOf(context.product(product))) return 0;
      return 't_um' in deposit ? deposit.t_um : deposit.kind === 'tip' ? deposit.fixing_um : 0;
    };
    const cap = operations.find((one) => inOneLayer_um(one) > limit);
    if (!cap) return [];
    const t_um = inOneLayer_um(cap);
    return [
      {
        severity: 'warn',
        operation: cap.id,
        element: cap.element,
        message: `${cap.words} is ${t_um} µm thick on ${isThin ? 'a thin' : 'the'} plate: it will get hot in the lamp.`,
        reason:
          'Gel heats as it cures. Lay it in two layers, or flash in short steps and take the hand out at once.',
        figure: {
          words: 'thickness in one layer',
          value: t_um,
          limit,
          is: 'at most',
          unit: 'µm',
        },
      },
    ];
  },
};
