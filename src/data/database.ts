import Dexie, { type EntityTable } from 'dexie';
import type { SetDocument } from '@/core/document/document';

/** A stored set. `revision` counts saves, so that two tabs notice each other. */
export interface StoredSet {
  id: string;
  title: string;
  changed_at: number;
  revision: number;
  document: SetDocument;
}

/** Small facts about this store, such as whether it was seeded. */
export interface StoredFact {
  key: string;
  value: string;
}

class LacquerDatabase extends Dexie {
  sets!: EntityTable<StoredSet, 'id'>;
  facts!: EntityTable<StoredFact, 'key'>;

  constructor() {
    super('merry-lacquer');
    this.version(1).stores({ sets: 'id, changed_at', facts: 'key' });
  }
}

let database: LacquerDatabase | undefined;

/** Opened on first use, so that nothing touches the browser's store while a page is rendered on the server. */
export function db(): LacquerDatabase {
  database ??= new LacquerDatabase();
  return database;
}
