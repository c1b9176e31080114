import { liveQuery } from 'dexie';
import { VERSION, type SetDocument } from '@/core/document/document';
import { parseSet } from '@/core/document/parse';
import { fail, ok, type Result } from '@/core/model/result';
import { nameApart } from '@/core/document/naming';
import { wordsWith } from '@/core/model/primitives';
import { binned, clearOldBin } from './bin';
import { db, ReadOnly } from './database';
import type { JournalEntry, StoredHistory, StoredSet } from './records';
import { openSets, type OpenSets } from './held';
import { listed } from './listed';
import { bringLate, laidOver, madeAt, newKey, readJournal, TAB, tabOf, takeOut } from './journal';
import { goodRow, readRows } from './rows';
import { noteState } from './takings';
import { packHistory, unpackHistory, type Trail } from './undoHistory';

export interface OpenedSet {
  set: SetDocument;
  revision: number;
  /** Entries of the journal that are in `set` and not yet in the store's. */
  journal: string[];
  /** What the store holds, with what can be undone and redone from there, and the steps of the journal since. */
  trail?: Trail;
}

export type SaveOutcome =
  | { kind: 'saved'; revision: number }
  | { kind: 'changed-elsewhere'; stored: OpenedSet }
  | { kind: 'gone' };

/** The titles of some sets, by id; a set that is not there has none. */
export async function titlesOf(ids: readonly string[]): Promise<Map<string, string>> {
  const found = await db().sets.bulkGet([...ids]);
  return new Map(found.flatMap((one) => (one && typeof one.title === 'string' ? [[one.id, one.title]] : [])));
}

/** Some sets as they are stored, the latest change first; those that are not there, or cannot be read, are left out. */
export async function storedSets(ids: readonly string[]): Promise<StoredSet[]> {
  const rows = (await db().sets.bulkGet([...ids])).filter((row) => row !== undefined);
  return readRows('sets', rows).good.sort((a, b) => b.changed_at - a.changed_at);
}

/** One stored set each time it changes, by this tab or another. */
export function watchSet(id: string, onChange: (stored: StoredSet | undefined) => void): () => void {
  const subscription = liveQuery(() => db().sets.get(id)).subscribe(onChange);
  return () => subscription.unsubscribe();
}

/** Opens a set; what an older version of the program stored is migrated. What another tab still works at is left to it. */
export async function openSet(id: string): Promise<Result<OpenedSet>> {
  await bringLate().catch(() => undefined);
  // Gone from here a moment ago, it may still be on its way to the store.
  await Promise.race([saves.get(id)?.catch(() => undefined), saves.has(id) && wait(SAVE_MS)]);
  const open = await openSets();
  return opening(id, ({ key }) => tabOf(key) === TAB || !open.by(tabOf(key), id));
}

/** A save that takes longer is not waited for. */
const SAVE_MS = 3000;
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** A set as it was last seen, in whatever tab. To look at: what another tab works at is its own to keep. */
export function lastSeen(id: string): Promise<Result<OpenedSet>> {
  return opening(id, () => true);
}

/** A set with those entries of the journal that are asked for. */
async function opening(id: string, wanted: (entry: JournalEntry) => boolean): Promise<Result<OpenedSet>> {
  // First the journal: what is folded into the set meanwhile is passed over as older.
  const rows = await readJournal(id);
  return db().transaction('r', db().sets, db().history, async () => {
    const row = await db().sets.get(id);
    if (!row) return fail('', `There is no set "${id}" in this browser.`);
    const read = listed(row);
    if (read.kind === 'broken') return { ok: false, faults: read.faults };
    const { stored } = read;
    const entries = readRows('journal', rows).good.filter(wanted);
    const { set, keys, steps } = laidOver(stored.document, stored, entries);
    const kept = await goodRow('history', id);
    const fits = kept?.revision === stored.revision && kept.version === VERSION;
    const history = fits ? { past: kept.past, future: kept.future } : { past: [], future: [] };
    return ok({
      set,
      revision: stored.revision,
      journal: keys,
      trail: { from: stored.document, history, steps },
    });
  });
}

/** Entries this old belong to a tab that is gone, where neither the browser nor the tab, of an older program, says so. */
const LEFT_MS = 3000;

/** What was made on a set that has been saved over since stays this long. */
const KEPT_MS = 30 * 24 * 3600 * 1000;

/**
 * Tidies the store: folds into their sets what tabs that are gone have left in the journal, keeps as copies what such
 * tabs had to choose about, and clears the old bin. Sets that are open in a tab are left to it. Returns the titles of
 * the copies.
 */
