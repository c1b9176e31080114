import type { Plan } from '@/core/plan/planSet';
import type { Slice } from './slice';

/** Whether the plan is that of the set as it is now. */
export type Planning = 'making' | 'fresh' | 'failed';

/** What `keepPlanned` knows of the plan. */
export interface PlanningState {
  /** The last plan that was made; what it says of the set as it is now, `planning` says. */
  plan: Plan | undefined;
  planning: Planning;
  /** Why planning failed, in words. */
  planFault: string | undefined;
  /** The long search broke off: there is a plan, and no way out was tried. */
  searchFailed: boolean;
  planned_ms: number | undefined;
  /** Share of the long search done; ways out are offered once it is whole. */
  searched: number;
  /** The sitting shown is one that a long search has found. */
  settled: boolean;
  /** Plans once more. */
  replan: () => void;
}

export interface PlanningSlice extends PlanningState {
  tellPlanning: (state: Partial<PlanningState>) => void;
}

export const planningSlice: Slice<PlanningSlice> = (write) => ({
  plan: undefined,
  planning: 'making',
  planFault: undefined,
  searchFailed: false,
  planned_ms: undefined,
  searched: 0,
  settled: false,
  replan: () => undefined,
  tellPlanning: write,
});
