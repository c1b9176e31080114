import { liveQuery } from 'dexie';
import { VERSION, type SetDocument } from '@/core/document/document';
import { parseSet } from '@/core/document/parse';
import { fail, ok, type Result } from '@/core/model/result';
import { clearOldBin } from './bin';
import { db, type JournalEntry, type StoredHistory, type StoredSet } from './database';
import { changedAt, listed, type Listed } from './listed';
import { bringLate, laidOver, madeAt, newKey, takeOut, type LaidOver } from './journal';

export interface OpenedSet {
  set: SetDocument;
  revision: number;
  /** Entries of the journal that are in `set` and not yet in the store's. */
  journal: string[];
  /** What the store holds, with what can be undone and redone from there, and the steps of the journal since. */
  trail?: Trail;
}

export interface Trail {
  from: SetDocument;
  history: Pick<StoredHistory, 'past' | 'future'>;
  steps: LaidOver['steps'];
}

export type SaveOutcome =
  { kind: 'saved'; revision: number } | { kind: 'changed-elsewhere'; stored: OpenedSet } | { kind: 'gone' };

/**
 * Every record of the store, broken ones too, latest change first, each time anything in the store changes; with
 * what the journal still holds of each.
 */
export function watchSets(onChange: (sets: Listed[]) => void, onError: (error: unknown) => void): () => void {
  const all = async () => {
    const [records, entries] = [await db().sets.toArray(), await db().journal.toArray()];
    const latest = (one: Listed) => (one.kind === 'set' ? asLastSeen(one, entries) : one);
    return records.sort((a, b) => changedAt(b) - changedAt(a)).map((one) => latest(listed(one)));
  };
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

function asLastSeen(one: Extract<Listed, { kind: 'set' }>, entries: readonly JournalEntry[]): Listed {
  const own = entries.filter((entry) => entry.set === one.id);
  if (own.length === 0) return one;
  const { set } = laidOver(one.stored.document, one.stored, own);
  return { ...one, stored: { ...one.stored, title: set.title, document: set } };
}

/** The titles of some sets, by id; a set that is not there has none. */
export async function titlesOf(ids: readonly string[]): Promise<Map<string, string>> {
  const found = await db().sets.bulkGet([...ids]);
  return new Map(found.flatMap((one) => (one && typeof one.title === 'string' ? [[one.id, one.title]] : [])));
}

/** One stored set each time it changes, by this tab or another. */
export function watchSet(id: string, onChange: (stored: StoredSet | undefined) => void): () => void {
  const subscription = liveQuery(() => db().sets.get(id)).subscribe(onChange);
  return () => subscription.unsubscribe();
}

/** Opens a set; what an older version of the program stored is migrated. */
export async function openSet(id: string): Promise<Result<OpenedSet>> {
  await bringLate().catch(() => undefined);
  return db().transaction('r', db().sets, db().journal, db().history, async () => {
    const stored = await db().sets.get(id);
    if (!stored) return fail('', `There is no set "${id}" in this browser.`);
    const read = opened(stored);
    if (!read.ok) return read;
    const entries = await db().journal.where('set').equals(id).toArray();
    const { set, keys, steps } = laidOver(read.value.set, stored, entries);
    const kept = await db().history.get(id);
    const fits = kept?.revision === stored.revision && kept.version === VERSION;
    const history = fits ? { past: kept.past, future: kept.future } : { past: [], future: [] };
    return ok({
      set,
      revision: stored.revision,
      journal: keys,
      trail: { from: read.value.set, history, steps },
    });
  });
}

/** Entries this old belong to a tab that is gone: a living one folds its own within the second. */
const LEFT_MS = 3000;

/** What was made on a set that has been saved over since stays this long. */
const KEPT_MS = 30 * 24 * 3600 * 1000;

/** Tidies the store: folds into their sets what tabs that are gone have left in the journal, and clears the old bin. */
export async function foldLeft(now = Date.now()): Promise<void> {
  if (db().onlyRead) return;
  await clearOldBin(now);
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

/** What a save takes in: entries of the journal up to a mark, and what can be undone and redone from there. */
export interface Folding {
  entries: readonly string[];
  mark: string;
  history?: Pick<StoredHistory, 'past' | 'future'>;
}

/**
 * Saves over the revision it was read at; when another tab saved meanwhile, nothing is written. The entries of the
 * journal that are in the set are taken out after: while a set is saved the journal goes on taking what is made.
 */
export async function saveSet(set: SetDocument, basis: number, folding?: Folding): Promise<SaveOutcome> {
  const outcome = await db().transaction('rw', db().sets, db().history, async (): Promise<SaveOutcome> => {
    const stored = await db().sets.get(set.id);
    if (!stored) return { kind: 'gone' };
    if (stored.revision !== basis) {
      const theirs = opened(stored);
      if (theirs.ok) return { kind: 'changed-elsewhere', stored: theirs.value };
    }
    const revision = stored.revision + 1;
    const mark = folding?.mark;
    const last = [...(folding?.entries ?? [])].sort().at(-1);
    await db().sets.put({
      id: set.id,
      title: set.title,
      changed_at: Date.now(),
      revision,
      document: set,
      ...(mark ? { mark } : {}),
      ...(last ? { last } : {}),
    });
    if (folding?.history)
      await db().history.put({ set: set.id, revision, version: VERSION, ...folding.history });
    return { kind: 'saved', revision };
  });
  // What is left in it is passed over from now on, and goes in time.
  if (outcome.kind === 'saved' && folding) await takeOut(folding.entries).catch(() => undefined);
  return outcome;
}

/**
 * Stores a set that is not there any more once again, under its own id: it is the same set, later than all that any
 * tab has seen of it. Returns its revision.
 */
export async function storeAgain(set: SetDocument, changed_at = Date.now()): Promise<number> {
  return db().transaction('rw', db().sets, db().gone, async () => {
    const revision = ((await db().gone.get(set.id))?.revision ?? 0) + 1;
    await db().sets.add({ id: set.id, title: set.title, changed_at, revision, document: set });
    return revision;
  });
}

/** Adds a set under an id that was never in use; the stored document carries that id. Returns the id. */
export async function addSet(set: SetDocument): Promise<string> {
  return db().transaction('rw', db().sets, db().gone, async () => {
    const id = await freeId(set.id);
    const document = { ...set, id };
    await db().sets.add({ id, title: set.title, changed_at: Date.now(), revision: 1, document });
    return id;
  });
}

/** The wanted id, or one like it, that no set has or had. Within a transaction of `sets` and `gone`. */
async function freeId(wanted: string): Promise<string> {
  let id = wanted;
  for (let n = 2; (await db().sets.get(id)) || (await db().gone.get(id)); n += 1)
    id = `${wanted.slice(0, 36)}-${n}`;
  return id;
}
