import { wrap, type Remote } from 'comlink';
import type { PlannerApi } from './plannerApi';

const started = new Map<string, Remote<PlannerApi>>();

function worker(name: string): Remote<PlannerApi> {
  let remote = started.get(name);
  if (!remote) {
    remote = wrap<PlannerApi>(
      new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
    );
    started.set(name, remote);
  }
  return remote;
}

/** Plans sittings. */
export const getPlanner = () => worker('planner');

/** Draws nails. A worker of its own, so that a picture never waits for a sitting to be planned. */
export const getPainter = () => worker('painter');
