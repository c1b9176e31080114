import * as z from 'zod/mini';
import { Bench } from '@/core/bench/log';
import { CHANGE_KINDS } from '@/core/document/changes';
import { issueFault } from '@/core/document/parse';
import { Client } from '@/core/model/client';
import { fail, ok, type Fault, type Result } from '@/core/model/result';
import { ShelfItem } from '@/core/model/shelf';
import { KeptMotif } from '@/core/craft/keptMotif';
import { Supply } from '@/core/model/supply';
import { Worn } from '@/core/model/wear';
import { Taking } from '@/core/stock/taking';
import { without } from '@/core/model/without';
import {
  db,
  type Binned,
  type GoneId,
  type JournalEntry,
  type Photo,
  type Reference,
  type ShelvedItem,
  type StoredFact,
  type StoredHistory,
  type StoredSet,
} from './database';
import { listed } from './listed';

/** What each table of the store holds. */
export interface Rows {
  sets: StoredSet;
  journal: JournalEntry;
  history: StoredHistory;
  bin: Binned;
  gone: GoneId;
  facts: StoredFact;
  shelf: ShelvedItem;
  supplies: Supply;
  clients: Client;
  references: Reference;
  motifs: KeptMotif;
  benches: Bench;
  photos: Photo;
  takings: Taking;
  worn: Worn;
}
export type TableName = keyof Rows;

/** A row that is not what its table holds: broken, or of a newer program. It is kept just as it is. */
export interface BrokenRow {
  table: TableName;
  /** Its primary key, whatever that is. */
  key: unknown;
  title: string;
  fault: Fault;
  record: unknown;
}

interface TableKind<T> {
  /** Where a row has its primary key. */
  key: 'id' | 'key' | 'set';
  /** What a row is to an artist: "client’s card". */
  words: string;
  read: (row: unknown) => Result<T>;
  /** The name a row gives itself, where it gives one. */
  nameIn: (row: Partial<Record<string, unknown>>) => unknown;
}

const Difference = z.array(z.object({ at: z.array(z.union([z.string(), z.number()])) }));
const Entry = z.object({
  key: z.string().check(z.regex(/^\d+ \S+ \d+$/, 'is no key of an entry')),
  set: z.string(),
  basis: z.number(),
  on: z.optional(z.string()),
  conflict: z.optional(z.boolean()),
  step: z.union([
    z.object({ change: z.object({ kind: z.enum(CHANGE_KINDS) }), joins: z.optional(z.boolean()) }),
    z.object({ document: z.record(z.string(), z.unknown()) }),
  ]),
});
const History = z.object({
  set: z.string(),
  revision: z.number(),
  version: z.number(),
  past: z.array(Difference),
  future: z.array(Difference),
});
const Fact = z.object({ key: z.string(), value: z.string() });
const Gone = z.object({ id: z.string(), revision: z.number() });
const BinRow = z.object({
  key: z.string(),
  removed_at: z.number(),
  title: z.string(),
  record: z.unknown(),
  table: z.optional(z.string()),
});
const Picture = z.custom<Blob>(
  (value) => typeof Blob !== 'undefined' && value instanceof Blob,
  'is no picture',
);
const ReferenceRow = z.object({ set: z.string(), name: z.string(), picture: Picture });
const PhotoRow = z.object({
  id: z.string(),
  set: z.string(),
  taken_at: z.number(),
  picture: Picture,
  width_px: z.number(),
  height_px: z.number(),
});

/** A row that is checked by a schema is taken as it stands: what else it holds is left in it. */
function by<T>(schema: z.ZodMiniType): (row: unknown) => Result<T> {
  return (row) => {
    const parsed = schema.safeParse(row);
    return parsed.success ? ok(row as T) : { ok: false, faults: [issueFault(parsed.error.issues[0]!)] };
  };
}

