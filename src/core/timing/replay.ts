import type { Operation } from '../craft/operation';
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
  let next = 0;
  for (const operation of operations) {
    const start = own.get(operation.id)?.start_s ?? startOf.get(operation.id);
    while (start !== undefined && next < passing.length && passing[next]!.start_s < start) {
      steps.push({ light_s: passing[next]!.end_s - passing[next]!.start_s });
      next += 1;
    }
    const load = own.get(operation.id);
    steps.push(load ? { operation, light_s: load.end_s - load.start_s } : { operation });
  }
  return steps;
}
