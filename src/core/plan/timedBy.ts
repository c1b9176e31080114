import type { Operation } from '../craft/operation';

/** By what the hand work of a plan is timed: how much of it the artist's own times know, and the rest by the guide. Seconds. */
export function timedBy(operations: readonly Operation[]): { own_s: number; guide_s: number } {
  const sum = { own_s: 0, guide_s: 0 };
  for (const { own, hand_s, fixed_s = 0 } of operations) sum[own ? 'own_s' : 'guide_s'] += hand_s - fixed_s;
  return sum;
}
