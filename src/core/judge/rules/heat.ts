import type { NailRule } from '../rule';

/** Thick gel on a thin plate gets hot as it cures (common practice). */
const THIN_PLATE_UM = 350;

export const heat: NailRule = {
  codes: ['heat'],
  asks: 'Will a thick layer burn on a thin plate?',
  check: ({ operations, context }) => {
    const isThin = context.nail.conditions.includes('thin');
    const limit = isThin ? THIN_PLATE_UM : 700;
    const cap = operations.find((one) => one.deposit?.kind === 'level' && one.deposit.t_um > limit);
    if (!cap || cap.deposit?.kind !== 'level') return [];
    return [
      {
        severity: 'warn',
        operation: cap.id,
        element: cap.element,
        message: `${cap.words} is ${cap.deposit.t_um} µm thick on ${isThin ? 'a thin' : 'the'} plate: it will get hot in the lamp.`,
        reason:
          'Gel heats as it cures. Lay it in two layers, or flash in short steps and take the hand out at once.',
        figure: {
          words: 'thickness in one layer',
          value: cap.deposit.t_um,
          limit,
          is: 'at most',
          unit: 'µm',
        },
      },
    ];
  },
};
