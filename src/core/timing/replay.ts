import { settingOf } from '../craft/families';
import type { Operation } from '../craft/operation';
import type { Product } from '../model/product';
import type { Step } from '../simulate/simulate';
import type { Load } from './problem';

/**
 * The steps of one nail as the sitting really runs them: its own cures with the seconds of their loads, and
 * the light of loads it is only along for, each where it falls in time.
 */
export function replaySteps(
  nail: string,
  operations: readonly Operation[],
  loads: readonly Load[],
  startOf: ReadonlyMap<string, number>,
  timed = false,
): Step[] {
  const own = new Map<string, Load>();
  const passing: Load[] = [];
  for (const load of loads) {
    if (!load.nails.includes(nail)) continue;
    const served = load.operations.find((id) => id.startsWith(`${nail}/`));
    if (served) own.set(served, load);
    else passing.push(load);
  }
  const steps: Step[] = [];
  const starts: number[] = [];
  let next = 0;
  for (const operation of operations) {
    const start = own.get(operation.id)?.start_s ?? startOf.get(operation.id);
    while (start !== undefined && next < passing.length && passing[next]!.start_s < start) {
      steps.push({ light_s: passing[next]!.end_s - passing[next]!.start_s });
      starts.push(passing[next]!.start_s);
      next += 1;
    }
    const load = own.get(operation.id);
    steps.push(load ? { operation, light_s: load.end_s - load.start_s } : { operation });
    starts.push(start ?? NaN);
  }
  return timed ? withElapsed(steps, starts) : steps;
}

/** Whether anything on a nail hardens by time, so that the clock matters to its surfaces. */
export function isTimed(operations: readonly Operation[], product: (id: string) => Product): boolean {
  return operations.some((one) => one.deposit && one.product && settingOf(product(one.product)));
}

/** Each step with the time until the next one that has a start of its own. */
function withElapsed(steps: readonly Step[], starts: readonly number[]): Step[] {
  return steps.map((step, i) => {
    const start = starts[i]!;
    const next = starts.slice(i + 1).find((one) => !Number.isNaN(one));
    // Rests have no stroke: what was laid before them goes on hardening until the next step.
    if (Number.isNaN(start)) return { ...step, elapsed_s: 0 };
    return next === undefined ? step : { ...step, elapsed_s: Math.max(0, next - start) };
  });
}
