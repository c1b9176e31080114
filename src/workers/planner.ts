import { wrap, type Remote } from 'comlink';
import type { PlannerApi } from './plannerApi';

let planner: Remote<PlannerApi> | undefined;

/** The page's planner: one worker, started when it is first needed. */
export function getPlanner(): Remote<PlannerApi> {
  planner ??= wrap<PlannerApi>(new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }));
  return planner;
}
