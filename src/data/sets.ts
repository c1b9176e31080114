import { liveQuery } from 'dexie';
import type { SetDocument } from '@/core/document/document';
import { parseSet } from '@/core/document/parse';
import { fail, ok, type Result } from '@/core/model/result';
import { db, type StoredSet } from './database';
import { changedAt, listed, type Listed } from './listed';
import { laidOver, madeAt, newKey } from './journal';

export interface OpenedSet {
  set: SetDocument;
  revision: number;
  /** Entries of the journal that are in `set` and not yet in the store's. */
  journal: string[];
}

export type SaveOutcome =
  { kind: 'saved'; revision: number } | { kind: 'changed-elsewhere'; stored: OpenedSet } | { kind: 'gone' };

/** Every record of the store, broken ones too, latest change first, each time anything in the store changes. */
export function watchSets(onChange: (sets: Listed[]) => void, onError: (error: unknown) => void): () => void {
  const all = async () => (await db().sets.toArray()).sort((a, b) => changedAt(b) - changedAt(a)).map(listed);
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** One stored set each time it changes, by this tab or another. */
export function watchSet(id: string, onChange: (stored: StoredSet | undefined) => void): () => void {
  const subscription = liveQuery(() => db().sets.get(id)).subscribe(onChange);
  return () => subscription.unsubscribe();
}

/** Opens a set; what an older version of the program stored is migrated. */
export async function openSet(id: string): Promise<Result<OpenedSet>> {
  return db().transaction('r', db().sets, db().journal, async () => {
    const stored = await db().sets.get(id);
    if (!stored) return fail('', `There is no set "${id}" in this browser.`);
    const read = opened(stored);
    if (!read.ok) return read;
    const entries = await db().journal.where('set').equals(id).toArray();
    const { set, keys } = laidOver(read.value.set, stored, entries);
    return ok({ set, revision: stored.revision, journal: keys });
  });
}

/** Entries this old belong to a tab that is gone: a living one folds its own within the second. */
const LEFT_MS = 3000;

/** What was made on a set that has been saved over since stays this long. */
const KEPT_MS = 30 * 24 * 3600 * 1000;

/** Folds into their sets what tabs that are gone have left in the journal. */
export async function foldLeft(now = Date.now()): Promise<void> {
  const left = (await db().journal.toArray()).filter((entry) => madeAt(entry) < now - LEFT_MS);
  const old = left.filter((entry) => madeAt(entry) < now - KEPT_MS);
  await db().journal.bulkDelete(old.map((entry) => entry.key));
  for (const id of new Set(left.map((entry) => entry.set))) {
    const read = await openSet(id);
    if (read.ok && read.value.journal.length > 0)
      await saveSet(read.value.set, read.value.revision, { entries: read.value.journal, mark: newKey() });
  }
}

export function opened(stored: StoredSet): Result<OpenedSet> {
  const parsed = parseSet(stored.document);
  return parsed.ok ? ok({ set: parsed.value, revision: stored.revision, journal: [] }) : parsed;
}

/**
 * Saves over the revision it was read at; when another tab saved meanwhile, nothing is written. The entries of the
 * journal that are in the set are taken out in the same stroke.
 */
export async function saveSet(
  set: SetDocument,
  basis: number,
  folding?: { entries: readonly string[]; mark: string },
): Promise<SaveOutcome> {
  return db().transaction('rw', db().sets, db().journal, async (): Promise<SaveOutcome> => {
    const stored = await db().sets.get(set.id);
    if (!stored) return { kind: 'gone' };
    if (stored.revision !== basis) {
      const theirs = opened(stored);
      if (theirs.ok) return { kind: 'changed-elsewhere', stored: theirs.value };
    }
    const revision = stored.revision + 1;
    const mark = folding?.mark;
    await db().sets.put({
      id: set.id,
      title: set.title,
      changed_at: Date.now(),
      revision,
      document: set,
      ...(mark ? { mark } : {}),
    });
    if (folding) await db().journal.bulkDelete([...folding.entries]);
    return { kind: 'saved', revision };
  });
}

/** Adds a set under a free id; the stored document carries that id. Returns the id. */
export async function addSet(set: SetDocument): Promise<string> {
  return db().transaction('rw', db().sets, async () => {
    const id = await freeId(set.id);
    const document = { ...set, id };
    await db().sets.add({ id, title: set.title, changed_at: Date.now(), revision: 1, document });
    return id;
  });
}

async function freeId(wanted: string): Promise<string> {
  let id = wanted;
  for (let n = 2; await db().sets.get(id); n += 1) id = `${wanted.slice(0, 36)}-${n}`;
  return id;
}

export async function removeSet(id: string): Promise<void> {
  await db().transaction('rw', db().sets, db().journal, async () => {
    await db().sets.delete(id);
    await db().journal.where('set').equals(id).delete();
  });
}

/** Puts back a record that was just removed, just as it was, broken as it may be. */
export async function putBack(record: unknown): Promise<void> {
  await db().sets.put(record as StoredSet);
}
