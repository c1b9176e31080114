'use client';
import type { SetDocument } from '@/core/document/document';
import { messageOf } from '@/core/model/messageOf';
import { plansAlike } from '@/core/plan/plansAlike';
import type { Plan } from '@/core/plan/planSet';
import type { Found } from '@/core/timing/sitting';
import type { Planned } from '@/workers/plannerApi';
import { planOf, polish, stopPolishing } from '@/workers/planner';
import { knownSittings, type KnownSittings } from './knownSittings';
import { unforeseen } from '../kit/unforeseen';
import type { StudioStore } from './studio';

/** The picture of the changed nail comes first: planning starts once it is likely to be drawn. */
const PICTURE_FIRST_MS = 90;
/** When a set is opened, its view is still to come, with the pictures it wants. */
const OPENING_MS = 250;
/** Once nothing has changed for this long, a better sitting is looked for and ways out are tried. */
const QUIET_MS = 500;

/** Who plans; the workers, where nothing else is said. */
export interface Planner {
  planOf: (set: SetDocument, known?: Found) => Promise<Planned>;
  polish: (
    set: SetDocument,
    onProgress: (share: number) => void,
    known?: Found,
  ) => Promise<{ plan: Plan; found?: Found } | undefined>;
  stopPolishing: () => void;
}

/**
 * Plans the set after every change; while one plan runs, only the latest change waits. When things are quiet it is
 * planned once more, at length: the view shows the first plan meanwhile. A plan that fails is told, never taken
 * for one of the set as it is.
 */
export function keepPlanned(
  store: StudioStore,
  by: Planner = { planOf, polish, stopPolishing },
  sittings: KnownSittings = knownSittings,
): () => void {
  let running = false;
  let again = false;
  let stopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let quiet: ReturnType<typeof setTimeout> | undefined;
  const isNow = (set: SetDocument) => !stopped && plansAlike(store.getState().set, set);

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
      const { plan, took_ms, settled } = await by.planOf(set, sittings.of(set.id));
      if (stopped) return;
      const planning = isNow(set) ? 'fresh' : 'making';
      store
        .getState()
        .tellPlanning({ plan, planned_ms: took_ms, searched: 0, settled, planning, planFault: undefined });
      clearTimeout(quiet);
      quiet = setTimeout(() => void atLength().catch(unforeseen), QUIET_MS);
    } catch (error) {
      if (isNow(set)) store.getState().tellPlanning({ planning: 'failed', planFault: messageOf(error) });
    }
  }

  async function atLength(): Promise<void> {
    const { set } = store.getState();
    try {
      const progress = (share: number) => {
        if (isNow(set)) store.getState().tellPlanning({ searched: share });
      };
      const polished = await by.polish(set, progress, sittings.of(set.id));
      // Stopped by a change, it is begun again after it.
      if (!polished || !isNow(set)) return;
      const { plan, found } = polished;
      if (found) sittings.keep(set.id, found);
      store.getState().tellPlanning({ plan, searched: 1, settled: true, planning: 'fresh' });
    } catch {
      // The first plan stands, without ways out.
      if (isNow(set)) store.getState().tellPlanning({ searchFailed: true });
    }
  }

  function replan(): void {
    clearTimeout(timer);
    clearTimeout(quiet);
    by.stopPolishing();
    store.getState().tellPlanning({ planning: 'making', planFault: undefined, searchFailed: false });
    void run().catch(unforeseen);
  }

  const unsubscribe = store.subscribe((state, before) => {
    const changed = !plansAlike(state.set, before.set);
    if (changed) {
      clearTimeout(timer);
      clearTimeout(quiet);
      by.stopPolishing();
      store.getState().tellPlanning({ planning: 'making', searchFailed: false, searched: 0, settled: false });
    }
    // What a hand still moves is planned once it is let go: until then the picture needs the machine.
    const letGo = before.heldFrom !== undefined && !plansAlike(state.set, before.heldFrom);
    if (state.heldFrom || !(changed || letGo)) return;
    clearTimeout(timer);
    timer = setTimeout(() => void run().catch(unforeseen), PICTURE_FIRST_MS);
  });
  store.getState().tellPlanning({ replan });
  timer = setTimeout(() => void run().catch(unforeseen), OPENING_MS);
  return () => {
    stopped = true;
    clearTimeout(timer);
    clearTimeout(quiet);
    by.stopPolishing();
    unsubscribe();
  };
}
