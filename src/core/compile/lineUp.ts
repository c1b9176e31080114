/** `first` must come before `then`; indices into a list. */
export interface Edge {
  first: number;
  then: number;
}

/**
 * The order of 0 … count − 1 that keeps every edge and otherwise the smallest index first (Kahn 1962);
 * undefined where the edges make a circle.
 */
export function lineUp(count: number, edges: readonly Edge[]): number[] | undefined {
  const next: number[][] = Array.from({ length: count }, () => []);
  const waiting = new Int32Array(count);
  for (const { first, then } of edges) {
    next[first]!.push(then);
    waiting[then]! += 1;
  }
  const line: number[] = [];
  const ready = Array.from({ length: count }, (_, i) => i).filter((i) => waiting[i] === 0);
  while (ready.length > 0) {
    let best = 0;
    for (let i = 1; i < ready.length; i += 1) if (ready[i]! < ready[best]!) best = i;
    const [chosen] = ready.splice(best, 1) as [number];
    line.push(chosen);
    for (const then of next[chosen]!) {
      waiting[then]! -= 1;
      if (waiting[then] === 0) ready.push(then);
    }
  }
  return line.length === count ? line : undefined;
}
