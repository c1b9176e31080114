import Dexie, { type EntityTable } from 'dexie';
import type { Change } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';

/** A stored set. `revision` counts saves, so that two tabs notice each other. */
export interface StoredSet {
  id: string;
  title: string;
  changed_at: number;
  revision: number;
  document: SetDocument;
  /** A key of the journal: what the tab that saved this made after it is not in here. */
  mark?: string;
}

/** A change that is not in its set yet: written in the tick in which it is made, folded in when things are quiet. */
export interface JournalEntry {
  /** Sorts by the moment it was made. */
  key: string;
  set: string;
  /** The revision of the set that it was made on. */
  basis: number;
  /** The change, or the whole set where it came by undo or redo. */
  step: { change: Change } | { document: SetDocument };
}

/** Small facts about this store, such as whether it was seeded. */
export interface StoredFact {
  key: string;
  value: string;
}

class LacquerDatabase extends Dexie {
  sets!: EntityTable<StoredSet, 'id'>;
  facts!: EntityTable<StoredFact, 'key'>;
  journal!: EntityTable<JournalEntry, 'key'>;

  constructor() {
    super('merry-lacquer');
    this.version(1).stores({ sets: 'id, changed_at', facts: 'key' });
    this.version(2).stores({ journal: 'key, set' });
  }
}

let database: LacquerDatabase | undefined;

/** Opened on first use, so that nothing touches the browser's store while a page is rendered on the server. */
export function db(): LacquerDatabase {
  database ??= new LacquerDatabase();
  return database;
}
