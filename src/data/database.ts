import Dexie, { type DexieOptions, type Table } from 'dexie';
import type { Bench } from '@/core/bench/log';
import type { Change } from '@/core/document/changes';
import type { Difference } from '@/core/document/difference';
import type { SetDocument } from '@/core/document/document';
import type { Client } from '@/core/model/client';
import type { KeptMotif } from '@/core/craft/keptMotif';
import type { ShelfItem } from '@/core/model/shelf';
import type { Worn } from '@/core/model/wear';
import type { Taking } from '@/core/stock/taking';
import type { Supply } from '@/core/model/supply';

/** A stored set. `revision` counts saves, so that two tabs notice each other. */
export interface StoredSet {
  id: string;
  title: string;
  changed_at: number;
  revision: number;
  document: SetDocument;
  /** A key of the journal: what the tab that saved this made after it is not in here. */
  mark?: string;
  /** The last key of the journal that was taken in by that save. */
  last?: string;
}

/** A change that is not in its set yet: written in the tick in which it is made, folded in when things are quiet. */
export interface JournalEntry {
  /** Sorts by the moment it was made. */
  key: string;
  set: string;
  /** The revision of the set that it was made on. */
  basis: number;
  /** The last entry of a tab that is gone which it was made on, where that was not saved yet. */
  on?: string;
  /**
   * Made while two tabs' sets stood against each other, or while the set was gone: it holds the whole set of the tab
   * that made it, and waits for the artist's choice.
   */
  conflict?: true;
  /** The change, or the whole set where it came by undo or redo. A change that `joins` is of the gesture before it. */
  step: { change: Change; joins?: boolean } | { document: SetDocument };
}

/** What undo leads back through, and redo forward, from a set as it was saved. Nearest steps last. */
export interface StoredHistory {
  set: string;
  revision: number;
  /** The version of the set document that the differences are of. */
  version: number;
  past: Difference[];
  future: Difference[];
}

/** A removed record, just as it was. */
export interface Binned {
  key: string;
  removed_at: number;
  title: string;
  record: unknown;
  /** The table it was in; a set's where nothing is said. */
  table?: string;
}

/** An id that was in use once, and the last revision under it. It is not given again. */
export interface GoneId {
  id: string;
  revision: number;
}

/** A product on the artist's shelf, under its own id. */
export interface ShelvedItem extends ShelfItem {
  id: string;
}

/** A picture that a set is designed after. It stays here: no exported file carries it. */
export interface Reference {
  set: string;
  name: string;
  picture: Blob;
}

/** A picture taken at the table. It stays here: no exported file carries it. */
export interface Photo {
  id: string;
  set: string;
  taken_at: number;
  picture: Blob;
  width_px: number;
  height_px: number;
}

/** Small facts about this store, such as whether it was seeded. */
export interface StoredFact {
  key: string;
  value: string;
}

export const STORE_NAME = 'merry-lacquer';
/** The version of the store's tables that this program writes. */
export const STORE_VERSION = 11;

/** Why nothing is written: the store is of a newer program. */
export class ReadOnly extends Error {
  constructor() {
    super('this store is only read: a newer version of the program has written it');
    this.name = 'ReadOnly';
  }
}

export class LacquerDatabase extends Dexie {
  readonly onlyRead: boolean;

  /** With `onlyRead` the tables are taken as they are found, and every write is refused. */
  constructor(options: DexieOptions & { onlyRead?: boolean } = {}) {
    const { onlyRead = false, ...own } = options;
    super(STORE_NAME, own);
    this.onlyRead = onlyRead;
    if (onlyRead) {
      this.use({
        stack: 'dbcore',
        name: 'only-read',
        create: (core) => ({
          ...core,
          table: (name) => ({ ...core.table(name), mutate: () => Promise.reject(new ReadOnly()) }),
        }),
      });
      return;
    }
    this.version(1).stores({ sets: 'id, changed_at', facts: 'key' });
    this.version(2).stores({ journal: 'key, set' });
    this.version(3).stores({ history: 'set', bin: 'key, removed_at', gone: 'id', shelf: 'id' });
    this.version(4).stores({ clients: 'id, *sets' });
    this.version(5).stores({ supplies: 'id, kind' });
    this.version(6).stores({ references: 'set' });
    this.version(7).stores({ motifs: 'id' });
    this.version(8).stores({ benches: 'set' });
    this.version(9).stores({ photos: 'id, set' });
    this.version(10).stores({ takings: 'set' });
    this.version(STORE_VERSION).stores({ worn: 'set, client' });
  }

  get sets(): Table<StoredSet, string> {
    return this.table('sets');
  }
  get facts(): Table<StoredFact, string> {
    return this.table('facts');
  }
  get journal(): Table<JournalEntry, string> {
    return this.table('journal');
  }
  get history(): Table<StoredHistory, string> {
    return this.table('history');
  }
  get bin(): Table<Binned, string> {
    return this.table('bin');
  }
  get shelf(): Table<ShelvedItem, string> {
    return this.table('shelf');
  }
  get clients(): Table<Client, string> {
    return this.table('clients');
  }
  get supplies(): Table<Supply, string> {
    return this.table('supplies');
  }
  get motifs(): Table<KeptMotif, string> {
    return this.table('motifs');
  }
  get references(): Table<Reference, string> {
    return this.table('references');
  }
  get benches(): Table<Bench, string> {
    return this.table('benches');
  }
  get photos(): Table<Photo, string> {
    return this.table('photos');
  }
  get worn(): Table<Worn, string> {
    return this.table('worn');
  }
  get takings(): Table<Taking, string> {
    return this.table('takings');
  }
  get gone(): Table<GoneId, string> {
    return this.table('gone');
  }
}

let database: LacquerDatabase | undefined;

/** Opened on first use, so that nothing touches the browser's store while a page is rendered on the server. */
export function db(): LacquerDatabase {
  database ??= new LacquerDatabase();
  return database;
}

/** Puts another store in the place of the one in use, which is closed. */
export function replaceDb(next: LacquerDatabase): void {
  database?.close();
  database = next;
}
