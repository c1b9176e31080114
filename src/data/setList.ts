import { liveQuery } from 'dexie';
import type { SetDocument } from '@/core/document/document';
import { nextFirst, type Appointment, type SetState } from '@/core/model/appointment';
import { db } from './database';
import { laidOver, readJournal } from './journal';
import { changedAt, listed, type Listed } from './listed';
import type { JournalEntry } from './records';
import { readRows } from './rows';

/** So many of a long list are read before anything is shown; a screen holds fewer. */
const FIRST_READ = 24;
/** So long the page is kept from answering while the rest is read. */
const SLICE_MS = 12;

/**
 * Every record of the store, broken ones too, latest change first, each time anything in the store changes; with
 * what the journal still holds of each. Of a long list those that stand first come before the rest is read: `whole` says whether these are all.
 */
export function watchSets(
  onChange: (sets: Listed[], whole: boolean) => void,
  onError: (error: unknown) => void,
): () => void {
  return watchRows(() => true, onChange, onError);
}

function watchRows(
  wanted: (record: unknown) => boolean,
  onChange: (sets: Listed[], whole: boolean) => void,
  onError: (error: unknown) => void,
): () => void {
  let latest = 0;
  const rows = async () => {
    const records: unknown[] = await db().sets.toArray();
    const entries = readRows('journal', await Promise.resolve(readJournal())).good;
    return { records: records.filter(wanted).sort((a, b) => changedAt(b) - changedAt(a)), entries };
  };
  type Read = Awaited<ReturnType<typeof rows>>;
  const read = async ({ records, entries }: Read, turn: number) => {
    const one = (record: unknown) => asLastSeen(record, entries);
    const known = new Map<unknown, Listed>();
    if (records.length > 2 * FIRST_READ) {
      for (const record of nextFirst(records, peeked).slice(0, FIRST_READ)) known.set(record, one(record));
      onChange(
        records.flatMap((record) => known.get(record) ?? []),
        false,
      );
    }
    let until = performance.now() + SLICE_MS;
    for (const record of records) {
      if (known.has(record)) continue;
      known.set(record, one(record));
      if (performance.now() < until || records.length <= 2 * FIRST_READ) continue;
      await new Promise((resolve) => setTimeout(resolve));
      if (turn !== latest) return;
      until = performance.now() + SLICE_MS;
    }
    if (turn !== latest) return;
    onChange(
      records.map((record) => known.get(record)!),
      true,
    );
  };
  const subscription = liveQuery(rows).subscribe((found) => {
    latest += 1;
    read(found, latest).catch(onError);
  }, onError);
  return () => {
    latest = -1;
    subscription.unsubscribe();
  };
}

/** What of a record says where it stands in the list, as far as it can be seen unread. */
function peeked(record: unknown): { appointment: Appointment | null; state: SetState } {
  const { document } = (record ?? {}) as { document?: Partial<SetDocument> | null };
  const on: unknown = document?.appointment?.on;
  const at: unknown = document?.appointment?.at;
  return {
    appointment: typeof on === 'string' ? { on, at: typeof at === 'string' ? at : null } : null,
    state: document?.state ?? 'planned',
  };
}

/** A set that is still to be made, by its last save. */
export interface PlannedSet {
  /** Another for every save. */
  key: string;
  document: SetDocument;
}

/** Every set that is not done yet, each time one changes. */
export function watchPlanned(
  onChange: (planned: PlannedSet[]) => void,
  onError: (error: unknown) => void,
): () => void {
  return watchRows(
    (record) => peeked(record).state !== 'done',
    (all, whole) => {
      if (!whole) return;
      onChange(
        all.flatMap((one): PlannedSet[] =>
          one.kind === 'set' && one.stored.document.state !== 'done'
            ? [{ key: `${one.id} ${one.stored.revision}`, document: one.stored.document }]
            : [],
        ),
      );
    },
    onError,
  );
}

/** Every record of the store as it was last seen, in whatever tab. */
export async function allLastSeen(): Promise<Listed[]> {
  const records: unknown[] = await db().sets.toArray();
  const entries = readRows('journal', await readJournal()).good;
  return records.map((record) => asLastSeen(record, entries));
}

/** A record with what the journal still holds of it. */
function asLastSeen(record: unknown, entries: readonly JournalEntry[]): Listed {
  const one = listed(record);
  if (one.kind === 'broken') return one;
  const own = entries.filter((entry) => entry.set === one.id);
  if (own.length === 0) return one;
  const { set } = laidOver(one.stored.document, one.stored, own);
  return { ...one, stored: { ...one.stored, title: set.title, document: set } };
}
