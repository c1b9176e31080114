/** 0 below 0, 1 above 1, and between them a rise without a corner (the cubic 3t² − 2t³). */
export function smooth(t: number): number {
  const u = Math.max(0, Math.min(1, t));
  return u * u * (3 - 2 * u);
}
