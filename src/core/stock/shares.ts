import type { Paint } from '../craft/matter';

/**
 * Which products a film is made of, and by which share of its volume: a run of colours by how far each reaches, a marble by its
 * parts, a thinned colour by its strength. What has no product is clear of the same kind.
 */
export function productShares(
  product: string,
  paint: Paint | undefined,
): { product: string | undefined; share: number }[] {
  switch (paint?.kind) {
    case 'diluted':
      return [
        { product, share: paint.strength },
        { product: undefined, share: 1 - paint.strength },
      ];
    case 'marble': {
      const all = paint.parts.reduce((sum, part) => sum + part.share, 0);
      return gathered(paint.parts.map((part) => ({ product: part.product, share: part.share / all })));
    }
    case 'blend':
      return gathered(runShares(paint.stops));
    default:
      return [{ product, share: 1 }];
  }
}

/** Between two stops one melts into the other evenly: each reaches half of the way; before the first and after the last there is but one. */
function runShares(stops: readonly { product: string; at: number }[]): { product: string; share: number }[] {
  const inTurn = [...stops].sort((a, b) => a.at - b.at);
  return inTurn.map(({ product, at }, i) => {
    const before = i === 0 ? at : (at - inTurn[i - 1]!.at) / 2;
    const after = i === inTurn.length - 1 ? 1 - at : (inTurn[i + 1]!.at - at) / 2;
    return { product, share: before + after };
  });
}

function gathered(
  parts: readonly { product: string; share: number }[],
): { product: string; share: number }[] {
  const sums = new Map<string, number>();
  for (const { product, share } of parts) sums.set(product, (sums.get(product) ?? 0) + share);
  return [...sums].map(([product, share]) => ({ product, share }));
}
