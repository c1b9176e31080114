'use client';
import type { SetDocument } from '@/core/document/document';
import { messageOf } from '@/core/model/messageOf';
import type { Plan } from '@/core/plan/planSet';
import type { Planned } from '@/workers/plannerApi';
import { planOf, polish, stopPolishing } from '@/workers/planner';
import type { StudioStore } from './studio';

/** The picture of the changed nail comes first: planning starts once it is likely to be drawn. */
const PICTURE_FIRST_MS = 90;
/** When a set is opened, its view is still to come, with the pictures it wants. */
const OPENING_MS = 250;
/** Once nothing has changed for this long, a better sitting is looked for and ways out are tried. */
const QUIET_MS = 500;

/** Who plans; the workers, where nothing else is said. */
export interface Planner {
  planOf: (set: SetDocument) => Promise<Planned>;
  polish: (set: SetDocument, onProgress: (share: number) => void) => Promise<Plan>;
  stopPolishing: () => void;
}

/**
 * Plans the set after every change; while one plan runs, only the latest change waits. When things are quiet it is
 * planned once more, at length: the view shows the first plan meanwhile. A plan that fails is told, never taken
 * for one of the set as it is.
 */
export function keepPlanned(store: StudioStore, by: Planner = { planOf, polish, stopPolishing }): () => void {
  let running = false;
  let again = false;
  let stopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let quiet: ReturnType<typeof setTimeout> | undefined;
  const isNow = (set: SetDocument) => !stopped && store.getState().set === set;

  async function run(): Promise<void> {
    if (running) {
      again = true;
      return;
    }
    running = true;
    do {
      again = false;
      await planNow(store.getState().set);
    } while (again && !stopped);
    running = false;
  }

  async function planNow(set: SetDocument): Promise<void> {
    try {
      const { plan, took_ms } = await by.planOf(set);
      if (stopped) return;
      const planning = isNow(set) ? 'fresh' : 'making';
      store.setState({ plan, planned_ms: took_ms, searched: 0, planning, planFault: undefined });
      clearTimeout(quiet);
      quiet = setTimeout(() => void atLength(), QUIET_MS);
    } catch (error) {
      if (isNow(set)) store.setState({ planning: 'failed', planFault: messageOf(error) });
    }
  }

  async function atLength(): Promise<void> {
    const { set } = store.getState();
    try {
      const plan = await by.polish(set, (share) => {
        if (isNow(set)) store.setState({ searched: share });
      });
      if (isNow(set)) store.setState({ plan, searched: 1, planning: 'fresh' });
    } catch {
      // Stopped by a change, it is begun again after it; else the first plan stands, without ways out.
      if (isNow(set)) store.setState({ searchFailed: true });
    }
  }

  function replan(): void {
    clearTimeout(timer);
    clearTimeout(quiet);
    by.stopPolishing();
    store.setState({ planning: 'making', planFault: undefined, searchFailed: false });
    void run();
  }

  const unsubscribe = store.subscribe((state, before) => {
    const changed = state.set !== before.set;
    if (changed) {
      clearTimeout(timer);
      clearTimeout(quiet);
      by.stopPolishing();
      store.setState({ planning: 'making', searchFailed: false, searched: 0 });
    }
    // What a hand still moves is planned once it is let go: until then the picture needs the machine.
    const letGo = before.heldFrom !== undefined && state.set !== before.heldFrom;
    if (state.heldFrom || !(changed || letGo)) return;
    clearTimeout(timer);
    timer = setTimeout(() => void run(), PICTURE_FIRST_MS);
  });
  store.setState({ replan });
  timer = setTimeout(() => void run(), OPENING_MS);
  return () => {
    stopped = true;
    clearTimeout(timer);
    clearTimeout(quiet);
    by.stopPolishing();
    unsubscribe();
  };
}
