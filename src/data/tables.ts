import * as z from 'zod/mini';
import { Bench } from '@/core/bench/log';
import { KeptMotif } from '@/core/craft/keptMotif';
import { CHANGE_KINDS } from '@/core/document/changes';
import { issueFault } from '@/core/document/parse';
import { Client } from '@/core/model/client';
import { mostOf } from '@/core/model/extent';
import { wordsWith } from '@/core/model/primitives';
import { Pricing } from '@/core/model/pricing';
import { fail, ok, type Result } from '@/core/model/result';
import { ShelfItem } from '@/core/model/shelf';
import { Supply } from '@/core/model/supply';
import { Worn } from '@/core/model/wear';
import { without } from '@/core/model/without';
import { Taking } from '@/core/stock/taking';
import { asLines, asTheyStand, pictureOf, type InBackup } from './inBackup';
import { listed } from './listed';
import type {
  Binned,
  GoneId,
  JournalEntry,
  Photo,
  Reference,
  ShelvedItem,
  StoredFact,
  StoredHistory,
  StoredSet,
} from './records';

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

/** A table of the store, and all that anybody has to know of it. */
export interface TableKind<T> {
  /** Where a row has its primary key. */
  key: 'id' | 'key' | 'set';
  /** What a row is to an artist: "client’s card". */
  words: string;
  /** More of them. */
  many: string;
  read: (row: unknown) => Result<T>;
  /** The name a row gives itself, where it gives one. */
  nameIn: (row: Partial<Record<string, unknown>>) => unknown;
  /** The version of the store since which there is this table, and what its rows are found by beside their key. */
  since: number;
  foundBy?: string;
  backup?: InBackup<T>;
  /** Where a row says of which set it is, and whether it stays when that set is gone for good. */
  ofSet?: { column: 'id' | 'set'; outlives: 'never' | 'where worn' | 'always' };
  /** Where a row says of which client it is. */
  ofClient?: 'id' | 'client';
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

/** Where among the facts the artist's prices stand. */
export const PRICING = 'pricing';

/** What was kept of prices; undefined where it is none. */
export function readPricing(text: string | undefined): Pricing | undefined {
  try {
    const read = Pricing.safeParse(JSON.parse(text ?? 'null'));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}

export const TABLES: { [K in TableName]: TableKind<Rows[K]> } = {
  sets: {
    key: 'id',
    words: 'set',
    many: 'sets',
    read: readStored,
    nameIn: ({ title }) => title,
    since: 1,
    foundBy: 'changed_at',
    ofSet: { column: 'id', outlives: 'never' },
  },
  facts: {
    key: 'key',
    words: 'note of the program’s own',
    many: 'notes of the program’s own',
    read: by(Fact),
    nameIn: ({ key }) => key,
    since: 1,
    backup: {
      ...asLines<StoredFact, 'pricing'>(
        'pricing',
        ({ key, value }) => (key === PRICING ? readPricing(value) : undefined),
        (prices) => ({ key: PRICING, value: JSON.stringify(prices) }),
      ),
      differing: 'asked',
      byCount: true,
      words: 'your prices',
    },
  },
  journal: {
    key: 'key',
    words: 'change to a set',
    many: 'changes to sets',
    read: by(Entry),
    nameIn: ({ set }) => set,
    since: 2,
    foundBy: 'set',
    ofSet: { column: 'set', outlives: 'never' },
  },
  history: {
    key: 'set',
    words: 'undo of a set',
    many: 'undos of sets',
    read: by(History),
    nameIn: ({ set }) => set,
    since: 3,
    ofSet: { column: 'set', outlives: 'never' },
  },
  bin: {
    key: 'key',
    words: 'removed record',
    many: 'removed records',
    read: by(BinRow),
    nameIn: ({ title }) => title,
    since: 3,
    foundBy: 'removed_at',
  },
  gone: {
    key: 'id',
    words: 'note of a removed set',
    many: 'notes of removed sets',
    read: by(Gone),
    nameIn: ({ id }) => id,
    since: 3,
  },
  clients: {
    key: 'id',
    words: 'client’s card',
    many: 'clients’ cards',
    read: by(Client),
    nameIn: ({ name }) => name,
    since: 4,
    foundBy: '*sets',
    backup: {
      ...asTheyStand('clients'),
      differing: 'asked',
      // Whose sets they are, the card that is here says.
      copy: (row, freshId) => ({
        ...row,
        id: freshId(),
        name: wordsWith(row.name, '(from the backup)'),
        sets: [],
      }),
    },
    ofClient: 'id',
  },
  shelf: {
    key: 'id',
    words: 'product',
    many: 'products',
    read: readShelved,
    nameIn: ({ product }) => (product as { name?: unknown } | null | undefined)?.name,
    since: 3,
    backup: {
      ...asLines<ShelvedItem, 'shelf'>(
        'shelf',
        (row) => without(row, 'id'),
        (item) => ({ id: item.product.id, ...item }),
      ),
      differing: 'asked',
      byCount: true,
    },
  },
  supplies: {
    key: 'id',
    words: 'lamp, box or tool',
    many: 'lamps, boxes and tools',
    read: by(Supply),
    nameIn: ({ name }) => name,
    since: 5,
    foundBy: 'kind',
    backup: { ...asTheyStand('supplies'), differing: 'asked', byCount: true },
  },
  references: {
    key: 'set',
    words: 'picture beside a set',
    many: 'pictures beside sets',
    read: by(ReferenceRow),
    nameIn: ({ name }) => name,
    since: 6,
    backup: {
      ...asLines<Reference, 'references'>(
        'references',
        ({ set, name, picture }, keep) => ({ set, name: name.slice(0, 300), file: keep(picture) }),
        ({ set, name, file }, of) => {
          const picture = pictureOf(of, file);
          return picture && { set, name, picture };
        },
      ),
      differing: 'stands',
      byCount: true,
    },
    ofSet: { column: 'set', outlives: 'never' },
  },
  motifs: {
    key: 'id',
    words: 'motif',
    many: 'motifs',
    read: by(KeptMotif),
    nameIn: ({ name }) => name,
    since: 7,
    backup: { ...asTheyStand('motifs'), differing: 'asked' },
  },
  benches: {
    key: 'set',
    words: 'record of a sitting',
    many: 'records of sittings',
    read: by(Bench),
    nameIn: ({ set }) => set,
    since: 8,
    backup: { ...asTheyStand('benches'), differing: 'stands' },
    ofSet: { column: 'set', outlives: 'never' },
  },
  photos: {
    key: 'id',
    words: 'photo',
    many: 'photos',
    read: by(PhotoRow),
    nameIn: ({ id }) => id,
    since: 9,
    foundBy: 'set',
    backup: {
      ...asLines<Photo, 'photos'>(
        'photos',
        ({ id, set, taken_at, width_px, height_px, picture }, keep) => ({
          id,
          set,
          taken_at,
          width_px,
          height_px,
          file: keep(picture),
        }),
        ({ file, ...line }, of) => {
          const picture = pictureOf(of, file);
          return picture && { ...line, picture };
        },
      ),
      differing: 'stands',
      byCount: true,
    },
    ofSet: { column: 'set', outlives: 'where worn' },
  },
  takings: {
    key: 'set',
    words: 'note of what a set took off the shelf',
    many: 'takings off the shelf',
    read: by(Taking),
    nameIn: ({ title }) => title,
    since: 10,
    backup: { ...asTheyStand('takings'), differing: 'stands' },
    ofSet: { column: 'set', outlives: 'always' },
  },
  worn: {
    key: 'set',
    words: 'record of a worn set',
    many: 'worn sets',
    read: by(Worn),
    nameIn: ({ title }) => title,
    since: 11,
    foundBy: 'client',
    backup: { ...asTheyStand('worn'), differing: 'stands' },
    ofSet: { column: 'set', outlives: 'always' },
    ofClient: 'client',
  },
};

export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** The version of the store's tables that this program writes. */
export const STORE_VERSION = mostOf(TABLE_NAMES.map((name) => TABLES[name].since));

/** What the store is made of, version by version, in the words of Dexie. */
export function storesOf(version: number): Record<string, string> {
  return Object.fromEntries(
    TABLE_NAMES.filter((name) => TABLES[name].since === version).map((name) => {
      const { key, foundBy } = TABLES[name];
      return [name, foundBy ? `${key}, ${foundBy}` : key];
    }),
  );
}
