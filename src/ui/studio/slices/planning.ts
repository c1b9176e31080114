import type { PlanningSlice, Slice } from './state';

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
