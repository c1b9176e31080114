/**
 * One evening as it happens, walked by a clock: who holds what, and who has to wait for it. It knows nothing of how the forecast is made, and is for
 * tests only. Everything is taken up in the order of the plan.
 */
export interface EveningStep {
  /** What has to be free: "artist", a nail, a hand, a lamp. */
  takes: string[];
  /** How long each stays taken after the step itself is over. */
  holds?: Record<string, number>;
  seconds: number;
}

export function walkEvening(steps: readonly EveningStep[]): number {
  const free = new Map<string, number>();
  let over = 0;
  for (const { takes, holds = {}, seconds } of steps) {
    let clock = 0;
    while (takes.some((one) => (free.get(one) ?? 0) > clock))
      clock = takes.map((one) => free.get(one) ?? 0).sort((a, b) => b - a)[0]!;
    for (const one of takes) free.set(one, clock + seconds + (holds[one] ?? 0));
    over = Math.max(over, clock + seconds);
  }
  return over;
}
