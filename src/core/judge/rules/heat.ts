import { lampOf } from '../../craft/families';
import type { Operation } from '../../craft/operation';
import type { NailRule } from '../rule';

/** Thick gel on a thin plate gets hot as it cures (common practice). */
const THIN_PLATE_UM = 350;
/** The first gel on a thin plate has nothing below it that takes up its heat (common practice). */
const FIRST_ON_THIN_UM = 200;
/** A plate thinner than this is thin, whether it was noted or not (common practice: about half a millimetre is usual). */
const THIN_MM = 0.35;

export const heat: NailRule = {
  codes: ['heat'],
  asks: 'Will a thick layer burn on a thin plate?',
  check: ({ operations, context }) => {
    const { conditions, plate } = context.nail;
    const isThin = conditions.includes('thin') || plate.thickness_mm < THIN_MM;
    const inOneLayer_um = ({ deposit, product }: Operation): number => {
      if (!deposit || !product || !lampOf(context.product(product))) return 0;
      return 't_um' in deposit ? deposit.t_um : deposit.kind === 'tip' ? deposit.fixing_um : 0;
    };
    const first = operations.find((one) => inOneLayer_um(one) > 0);
    const limitOf = (one: Operation) => (!isThin ? 700 : one === first ? FIRST_ON_THIN_UM : THIN_PLATE_UM);
    const cap = operations.find((one) => inOneLayer_um(one) > limitOf(one));
    if (!cap) return [];
    const limit = limitOf(cap);
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