export async function foldLeft(now = Date.now()): Promise<string[]> {
  if (db().onlyRead) return [];
  await clearOldBin(now);
  const open = await openSets();
  const { good } = readRows('journal', await readJournal());
  const left = good.filter((entry) => isLeft(entry, open, now));
  const old = left.filter((entry) => !entry.conflict && madeAt(entry) < now - KEPT_MS);
  await takeOut(old.map((entry) => entry.key));
  const copies = await keepUndecided(left.filter((entry) => entry.conflict));
  for (const id of new Set(left.map((entry) => entry.set))) {
    if (open.anywhere(id)) continue;
    const read = await opening(id, (entry) => isLeft(entry, open, now));
    if (!read.ok || read.value.journal.length === 0) continue;
    const { past, future } = unpackHistory(read.value);
    await saveSet(read.value.set, read.value.revision, {
      entries: read.value.journal,
      mark: newKey(),
      history: packHistory(past, read.value.set, future),
    });
  }
  return copies;
}

function isLeft(entry: JournalEntry, open: OpenSets, now: number): boolean {
  const held = open.by(tabOf(entry.key), entry.set);
  if (held !== undefined && entry.conflict) return !held;
  return !held && madeAt(entry) < now - LEFT_MS;
}

/** What stood against another tab's set in a tab that is gone becomes a set beside it. */
async function keepUndecided(entries: readonly JournalEntry[]): Promise<string[]> {
  const titles: string[] = [];
  const sides = new Map<string, JournalEntry[]>();
  for (const entry of entries) {
    const side = `${tabOf(entry.key)} ${entry.set}`;
    sides.set(side, [...(sides.get(side) ?? []), entry]);
  }
  for (const side of sides.values()) {
    const latest = side.reduce((a, b) => (a.key > b.key ? a : b));
    const read = 'document' in latest.step ? parseSet(latest.step.document) : undefined;
    if (!read?.ok) continue;
    const mine = read.value;
    await db().transaction('rw', db().sets, db().gone, db().journal, async () => {
      const title = wordsWith(mine.title, '(my copy)');
      await addSet({ ...mine, title });
      await db().journal.bulkDelete(side.map((entry) => entry.key));
      titles.push(title);
    });
  }
  return titles;
}

/** Changes a set that is stored, as one step that can be undone. Nothing happens where it cannot be read. */
export async function changeStored(
  id: string,
  change: (set: SetDocument) => SetDocument,
): Promise<SaveOutcome | undefined> {
  const read = await lastSeen(id);
  if (!read.ok) return undefined;
  const { past } = unpackHistory(read.value);
  const next = change(read.value.set);
  return saveSet(next, read.value.revision, {
    entries: read.value.journal,
    mark: newKey(),
    history: packHistory([...past, read.value.set], next, []),
  });
}

export function opened(row: unknown): Result<OpenedSet> {
  const read = listed(row);
  return read.kind === 'set'
    ? ok({ set: read.stored.document, revision: read.stored.revision, journal: [] })
    : { ok: false, faults: read.faults };
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
export function saveSet(set: SetDocument, basis: number, folding?: Folding): Promise<SaveOutcome> {
  const saved = saving(set, basis, folding);
  saves.set(set.id, saved);
  const over = () => {
    if (saves.get(set.id) === saved) saves.delete(set.id);
  };
  saved.then(over, over);
  return saved;
}

/** Saves that are under way in this tab, by set. */
const saves = new Map<string, Promise<unknown>>();

async function saving(set: SetDocument, basis: number, folding?: Folding): Promise<SaveOutcome> {
  if (db().onlyRead) throw new ReadOnly();
  const tables = [db().sets, db().history, db().bin, db().takings, db().worn];
  const outcome = await db().transaction('rw', tables, async (): Promise<SaveOutcome> => {
    const stored = await db().sets.get(set.id);
    if (!stored) return { kind: 'gone' };
    const theirs = opened(stored);
    if (theirs.ok && theirs.value.revision !== basis)
      return { kind: 'changed-elsewhere', stored: theirs.value };
    // What cannot be read here another program may: it is written over, and kept.
    if (!theirs.ok) await db().bin.add(binned(stored));
    const revision = Math.max(basis, theirs.ok ? theirs.value.revision : 0) + 1;
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
    await noteState(theirs.ok ? theirs.value.set : undefined, set);
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
    const revision = ((await goodRow('gone', set.id))?.revision ?? 0) + 1;
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

/** Adds the same set once more, under a title with a number of its own. Returns its id. */
export async function addCopy(set: SetDocument): Promise<string> {
  const titles = (await db().sets.toArray()).map((one) => String(one.title));
  const plain = set.title.replace(/ \d+$/, '');
  return addSet({
    ...set,
    title: nameApart(plain, [...titles, plain]),
    appointment: null,
    state: 'planned',
    offered: null,
  });
}
