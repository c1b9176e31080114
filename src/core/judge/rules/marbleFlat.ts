import { masstone, type Triple } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { difference } from '../../colour/space';
import { leastOf, mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import { granted, type NailCase, type NailRule } from '../rule';
import type { Marble } from '../../craft/matter';
import type { Operation } from '../../craft/operation';
import type { Product } from '../../model/product';
import type { Fix } from '../finding';

/** Parts nearer to each other than this leave no veins to be seen (common practice). */
const TOLD_APART = 12;
/** What is taken in a part's place is well told apart (by the look of it). */
const WELL_APART = 2 * TOLD_APART;
/** Stirred further, it is one colour (by the look of it). */
const ONE_COLOUR = 0.8;

const shadeOf = (product: Product): Triple => masstone(pigmentOf(product));

/** A marble is judged once, in however many layers it is laid. */
function firstOfEach(operations: readonly Operation[]): Operation[] {
  const told = new Set<string>();
  return operations.filter(({ element, paint }) => {
    if (paint?.kind !== 'marble' || told.has(element)) return false;
    told.add(element);
    return true;
  });
}

/** In the place of what there is least of: the kit's nearest colour that is told apart from all the others. */
function toldApart(nail: NailCase, element: string, parts: Marble['parts']): Fix[] {
  const at = parts.reduce((least, part, i) => (part.share < parts[least]!.share ? i : least), 0);
  const others = parts.filter((_, i) => i !== at).map((part) => shadeOf(nail.context.product(part.product)));
  const { family } = nail.context.product(parts[at]!.product);
  const away = (product: Product) => leastOf(others.map((other) => difference(shadeOf(product), other)));
  const [next] = nail.set.kit.products
    .filter((one) => one.family === family && away(one) >= WELL_APART)
    .sort((a, b) => away(a) - away(b));
  if (!next) return [];
  return granted(nail, element, 'another-part', { product: next.id, words: next.name, at });
}

/** A marble whose parts cannot be told apart, because they are alike or stirred into one. */
export const marbleFlat: NailRule = {
  codes: ['marble-flat', 'marble-stirred'],
  asks: 'Can the veins of a marble be told apart?',
  check: (nail) =>
    firstOfEach(nail.operations).flatMap(({ id, element, paint }): FindingDraft[] => {
      if (paint?.kind !== 'marble') return [];
      const colours = paint.parts.map((part) => shadeOf(nail.context.product(part.product)));
      const apart = mostOf(colours.flatMap((a) => colours.map((b) => difference(a, b))));
      const about = { operation: id, element, severity: 'warn' as const };
      if (apart < TOLD_APART)
        return [
          {
            ...about,
            code: 'marble-flat',
            message: 'The colours of the marble are too alike: it looks flat.',
            reason: 'Veins are seen by their lightness and colour against each other.',
            figure: {
              words: 'furthest apart',
              value: rounded(apart, 1),
              limit: TOLD_APART,
              is: 'at least',
              unit: 'ΔE00',
            },
            tries: toldApart(nail, element, paint.parts),
          },
        ];
      if (paint.mixed < ONE_COLOUR) return [];
      return [
        {
          ...about,
          code: 'marble-stirred',
          message: 'The marble is stirred into one colour.',
          reason: 'Each stroke takes it nearer to the mean of its parts; two or three are enough.',
          figure: {
            words: 'stirred',
            value: rounded(paint.mixed * 100, 0),
            limit: ONE_COLOUR * 100,
            is: 'at most',
            unit: '%',
          },
          tries: granted(nail, element, 'stir-less', {}),
        },
      ];
    }),
};
