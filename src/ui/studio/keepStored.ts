'use client';
import type { SetDocument } from '@/core/document/document';
import { writeSetText } from '@/core/document/parse';
import { holdOpen } from '@/data/held';
import { append, keepLate, newKey, takeOut } from '@/data/journal';
import { saveSet, opened, storeAgain, watchSet, type OpenedSet } from '@/data/sets';
import { askToKeep, storeState } from '@/data/store';
import { messageOf } from '@/core/model/messageOf';
import { unforeseen } from '../kit/unforeseen';
import type { Saving } from './slices/state';
import type { StudioStore } from './studio';
import { packHistory } from '@/data/undoHistory';

/** Several strokes of one gesture are one save. */
const SAVE_DELAY_MS = 80;
/** A write that failed is tried again. */
const RETRY_MS = 3000;

/** While one of these holds, nothing is written until the artist has said what shall be. */
const HELD: ReadonlySet<Saving> = new Set(['conflict', 'gone', 'only-read']);

export interface Conflict {
  theirs: OpenedSet;
}

export interface Keeper {
  stop: () => void;
  /** Something was changed here that neither the store nor its journal is sure to have. */
  unkept: () => boolean;
  /** The artist leaves what is not kept. */
  giveUp: () => void;
  /** Takes the other tab's set; undo brings one's own back. */
  takeTheirs: (theirs: OpenedSet) => void;
  /** Goes on saving over this revision. */
  rebase: (revision: number) => void;
  /** Stores the set once again that was removed elsewhere. */
  putAgain: () => Promise<void>;
}

/**
 * Writes every change to the journal in the tick in which it is made, folds it into the set soon after, and follows
 * what other tabs save. Where both changed, nothing is written until the artist has chosen.
 */
