import { proxy, wrap, type Remote } from 'comlink';
import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import type { PlannerApi } from './plannerApi';

interface Started {
  worker: Worker;
  remote: Remote<PlannerApi>;
}

const started = new Map<string, Started>();

function worker(name: string): Remote<PlannerApi> {
  let one = started.get(name);
  if (!one) {
    const made = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
    one = { worker: made, remote: wrap<PlannerApi>(made) };
    started.set(name, one);
  }
  return one.remote;
}

/** Plans sittings. */
export const getPlanner = () => worker('planner');

/** Draws nails. A worker of its own, so that a picture never waits for a sitting to be planned. */
export const getPainter = () => worker('painter');

const POLISHER = 'polisher';

/**
 * Plans a set at length: a long search and ways out tried. A worker of its own, so that it can be stopped at any
 * moment; a stopped one never answers.
 */
export function polish(set: SetDocument, onProgress: (share: number) => void): Promise<Plan> {
  return worker(POLISHER).polish(set, proxy(onProgress));
}

export function stopPolishing(): void {
  started.get(POLISHER)?.worker.terminate();
  started.delete(POLISHER);
}
