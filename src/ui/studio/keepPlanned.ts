'use client';
import { getPlanner } from '@/workers/planner';
import type { StudioStore } from './studio';

/** Plans the set in the worker after every change; while one plan runs, only the latest change waits. */
export function keepPlanned(store: StudioStore): () => void {
  let running = false;
  let again = false;
  let stopped = false;

  async function run(): Promise<void> {
    if (running) {
      again = true;
      return;
    }
    running = true;
    do {
      again = false;
      const planned = await getPlanner().plan(store.getState().set);
      if (stopped) return;
      store.setState({ plan: planned.plan, marks: planned.marks, planned_ms: planned.took_ms });
    } while (again);
    running = false;
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (state.set !== before.set) void run();
  });
  void run();
  return () => {
    stopped = true;
    unsubscribe();
  };
}
