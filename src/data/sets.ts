import { liveQuery } from 'dexie';
import { VERSION, type SetDocument } from '@/core/document/document';
import { parseSet } from '@/core/document/parse';
import { fail, ok, type Result } from '@/core/model/result';
import { db, type StoredSet } from './database';

export interface OpenedSet {
  set: SetDocument;
  revision: number;
}

export type SaveOutcome =
  { kind: 'saved'; revision: number } | { kind: 'changed-elsewhere'; stored: OpenedSet } | { kind: 'gone' };

/** Every stored set, latest change first, each time anything in the store changes. */
export function watchSets(
  onChange: (sets: StoredSet[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => (await db().sets.orderBy('changed_at').reverse().toArray()).map(upToDate);
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** What an older version of the program stored, as this one reads it; nothing is written. */
export function upToDate(stored: StoredSet): StoredSet {
  if (stored.document.version === VERSION) return stored;
  const read = opened(stored);
  return read.ok ? { ...stored, document: read.value.set } : stored;
}

/** One stored set each time it changes, by this tab or another. */
export function watchSet(id: string, onChange: (stored: StoredSet | undefined) => void): () => void {
  const subscription = liveQuery(() => db().sets.get(id)).subscribe(onChange);
  return () => subscription.unsubscribe();
}

/** Opens a set; what an older version of the program stored is migrated. */
export async function openSet(id: string): Promise<Result<OpenedSet>> {
  const stored = await db().sets.get(id);
  if (!stored) return fail('', `There is no set "${id}" in this browser.`);
  return opened(stored);
}

export function opened(stored: StoredSet): Result<OpenedSet> {
  const parsed = parseSet(stored.document);
  return parsed.ok ? ok({ set: parsed.value, revision: stored.revision }) : parsed;
}

/** Saves over the revision it was read at; when another tab saved meanwhile, nothing is written. */
export async function saveSet(set: SetDocument, basis: number): Promise<SaveOutcome> {
  return db().transaction('rw', db().sets, async (): Promise<SaveOutcome> => {
    const stored = await db().sets.get(set.id);
    if (!stored) return { kind: 'gone' };
    if (stored.revision !== basis) {
      const theirs = opened(stored);
      if (theirs.ok) return { kind: 'changed-elsewhere', stored: theirs.value };
    }
    const revision = stored.revision + 1;
    await db().sets.put({ id: set.id, title: set.title, changed_at: Date.now(), revision, document: set });
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
  await db().sets.delete(id);
}

/** Puts back a set that was just removed. */
export async function putBack(stored: StoredSet): Promise<void> {
  await db().sets.put(stored);
}
