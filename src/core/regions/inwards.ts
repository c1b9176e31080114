import { clamp } from './handle';
import { rounded } from '../model/rounded';

/** So far in a region is cut: the margin at the skin. */
const CUT_AT = { across: 0.96, from: 0.02, to: 1.98 };

/** Nearer to the middle of the nail by steps; what lies in the middle already is simply too large. */
export function nearerMiddle<R extends { across: number; along: number }>(
  region: R,
): { words: string; region: R }[] {
  if (Math.abs(region.across) < 0.05) return [];
  return [0.6, 0.3, 0].map((share) => ({
    words: 'Lay it nearer to the middle',
    region: {
      ...region,
      across: rounded(region.across * share, 3),
      along: rounded(0.9 + (region.along - 0.9) * Math.max(share, 0.3), 3),
    },
  }));
}

/** What is drawn past the sidewall cut there. */
export function cutAtEdge<R extends { points: { across: number; along: number }[] }>(
  region: R,
): { words: string; region: R }[] {
  const points = region.points.map(({ across, along }) => ({
    across: clamp(across, -CUT_AT.across, CUT_AT.across),
    along: clamp(along, CUT_AT.from, CUT_AT.to),
  }));
  return [{ words: 'Cut it at the edge of the nail', region: { ...region, points } }];
}