export function keepStored(
  store: StudioStore,
  start: Pick<OpenedSet, 'revision' | 'journal'>,
  onConflict: (conflict: Conflict) => void,
  onTaken: () => void,
): Keeper {
  let { revision } = start;
  /** Entries of the journal that the next save takes in. */
  let waiting = [...start.journal];
  const on = [...start.journal].sort().at(-1);
  let savedSet = store.getState().set;
  /** What the store held when last read or written, with its journal: all that is not in it was made here. */
  let base = savedSet;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving = false;
  /** The save that is under way, or the last one. */
  let latest: Promise<void> = Promise.resolve();
  let stopped = false;
  /** While the other tab's set is taken over: it is stored already. */
  let taking = false;
  /** Entries that hold the whole set while a choice is open: should this tab go, they are what is left of it. */
  let held: string[] = [];
  let givenUp = false;
  const letGo = holdOpen(savedSet.id);

  const tell = store.getState().tellSaving;
  const dirty = () => store.getState().set !== savedSet || waiting.length > 0;

  async function save(): Promise<void> {
    if (saving || !dirty() || HELD.has(store.getState().saving)) return;
    saving = true;
    const set = store.getState().set;
    // What is made while this is saved is not in it.
    const taken = [...waiting];
    const mark = newKey();
    try {
      const { pastStates, futureStates } = store.temporal.getState();
      const history = packHistory(setsOf(pastStates), set, setsOf(futureStates));
      const outcome = await saveSet(set, revision, { entries: taken, mark, history });
      if (outcome.kind === 'saved') {
        revision = outcome.revision;
        savedSet = base = set;
        waiting = waiting.filter((key) => !taken.includes(key));
        tell(dirty() ? 'saving' : 'saved');
        // Worth keeping, from the first change on.
        void askToKeep().catch(() => undefined);
      } else if (outcome.kind === 'changed-elsewhere' && isKnown(outcome.stored)) {
        revision = outcome.stored.revision;
      } else if (outcome.kind === 'changed-elsewhere') {
        choose(outcome.stored);
      } else {
        becomeGone();
      }
    } catch (error) {
      fail(error);
    } finally {
      saving = false;
    }
    const { saving: now, heldFrom } = store.getState();
    if (!dirty()) return;
    // Left while it was being saved: what came after goes along.
    if (stopped && now === 'saving') return save();
    if (now === 'saving' && !heldFrom) schedule();
    else if (now === 'failed') schedule(RETRY_MS);
  }

  function saveNow(): Promise<void> {
    if (!saving) latest = save();
    return latest;
  }

  function fail(error: unknown): void {
    if (storeState().kind === 'newer') tell('only-read');
    else tell('failed', savingWords(error));
  }

  /** A save that is due is not put off by the next change. */
  function schedule(delay_ms = SAVE_DELAY_MS): void {
    if (stopped) return;
    timer ??= setTimeout(() => {
      timer = undefined;
      saveNow().catch(unforeseen);
    }, delay_ms);
  }

  /** Both tabs hold what the other does not: this one's is put down as well, until the artist has chosen. */
  function choose(theirs: OpenedSet): void {
    tell('conflict');
    holdMine(store.getState().set);
    onConflict({ theirs });
  }

  /** Removed elsewhere; what was changed since waits for the artist. */
  function becomeGone(): void {
    tell('gone');
    if (dirty()) holdMine(store.getState().set);
  }

  function holdMine(mine: SetDocument): void {
    try {
      const { key, done } = append({
        set: mine.id,
        basis: revision,
        conflict: true,
        step: { document: mine },
      });
      held.push(key);
      done.catch(unforeseen);
    } catch (error) {
      fail(error);
    }
  }

  /** The choice is made: nothing waits for it any more. */
  function chosen(): void {
    takeOut(held).catch(unforeseen);
    held = [];
  }

  function record(from: SetDocument, to: SetDocument): void {
    const { made, saving: now } = store.getState();
    if (now === 'conflict' || now === 'gone') return holdMine(to);
    const step =
      made?.from === from && made.to === to
        ? { change: made.change, ...(made.joins ? { joins: true } : {}) }
        : { document: to };
    try {
      const { key, done } = append({
        set: to.id,
        basis: revision,
        // Made on what another tab had only in its journal: that one may still save it.
        ...(revision === start.revision && on ? { on } : {}),
        step,
      });
      waiting.push(key);
      done.catch(fail);
    } catch (error) {
      fail(error);
    }
  }

  /** A tab that has gone saved, late, just what was read here from its journal. */
  function isKnown(theirs: OpenedSet): boolean {
    return writeSetText(theirs.set) === writeSetText(base);
  }

  function takeTheirs(theirs: OpenedSet): void {
    revision = theirs.revision;
    savedSet = base = theirs.set;
    takeOut(waiting).catch(unforeseen);
    waiting = [];
    chosen();
    taking = true;
    store.getState().takeStored(theirs.set);
    taking = false;
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (before.heldFrom && !state.heldFrom && dirty()) schedule();
    if (state.set === before.set || taking) return;
    if (state.saving === 'saved') tell('saving');
    record(before.set, state.set);
    // What a hand moves on the nail is folded in once it lets go: the journal has every step, and the picture comes first.
    if (!state.heldFrom) schedule();
  });
  const unwatch = watchSet(store.getState().set.id, (stored) => {
    if (!stored) {
      if (!stopped && !saving && store.getState().saving !== 'gone') becomeGone();
      return;
    }
    // Put back out of the bin.
    if (store.getState().saving === 'gone') {
      chosen();
      tell(dirty() ? 'saving' : 'saved');
      if (dirty()) schedule();
    }
    if (stored.revision <= revision || saving) return;
    const theirs = opened(stored);
    if (!theirs.ok) return;
    if (isKnown(theirs.value)) {
      revision = theirs.value.revision;
      return;
    }
    if (dirty()) {
      clearTimeout(timer);
      timer = undefined;
      choose(theirs.value);
    } else {
      takeTheirs(theirs.value);
      onTaken();
    }
  });
  // What was typed and not left counts when the tab closes. It needs no save: it is in the journal.
  const flush = () => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    keepLate();
  };
  // Only where the store did not take it is the artist held back.
  const guard = (event: BeforeUnloadEvent) => {
    flush();
    if (unkept()) event.preventDefault();
  };
  function unkept(): boolean {
    const { saving: now } = store.getState();
    return dirty() && (now === 'failed' || HELD.has(now));
  }
  window.addEventListener('pagehide', flush);
  window.addEventListener('beforeunload', guard);
  if (dirty()) {
    tell('saving');
    schedule();
  }
  return {
    stop: () => {
      stopped = true;
      clearTimeout(timer);
      void (timer ? saveNow() : latest).catch(unforeseen).finally(letGo);
      window.removeEventListener('pagehide', flush);
      window.removeEventListener('beforeunload', guard);
      unsubscribe();
      unwatch();
    },
    unkept: () => !givenUp && unkept(),
    giveUp: () => {
      givenUp = true;
    },
    takeTheirs,
    rebase: (next) => {
      revision = next;
      waiting = [...waiting, ...held];
      held = [];
      tell('saving');
      schedule();
    },
    putAgain: async () => {
      const { set } = store.getState();
      try {
        revision = await storeAgain(set);
        savedSet = base = set;
        waiting = [];
        chosen();
        tell('saved');
      } catch (error) {
        fail(error);
      }
    },
  };
}

function setsOf(states: readonly { set?: SetDocument }[]): SetDocument[] {
  return states.flatMap((state) => (state.set ? [state.set] : []));
}

/** Why it was not written, as an artist can use it. */
function savingWords(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError') return 'there is no room left on this device';
  if (name === 'DatabaseClosedError' || name === 'InvalidStateError')
    return 'the browser has closed its store';
  return messageOf(error);
}
