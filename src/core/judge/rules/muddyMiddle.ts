import { masstone } from '../../colour/film';
import { mixBands } from '../../colour/spectrum';
import { lchOf } from '../../colour/space';
import { leastOf } from '../../model/extent';
import type { Product } from '../../model/product';
import { pigmentOf } from '../../colour/pigments';
import { granted, type NailCase, type NailRule } from '../rule';
import type { Fix } from '../finding';
import { rounded } from '../../model/rounded';
import { blendAt } from '../../simulate/paints';
import { runOf } from '../../craft/paints';

/** The middle of a blend may lose this share of the duller end's chroma. */
const MAX_LOSS = 0.45;
/** Greys have no chroma to lose. */
const COLOURFUL = 18;

/** Far-apart hues cancel out where they meet; a bridging colour helps (from memory). */
export const muddyMiddle: NailRule = {
  codes: ['muddy-middle'],
  asks: 'Does an ombre keep its colour between its stops?',
  check: (nail) => {
    const seen = new Set<string>();
    return nail.operations.flatMap((operation) => {
      const run = runOf(operation.paint);
      if (!run || seen.has(operation.element)) return [];
      seen.add(operation.element);
      const { product } = nail.context;
      const losses = run.stops.slice(1).map((b, i) => ({
        a: run.stops[i]!,
        b,
        loss: lossBetween(run.stops[i]!.product, b.product, product),
      }));
      const worst = losses.reduce((most, one) => (one.loss > most.loss ? one : most), losses[0]!);
      if (!worst || worst.loss <= MAX_LOSS) return [];
      return [
        {
          severity: 'warn' as const,
          operation: operation.id,
          element: operation.element,
          message: `The blend goes muddy between ${product(worst.a.product).name} and ${product(worst.b.product).name}.`,
          reason:
            'Far-apart hues cancel out where they mix; a bridging colour between them keeps the middle clean.',
          figure: {
            words: 'colour lost in the middle',
            value: rounded(worst.loss * 100, 0),
            limit: MAX_LOSS * 100,
            is: 'at most' as const,
            unit: '%',
          },
          tries: bridges(nail, operation.element, worst),
        },
      ];
    });
  },
};

/** Share of the duller end's chroma that the middle of a blend of two colours loses. */
function lossBetween(a: string, b: string, product: (id: string) => Product): number {
  const blend = {
    direction: 'along' as const,
    mirror: false,
    stops: [
      { product: a, at: 0 },
      { product: b, at: 1 },
    ],
  };
  const chroma = (share: number) => lchOf(masstone(blendAt(blend, share, product))).chroma;
  const duller = Math.min(chroma(0), chroma(1));
  if (duller < COLOURFUL) return 0;
  const [from, to] = [masstone(blendAt(blend, 0, product)), masstone(blendAt(blend, 1, product))];
  // Three bands turn yellow and blue to grey where paint turns green: ten must agree.
  const steps = [0.3, 0.4, 0.5, 0.6, 0.7].map((t) =>
    Math.max(chroma(t), lchOf(mixBands(from, to, t)).chroma),
  );
  return 1 - leastOf(steps) / duller;
}

interface Muddy {
  a: { product: string; at: number };
  b: { product: string; at: number };
}

/** Colours of the kit that keep both halves clean, put half-way; the best three. */
function bridges(nail: NailCase, id: string, { a, b }: Muddy): Fix[] {
  const { product } = nail.context;
  return nail.set.kit.products
    .filter(
      (one) =>
        one.family === 'gel-colour' && one.effect !== 'sheer' && one.id !== a.product && one.id !== b.product,
    )
    .map((one) => ({
      one,
      loss: Math.max(lossBetween(a.product, one.id, product), lossBetween(one.id, b.product, product)),
      chroma: lchOf(masstone(pigmentOf(one))).chroma,
    }))
    .filter(({ loss, chroma }) => loss <= MAX_LOSS && chroma >= COLOURFUL)
    .sort((x, y) => x.loss - y.loss)
    .slice(0, 3)
    .flatMap(({ one }) => {
      const at = rounded((a.at + b.at) / 2, 3);
      return granted(nail, id, 'bridge', { product: one.id, words: `Bridge them with ${one.name}`, at });
    });
}
