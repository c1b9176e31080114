import Dexie from 'dexie';
import { messageOf } from '@/core/model/messageOf';
import { db, LacquerDatabase, replaceDb, STORE_NAME } from './database';
import { STORE_VERSION } from './tables';

/** What the browser's store is good for. */
export type StoreState =
  | { kind: 'opening' }
  | { kind: 'ready' }
  /** Another tab, of an older version, has to be closed first. */
  | { kind: 'blocked' }
  /** Written by a newer program: read, exported, never written. */
  | { kind: 'newer' }
  /** A newer program has taken it over while this page was open. */
  | { kind: 'superseded' }
  /** It was deleted, or closed by the browser, while this page was open. */
  | { kind: 'lost'; why: string }
  /** It cannot be opened, or does not answer. */
  | { kind: 'failed'; why: string }
  /** Chosen by the artist: nothing outlives the page. */
  | { kind: 'memory' };

const ANSWER_MS = 8000;
/** Dexie keeps its version ten times over. */
const DEXIE_FACTOR = 10;

let state: StoreState = { kind: 'opening' };
let opening: Promise<void> | undefined;
const listeners = new Set<() => void>();

export function storeState(): StoreState {
  return state;
}

export function watchStore(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function become(next: StoreState): void {
  state = next;
  for (const listener of listeners) listener();
}

/** Opens the store once; what came of it is its state. Never fails. */
export function openStore(): Promise<void> {
  opening ??= open();
  return opening;
}

async function open(): Promise<void> {
  try {
    const version = await within(versionFound());
    if (version > STORE_VERSION * DEXIE_FACTOR) {
      replaceDb(new LacquerDatabase({ onlyRead: true }));
      await within(db().open());
      become({ kind: 'newer' });
      return;
    }
    const store = db();
    store.on('blocked', () => become({ kind: 'blocked' }));
    store.on('versionchange', ({ newVersion }) => {
      // Nothing follows a store that is deleted.
      become(
        newVersion === null
          ? { kind: 'lost', why: 'deleted, by another tab or in the browser’s settings' }
          : { kind: 'superseded' },
      );
      store.close();
      return false;
    });
    store.on('close', () => {
      if (state.kind === 'ready') become({ kind: 'lost', why: 'closed by the browser' });
    });
    await Promise.race([within(store.open()), unblocked(store)]);
    become({ kind: 'ready' });
  } catch (error) {
    become({ kind: 'failed', why: messageOf(error) });
  }
}

/** A blocked store answers when the other tab is gone, however long that takes. */
function unblocked(store: LacquerDatabase): Promise<unknown> {
  return new Promise((resolve, reject) => {
    store.on('blocked', () => store.open().then(resolve, reject));
  });
}

/** The version of the store that is there, 0 where there is none. Nothing is made or changed by asking. */
function versionFound(): Promise<number> {
  return new Promise((resolve, reject) => {
    if (typeof indexedDB === 'undefined') throw new Error('this browser has none, or keeps it closed');
    const asking = indexedDB.open(STORE_NAME);
    let fresh = false;
    asking.onupgradeneeded = () => {
      fresh = true;
      asking.transaction!.abort();
    };
    asking.onsuccess = () => {
      const { version } = asking.result;
      asking.result.close();
      resolve(version);
    };
    asking.onerror = (event) => {
      event.preventDefault();
      if (fresh) resolve(0);
      else reject(asking.error ?? new Error('it cannot be opened'));
    };
  });
}

function within<T>(work: PromiseLike<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    const late = setTimeout(() => {
      if (state.kind !== 'blocked') reject(new Error('it does not answer'));
    }, ANSWER_MS);
    work.then(resolve, reject).then(() => clearTimeout(late));
  });
}

/** Goes on without the browser's store: all works, and nothing outlives the page. */
export async function workInMemory(): Promise<void> {
  const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb');
  // Where the browser has no store at all, Dexie has to be told of one before anything is watched.
  Object.assign(Dexie.dependencies, { indexedDB: new IDBFactory(), IDBKeyRange });
  replaceDb(new LacquerDatabase(Dexie.dependencies));
  await db().open();
  become({ kind: 'memory' });
}

const ASKED = 'asked-to-keep';

/** Asks the browser, once in this store's life, not to clear it when room runs short. */
export async function askToKeep(): Promise<void> {
  const storage = globalThis.navigator?.storage;
  if (!storage?.persist || state.kind !== 'ready') return;
  if (await db().facts.get(ASKED)) return;
  await db().facts.put({ key: ASKED, value: new Date().toISOString() });
  await storage.persist();
}

export interface Keeping {
  /** Whether the browser has promised not to clear the store; undefined where it does not say. */
  kept: boolean | undefined;
  used_bytes: number | undefined;
}

export async function keeping(): Promise<Keeping> {
  const storage = globalThis.navigator?.storage;
  const estimate = await storage?.estimate?.().catch(() => undefined);
  return { kept: await storage?.persisted?.().catch(() => undefined), used_bytes: estimate?.usage };
}
