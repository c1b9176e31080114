import { granted, type NailRule } from '../rule';

/** Past this the shimmer goes on wandering and the beam blurs (common practice). */
const LONGEST_S = 30;

export const magnetHeld: NailRule = {
  codes: ['magnet-too-long'],
  asks: 'Is the magnet taken away before the shimmer disperses?',
  check: (nail) =>
    nail.operations.flatMap((operation) => {
      const held_s = operation.fixed_s ?? 0;
      if (operation.verb !== 'magnet' || held_s <= LONGEST_S) return [];
      return [
        {
          severity: 'warn' as const,
          operation: operation.id,
          element: operation.element,
          message: `The magnet is held for ${held_s} s.`,
          reason:
            'Held too long, the shimmer goes on wandering and the line blurs; cure it while it is sharp.',
          figure: {
            words: 'magnet held',
            value: held_s,
            limit: LONGEST_S,
            is: 'at most' as const,
            unit: 's',
          },
          tries: granted(nail, operation.element, 'held-shorter', { longest_s: LONGEST_S }),
        },
      ];
    }),
};
