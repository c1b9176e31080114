'use client';
import { getPlanner, polish, stopPolishing } from '@/workers/planner';
import type { StudioStore } from './studio';

/** The picture of the changed nail comes first: planning starts once it is likely to be drawn. */
const PICTURE_FIRST_MS = 90;
/** Once nothing has changed for this long, a better sitting is looked for and ways out are tried. */
const QUIET_MS = 500;

/**
 * Plans the set in its worker after every change; while one plan runs, only the latest change waits. When things
 * are quiet it is planned once more, at length: the view shows the first plan meanwhile.
 */
export function keepPlanned(store: StudioStore): () => void {
  let running = false;
  let again = false;
  let stopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let quiet: ReturnType<typeof setTimeout> | undefined;

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
      store.setState({ plan: planned.plan, planned_ms: planned.took_ms, searched: 0 });
    } while (again);
    running = false;
    clearTimeout(quiet);
    if (!stopped) quiet = setTimeout(atLength, QUIET_MS);
  }

  function atLength(): void {
    const { set } = store.getState();
    const onProgress = (share: number) => {
      if (!stopped && store.getState().set === set) store.setState({ searched: share });
    };
    void polish(set, onProgress).then((plan) => {
      if (!stopped && store.getState().set === set) store.setState({ plan, searched: 1 });
    });
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (state.set === before.set) return;
    clearTimeout(timer);
    clearTimeout(quiet);
    stopPolishing();
    timer = setTimeout(() => void run(), PICTURE_FIRST_MS);
  });
  void run();
  return () => {
    stopped = true;
    clearTimeout(timer);
    clearTimeout(quiet);
    stopPolishing();
    unsubscribe();
  };
}