function readShelved(row: unknown): Result<ShelvedItem> {
  const item = by<ShelfItem>(ShelfItem)(
    typeof row === 'object' && row !== null ? without(row as ShelvedItem, 'id') : row,
  );
  if (!item.ok) return item;
  const shelved = row as ShelvedItem;
  return shelved.id === item.value.product.id ? ok(shelved) : fail('id', 'is not that of its product');
}

function readStored(row: unknown): Result<StoredSet> {
  const one = listed(row);
  return one.kind === 'set' ? ok(one.stored) : { ok: false, faults: one.faults };
}

export const TABLES: { [K in TableName]: TableKind<Rows[K]> } = {
  sets: { key: 'id', words: 'set', read: readStored, nameIn: ({ title }) => title },
  journal: { key: 'key', words: 'change to a set', read: by(Entry), nameIn: ({ set }) => set },
  history: { key: 'set', words: 'undo of a set', read: by(History), nameIn: ({ set }) => set },
  bin: { key: 'key', words: 'removed record', read: by(BinRow), nameIn: ({ title }) => title },
  gone: { key: 'id', words: 'note of a removed set', read: by(Gone), nameIn: ({ id }) => id },
  facts: { key: 'key', words: 'note of the program’s own', read: by(Fact), nameIn: ({ key }) => key },
  shelf: {
    key: 'id',
    words: 'product',
    read: readShelved,
    nameIn: ({ product }) => (product as { name?: unknown } | null | undefined)?.name,
  },
  supplies: { key: 'id', words: 'lamp, box or tool', read: by(Supply), nameIn: ({ name }) => name },
  clients: { key: 'id', words: 'client’s card', read: by(Client), nameIn: ({ name }) => name },
  motifs: { key: 'id', words: 'motif', read: by(KeptMotif), nameIn: ({ name }) => name },
  benches: { key: 'set', words: 'record of a sitting', read: by(Bench), nameIn: ({ set }) => set },
  photos: { key: 'id', words: 'photo of a sitting', read: by(PhotoRow), nameIn: ({ id }) => id },
  worn: {
    key: 'set',
    words: 'record of a worn set',
    read: by(Worn),
    nameIn: ({ title }) => title,
  },
  takings: {
    key: 'set',
    words: 'note of what a set took off the shelf',
    read: by(Taking),
    nameIn: ({ title }) => title,
  },
  references: {
    key: 'set',
    words: 'picture beside a set',
    read: by(ReferenceRow),
    nameIn: ({ name }) => name,
  },
};

/** A table's rows one by one: those that are what it holds, and those that are not. */
export function readRows<K extends TableName>(
  table: K,
  rows: readonly unknown[],
): { good: Rows[K][]; broken: BrokenRow[] } {
  const good: Rows[K][] = [];
  const broken: BrokenRow[] = [];
  for (const row of rows) {
    const read = TABLES[table].read(row);
    if (read.ok) good.push(read.value);
    else broken.push(brokenRow(table, row, read.faults[0]!));
  }
  return { good, broken };
}

/** One row of a table as it is found by its key: undefined where there is none, or a broken one. */
export async function goodRow<K extends TableName>(table: K, key: string): Promise<Rows[K] | undefined> {
  const row: unknown = await db().table(table).get(key);
  const read = row === undefined ? undefined : TABLES[table].read(row);
  return read?.ok ? read.value : undefined;
}

/** Every good row of a table. */
export async function goodRows<K extends TableName>(table: K): Promise<Rows[K][]> {
  return readRows(table, await db().table(table).toArray()).good;
}

function brokenRow(table: TableName, record: unknown, fault: Fault): BrokenRow {
  const { key: keyPath, words, nameIn } = TABLES[table];
  const held = (typeof record === 'object' && record !== null ? record : {}) as Partial<
    Record<string, unknown>
  >;
  const name = nameIn(held);
  const title = typeof name === 'string' && name.trim() ? name : `A ${words} without a name`;
  return { table, key: held[keyPath], title, fault, record };
}
