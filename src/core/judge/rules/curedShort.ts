import { DIRECTION_MARGIN } from '../../craft/cure';
import { lampOf } from '../../craft/families';
import type { FindingDraft } from '../finding';
import type { NailRule } from '../rule';

/**
 * A light of the artist's own in the place of a film's cure, and shorter than its direction: later light may reach it
 * through what lies above, but until then the next film is laid on what is soft.
 */
export const curedShort: NailRule = {
  codes: ['cured-short'],
  asks: 'Does a light put in by hand give a film the time its direction asks for?',
  check: ({ operations, context, compiled }) => {
    const left = new Set(
      compiled.skipped.filter((one) => one.lamp?.mode === 'cure').map((one) => one.element),
    );
    return operations.flatMap((laid, i): FindingDraft[] => {
      const product = laid.deposit && laid.product ? context.product(laid.product) : undefined;
      const lamp = product && lampOf(product);
      if (!product || !lamp || !left.has(laid.element)) return [];
      const next = operations.findIndex((one, k) => k > i && one.deposit);
      const lights = operations.slice(i + 1, next < 0 ? undefined : next).filter((one) => one.lamp);
      const had_s = lights.reduce((sum, one) => sum + one.lamp!.seconds, 0);
      const own = lights.find((one) => one.element === 'own' && one.lamp!.mode === 'cure');
      if (!own || had_s >= lamp.cure_s * DIRECTION_MARGIN) return [];
      return [
        {
          severity: 'warn',
          operation: own.id,
          element: laid.element,
          message: `${product.name} gets ${had_s} of its ${lamp.cure_s} s before the next film lies on it.`,
          reason:
            'Cured short it stays soft below: what is laid on it wrinkles or lifts, and soft gel sensitises.',
          figure: { words: 'light', value: had_s, limit: lamp.cure_s, is: 'at least', unit: 's' },
        },
      ];
    });
  },
};
