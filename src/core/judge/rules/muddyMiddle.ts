import { masstone } from '../../colour/film';
import { mixBands } from '../../colour/spectrum';
import { lightnessAndChroma } from '../../colour/space';
import type { NailRule } from '../rule';
import { rounded } from '../../model/rounded';
import { blendAt } from '../../simulate/pile';

/** The middle of a blend may lose this share of the duller end's chroma. */
const MAX_LOSS = 0.45;
/** Greys have no chroma to lose. */
const COLOURFUL = 18;

/** Far-apart hues cancel out where they meet; a bridging colour helps (from memory). */
export const muddyMiddle: NailRule = {
  codes: ['muddy-middle'],
  asks: 'Does an ombre keep its colour between its stops?',
  check: ({ operations, context }) => {
    const seen = new Set<string>();
    return operations.flatMap((operation) => {
      const paint = operation.paint;
      if (paint?.kind !== 'blend' || seen.has(operation.element)) return [];
      seen.add(operation.element);
      let worst = 0;
      let between = '';
      for (let i = 1; i < paint.stops.length; i += 1) {
        const a = paint.stops[i - 1]!;
        const b = paint.stops[i]!;
        const chroma = (share: number) =>
          lightnessAndChroma(masstone(blendAt(paint, share, context.product))).chroma;
        const duller = Math.min(chroma(a.at), chroma(b.at));
        if (duller < COLOURFUL) continue;
        const colour = (id: string) =>
          masstone(blendAt({ ...paint, stops: [{ product: id, at: 0 }] }, 0, context.product));
        const [from, to] = [colour(a.product), colour(b.product)];
        // Three bands turn yellow and blue to grey where paint turns green: ten must agree.
        const steps = [0.3, 0.4, 0.5, 0.6, 0.7].map((t) =>
          Math.max(chroma(a.at + (b.at - a.at) * t), lightnessAndChroma(mixBands(from, to, t)).chroma),
        );
        const loss = 1 - Math.min(...steps) / duller;
        if (loss > worst) {
          worst = loss;
          between = `${context.product(a.product).name} and ${context.product(b.product).name}`;
        }
      }
      if (worst <= MAX_LOSS) return [];
      return [
        {
          severity: 'warn' as const,
          operation: operation.id,
          element: operation.element,
          message: `The blend goes muddy between ${between}: its middle loses ${rounded(worst * 100, 0)} % of the colour.`,
          reason:
            'Far-apart hues cancel out where they mix; a bridging colour between them keeps the middle clean.',
          figure: {
            words: 'chroma lost',
            value: rounded(worst * 100, 0),
            limit: MAX_LOSS * 100,
            is: 'at most' as const,
            unit: '%',
          },
        },
      ];
    });
  },
};
