'use client';
import { getPlanner } from '@/workers/planner';
import type { StudioStore } from './studio';

/** The picture of the changed nail comes first: planning starts once it is likely to be drawn. */
const PICTURE_FIRST_MS = 90;

/** Plans the set in its worker after every change; while one plan runs, only the latest change waits. */
export function keepPlanned(store: StudioStore): () => void {
  let running = false;
  let again = false;
  let stopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

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
      store.setState({ plan: planned.plan, planned_ms: planned.took_ms });
    } while (again);
    running = false;
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (state.set === before.set) return;
    clearTimeout(timer);
    timer = setTimeout(() => void run(), PICTURE_FIRST_MS);
  });
  void run();
  return () => {
    stopped = true;
    clearTimeout(timer);
    unsubscribe();
  };
}
