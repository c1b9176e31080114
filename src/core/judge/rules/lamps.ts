import { FAMILIES } from '../../craft/families';
import type { Operation } from '../../craft/operation';
import type { SetDocument } from '../../document/document';
import type { FindingDraft } from '../finding';
import type { SetRule } from '../rule';
import { mostOf } from '../../model/extent';

/** More runs of the longest programme than this and the lamp is not made for the product (common practice). */
const MOST_RUNS = 4;

const LIGHT_WORDS = { led: 'LED', uv: 'UV', both: 'LED or UV' } as const;

/** Products whose direction asks for a light that no lamp of the kit gives. */
function unlit(set: SetDocument, operations: readonly Operation[]): FindingDraft[] {
  const given = set.kit.lamps.map((lamp) => lamp.light ?? 'both');
  return set.kit.products.flatMap((product): FindingDraft[] => {
    const wants = product.lamp?.light;
    const used = operations.find((one) => one.product === product.id && one.deposit);
    if (!wants || !used || wants === 'both' || given.some((light) => light === 'both' || light === wants))
      return [];
    const [lamp] = set.kit.lamps;
    return [
      {
        code: 'no-light',
        severity: 'stop',
        operation: used.id,
        message: `${product.name} hardens in ${LIGHT_WORDS[wants]} light, and no lamp of this set gives it.`,
        reason: 'In the wrong light gel stays soft for all its time in the lamp, and soft gel sensitises.',
        tries: lamp
          ? [
              {
                words: `Note that ${lamp.name} gives both lights, if its maker says so`,
                change: { kind: 'put-lamp', lamp: { ...lamp, light: 'both' } },
              },
            ]
          : [],
      },
    ];
  });
}

/** Gel wants a lamp, and one whose programmes are long enough. */
export const lamps: SetRule = {
  codes: ['no-lamp', 'programme-short', 'no-light'],
  asks: 'Is there a lamp for what the lamp must harden?',
  check: ({ set, operations }) => {
    const lit = operations.filter((one) => one.lamp);
    if (lit.length === 0) return [];
    if (set.kit.lamps.length === 0) {
      const gel = set.kit.products.find(
        (product) =>
          FAMILIES[product.family].hardens === 'lamp' && operations.some((one) => one.product === product.id),
      );
      return [
        {
          code: 'no-lamp',
          severity: 'stop' as const,
          operation: lit[0]!.id,
          message: `There is no lamp in the kit${gel ? `, and ${gel.name} hardens in nothing else` : ''}.`,
          reason: 'Uncured gel never sets, and is the main road to allergy. Add the lamp that will be used.',
        },
      ];
    }
    const longest = mostOf(
      set.kit.lamps.map((lamp) => (lamp.programmes_s.length === 0 ? Infinity : mostOf(lamp.programmes_s))),
    );
    const worst = lit.reduce((a, b) => (b.lamp!.seconds > a.lamp!.seconds ? b : a));
    const runs = Math.ceil(worst.lamp!.seconds / longest);
    const dark = unlit(set, operations);
    if (runs <= MOST_RUNS) return dark;
    return [
      ...dark,
      {
        code: 'programme-short',
        severity: 'warn' as const,
        operation: worst.id,
        message: `${worst.words} needs the lamp started ${runs} times: its longest programme is ${longest} s.`,
        reason: 'Between two runs the film cools and the count is lost: take a lamp made for this product.',
        figure: {
          words: 'runs of the lamp',
          value: runs,
          limit: MOST_RUNS,
          is: 'at most' as const,
          unit: '',
        },
      } satisfies FindingDraft,
    ];
  },
};
