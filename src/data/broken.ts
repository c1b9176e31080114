import { liveQuery } from 'dexie';
import { append } from '@/core/model/extent';
import { upperFirst } from '@/core/model/letters';
import { db } from './database';
import { readJournal } from './journal';
import { readRows, type BrokenRow } from './rows';
import { TABLES, type TableName } from './tables';
import { titlesOf } from './sets';

/** Rows that stand for something of a set are named by it. */
export const isOfSet = ({ table }: BrokenRow) => table === 'journal' || table === 'history';
const ofSet = ({ table }: BrokenRow, title: string) =>
  upperFirst(TABLES[table].words.replace('a set', `“${title}”`));

/** Rows of some tables that are not what their table holds, each time one changes. */
export function watchBroken(
  tables: readonly TableName[],
  onChange: (broken: BrokenRow[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => {
    const found: BrokenRow[] = [];
    for (const table of tables) {
      // The journal is read so that nobody's writing waits; what is taken out of it goes into the bin, which is watched.
      const rows =
        table === 'journal' ? await Promise.resolve(readJournal()) : await db().table(table).toArray();
      append(found, readRows(table, rows).broken);
    }
    const ids = found.filter(isOfSet).map((row) => row.title);
    const titles = ids.length > 0 ? await titlesOf(ids) : new Map<string, string>();
    return found.map((row) =>
      isOfSet(row) ? { ...row, title: ofSet(row, titles.get(row.title) ?? row.title) } : row,
    );
  };
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}
