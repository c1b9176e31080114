import Dexie, { type DexieOptions, type Table } from 'dexie';
import { storesOf, STORE_VERSION, type Rows, type TableName } from './tables';

export const STORE_NAME = 'merry-lacquer';

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
    for (let version = 1; version <= STORE_VERSION; version += 1)
      this.version(version).stores(storesOf(version));
  }

  of<K extends TableName>(name: K): Table<Rows[K], string> {
    return this.table(name);
  }
  get sets() {
    return this.of('sets');
  }
  get facts() {
    return this.of('facts');
  }
  get journal() {
    return this.of('journal');
  }
  get history() {
    return this.of('history');
  }
  get bin() {
    return this.of('bin');
  }
  get shelf() {
    return this.of('shelf');
  }
  get clients() {
    return this.of('clients');
  }
  get supplies() {
    return this.of('supplies');
  }
  get motifs() {
    return this.of('motifs');
  }
  get references() {
    return this.of('references');
  }
  get benches() {
    return this.of('benches');
  }
  get photos() {
    return this.of('photos');
  }
  get worn() {
    return this.of('worn');
  }
  get takings() {
    return this.of('takings');
  }
  get gone() {
    return this.of('gone');
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
