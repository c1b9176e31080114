'use client';
import { saveSet, opened, watchSet, type OpenedSet } from '@/data/sets';
import type { StudioStore } from './studio';

/** Several strokes of one gesture are one save. */
const SAVE_DELAY_MS = 250;

export interface Conflict {
  theirs: OpenedSet;
}

export interface Keeper {
  stop: () => void;
  /** Takes the other tab's set; undo brings one's own back. */
  takeTheirs: (theirs: OpenedSet) => void;
  /** Goes on saving over this revision. */
  rebase: (revision: number) => void;
}

/**
 * Saves every change as it happens and follows what other tabs save. Where both changed, nothing is written
 * until the artist has chosen.
 */
export function keepStored(
  store: StudioStore,
  start: number,
  onConflict: (conflict: Conflict) => void,
  onTaken: () => void,
): Keeper {
  let revision = start;
  let savedSet = store.getState().set;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving = false;

  const dirty = () => store.getState().set !== savedSet;

  async function save(): Promise<void> {
    timer = undefined;
    if (saving || !dirty() || store.getState().saving === 'conflict') return;
    saving = true;
    const set = store.getState().set;
    try {
      const outcome = await saveSet(set, revision);
      if (outcome.kind === 'saved') {
        revision = outcome.revision;
        savedSet = set;
        store.setState({ saving: dirty() ? 'saving' : 'saved' });
      } else if (outcome.kind === 'changed-elsewhere') {
        store.setState({ saving: 'conflict' });
        onConflict({ theirs: outcome.stored });
      } else {
        store.setState({ saving: 'failed' });
      }
    } catch {
      store.setState({ saving: 'failed' });
    } finally {
      saving = false;
    }
    if (dirty() && store.getState().saving === 'saving') schedule();
  }

  function schedule(): void {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_DELAY_MS);
  }

  function takeTheirs(theirs: OpenedSet): void {
    revision = theirs.revision;
    savedSet = theirs.set;
    store.setState({ set: theirs.set, saving: 'saved' });
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (state.set === before.set || state.set === savedSet) return;
    if (state.saving !== 'conflict') store.setState({ saving: 'saving' });
    schedule();
  });
  const unwatch = watchSet(store.getState().set.id, (stored) => {
    if (!stored || stored.revision <= revision || saving) return;
    const theirs = opened(stored);
    if (!theirs.ok) return;
    if (dirty()) {
      clearTimeout(timer);
      store.setState({ saving: 'conflict' });
      onConflict({ theirs: theirs.value });
    } else {
      takeTheirs(theirs.value);
      onTaken();
    }
  });
  // A tab that closes saves what is still waiting.
  const flush = () => {
    if (timer) void save();
  };
  window.addEventListener('pagehide', flush);
  return {
    stop: () => {
      flush();
      clearTimeout(timer);
      window.removeEventListener('pagehide', flush);
      unsubscribe();
      unwatch();
    },
    takeTheirs,
    rebase: (next) => {
      revision = next;
      store.setState({ saving: 'saving' });
      schedule();
    },
  };
}
