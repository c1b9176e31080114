import Dexie from 'dexie';
import { applyChange } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import { parseSet } from '@/core/document/parse';
import { messageOf } from '@/core/model/messageOf';
import { fail, type Result } from '@/core/model/result';
import { db, ReadOnly } from './database';
import type { JournalEntry, StoredSet } from './records';
import { readRows } from './rows';

let count = 0;
/** What this page is called in keys and locks. */
export const TAB = Math.random().toString(36).slice(2, 8);

/** A key later than all this tab has given. Keys sort by time, then by the tab and the count within it. */
export function newKey(): string {
  count += 1;
  return [String(Date.now()).padStart(15, '0'), TAB, String(count).padStart(9, '0')].join(' ');
}

/**
 * Writes an entry and commits it in this very tick: once this returns, the browser keeps it even if the page is
 * gone the moment after. `done` settles when it is on disk. Returns the entry's key.
 */
export function append(entry: Omit<JournalEntry, 'key'>): { key: string; done: Promise<void> } {
  const key = newKey();
  const whole: JournalEntry = { key, ...entry };
  if (db().onlyRead) throw new ReadOnly();
  const backend = db().isOpen() ? db().backendDB() : undefined;
  if (!backend)
    return {
      key,
      done: db()
        .journal.add(whole)
        .then(() => undefined),
    };
  const done = atOnce(backend, 'journal', (journal) => journal.add(whole));
  underWay.set(key, whole);
  const over = () => underWay.delete(key);
  done.then(over, over);
  return { key, done };
}

/** Entries asked for and not confirmed yet: where the page goes now, they are put down once more. */
const underWay = new Map<string, JournalEntry>();
const LATE = 'merry-lacquer-late';

/** Called as the page goes: what the store has not confirmed is kept where it is written without waiting. */
export function keepLate(): void {
  if (underWay.size === 0 || typeof localStorage === 'undefined') return;
  try {
    localStorage.setItem(LATE, JSON.stringify([...lateEntries(), ...underWay.values()]));
  } catch {
    // No room there either: the store has been asked, and mostly has it.
  }
}

function lateEntries(): JournalEntry[] {
  const text = typeof localStorage === 'undefined' ? null : localStorage.getItem(LATE);
  try {
    const entries: unknown = text ? JSON.parse(text) : [];
    return Array.isArray(entries) ? (entries as JournalEntry[]) : [];
  } catch {
    return [];
  }
}

/** Before a set is opened: what a page could only put down as it went is in the journal again. */
export async function bringLate(): Promise<void> {
  if (typeof localStorage === 'undefined' || db().onlyRead) return;
  const entries = lateEntries();
  if (entries.length === 0) return;
  // An entry that was taken in meanwhile is of an older revision, and is passed over.
  await db().journal.bulkPut(readRows('journal', entries).good);
  localStorage.removeItem(LATE);
}

/**
 * Takes entries out of the journal. They are in their set by then: one that is left behind by a kill just here is
 * of an older revision, and is passed over.
 */
export async function takeOut(keys: readonly string[]): Promise<void> {
  if (keys.length === 0) return;
  const backend = db().isOpen() ? db().backendDB() : undefined;
  if (!backend) await db().journal.bulkDelete([...keys]);
  else
    await atOnce(backend, 'journal', (journal) => {
      for (const key of keys) journal.delete(key);
    });
}

/**
 * Every row of the journal, or those of a set, as they are. The reading is over in the store as soon as it is read there:
 * while this page is busy, no tab's writing waits for it.
 */
export function readJournal(set?: string): Promise<unknown[]> {
  // Within a transaction it is of that transaction.
  const backend = db().isOpen() && !Dexie.currentTransaction ? db().backendDB() : undefined;
  if (!backend)
    return set === undefined ? db().journal.toArray() : db().journal.where('set').equals(set).toArray();
  return new Promise((resolve, reject) => {
    const reading = backend.transaction('journal', 'readonly');
    const journal = reading.objectStore('journal');
    const asked: IDBRequest<unknown[]> =
      set === undefined ? journal.getAll() : journal.index('set').getAll(set);
    asked.onsuccess = () => resolve(asked.result);
    reading.onabort = () => reject(reading.error ?? new Error('the store did not answer'));
    reading.commit();
  });
}

/** Asked of a table and committed in this very tick, so that it is never held while a page is busy. */
export function atOnce(
  backend: IDBDatabase,
  table: string,
  ask: (store: IDBObjectStore) => void,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const writing = backend.transaction(table, 'readwrite');
    writing.oncomplete = () => resolve();
    writing.onabort = () => reject(writing.error ?? new Error('the store did not take it'));
    ask(writing.objectStore(table));
    writing.commit();
  });
}

/** A set as the journal has it: how it was last seen, the entries that led there, and the sets they led through. */
export interface LaidOver {
  set: SetDocument;
  keys: string[];
  steps: { to: SetDocument; step: JournalEntry['step'] }[];
}

/**
 * What the journal still holds of a set at a revision, laid over it. Rows that are no entries, as a newer program may
 * have written them, are passed over and stay; so does what waits for a choice.
 */
export function laidOver(
  set: SetDocument,
  { revision, mark, last }: Pick<StoredSet, 'revision' | 'mark' | 'last'>,
  rows: readonly unknown[],
): LaidOver {
  const laid: LaidOver = { set, keys: [], steps: [] };
  const entries = readRows('journal', rows).good.filter((entry) => !entry.conflict);
  for (const entry of entries.sort((a, b) => (a.key < b.key ? -1 : 1))) {
    // What was made on another tab's older set is not laid over what it never met.
    const after =
      mark !== undefined &&
      entry.basis === revision - 1 &&
      tabOf(entry.key) === tabOf(mark) &&
      entry.key > mark;
    // A tab that is gone may have saved, late, just what this was made on.
    const onSaved =
      entry.basis === revision - 1 &&
      entry.on !== undefined &&
      (entry.on === last || laid.keys.includes(entry.on));
    if (entry.basis !== revision && !after && !onSaved) continue;
    const next = stepFrom(laid.set, entry.step);
    // What this program cannot follow another may: it stays where it is.
    if (!next.ok) continue;
    laid.keys.push(entry.key);
    laid.set = next.value;
    laid.steps.push({ to: next.value, step: entry.step });
  }
  return laid;
}

/** The set that a step leads to; one that makes no sense leads nowhere. */
function stepFrom(set: SetDocument, step: JournalEntry['step']): Result<SetDocument> {
  try {
    return 'change' in step ? applyChange(set, step.change) : parseSet(step.document);
  } catch (error) {
    return fail('', messageOf(error));
  }
}

/** The tab that made an entry. */
export function tabOf(key: string): string {
  return key.split(' ')[1]!;
}

/** When an entry was made, in ms. */
export function madeAt(entry: JournalEntry): number {
  return Number(entry.key.split(' ')[0]);
}
