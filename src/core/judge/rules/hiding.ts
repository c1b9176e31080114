import { coatOf } from '../../craft/context';
import { pigmentOf } from '../../colour/pigments';
import { GROUNDS, HIDING_RATIO, layerOf, over } from '../../colour/film';
import { luminance } from '../../colour/space';
import { adjusting, type NailRule } from '../rule';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import type { Product } from '../../model/product';

/** Below this the ground shows to the eye; the hiding ratio itself is 0.98 (ISO 6504-3). */
const SHOWS_THROUGH = 0.96;

/** Contrast ratio of a colour laid `t_um` thick over the dark and pale grounds of a nail. */
export function contrastOnNail(product: Product, t_um: number): number {
  const layer = layerOf(pigmentOf(product), t_um);
  const { dark, pale } = GROUNDS.nail;
  return luminance(over(layer, [dark, dark, dark])) / luminance(over(layer, [pale, pale, pale]));
}

/** Whether the planned passes of each colour cover. Sheers are meant to show their ground. */
export const hiding: NailRule = {
  codes: ['see-through'],
  asks: 'Does each colour cover in the passes planned?',
  check: (nail) => {
    const { elements, operations, context } = nail;
    const findings: FindingDraft[] = [];
    for (const element of elements) {
      const coats = operations.filter((one) => one.element === element.id && one.paint && one.deposit);
      const named = new Set(
        coats.flatMap((one) =>
          one.paint?.kind === 'blend' ? one.paint.stops.map((s) => s.product) : [one.product!],
        ),
      );
      for (const id of named) {
        const product = context.product(id);
        if (!product.colour || product.effect === 'sheer') continue;
        const own = coats.filter((one) => one.paint?.kind === 'blend' || one.product === id);
        const t_um = own.reduce(
          (sum, one) => sum + (one.deposit?.kind === 'conformal' ? one.deposit.t_um : 0),
          0,
        );
        const ratio = contrastOnNail(product, t_um);
        if (ratio >= SHOWS_THROUGH) continue;
        const passes = Math.ceil(((product.coats_to_cover ?? 2) * coatOf(product)) / (t_um / own.length));
        const fix =
          'passes' in element && element.kind !== 'ombre'
            ? adjusting(nail, element.id, { passes: 'cover' }, 'Lay as many coats as it needs')
            : element.kind === 'ombre' && element.passes < 3 && passes <= 3
              ? adjusting(nail, element.id, { passes: 3 }, 'Lay three passes')
              : {};
        findings.push({
          code: 'see-through',
          severity: ratio < 0.85 ? 'stop' : 'warn',
          operation: own[own.length - 1]!.id,
          element: element.id,
          message: `${product.name} stays see-through in ${own.length} ${own.length === 1 ? 'coat' : 'coats'}: its contrast ratio is ${rounded(ratio, 2)}.`,
          reason: `It covers (${HIDING_RATIO}) in about ${passes}; until then the bed and the free edge show as two colours.`,
          figure: {
            words: 'contrast ratio',
            value: rounded(ratio, 3),
            limit: SHOWS_THROUGH,
            is: 'at least',
            unit: '',
          },
          ...fix,
        });
      }
    }
    return findings;
  },
};
