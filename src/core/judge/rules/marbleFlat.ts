import { masstone } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { difference } from '../../colour/space';
import { mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Parts nearer to each other than this leave no veins to be seen (common practice). */
const TOLD_APART = 12;
/** Stirred further, it is one colour (by the look of it). */
const ONE_COLOUR = 0.8;

/** A marble whose parts cannot be told apart, because they are alike or stirred into one. */
export const marbleFlat: NailRule = {
  codes: ['marble-flat', 'marble-stirred'],
  asks: 'Can the veins of a marble be told apart?',
  check: (nail) =>
    nail.operations.flatMap(({ id, element, paint }): FindingDraft[] => {
      if (paint?.kind !== 'marble') return [];
      const colours = paint.parts.map((part) => masstone(pigmentOf(nail.context.product(part.product))));
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
