import { liveQuery } from 'dexie';
import { append } from '@/core/model/extent';
import { upperFirst } from '@/core/model/letters';
import { db } from './database';
import { readRows, TABLES, type BrokenRow, type TableName } from './rows';
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
    for (const table of tables) append(found, readRows(table, await db().table(table).toArray()).broken);
    const ids = found.filter(isOfSet).map((row) => row.title);
    const titles = ids.length > 0 ? await titlesOf(ids) : new Map<string, string>();
    return found.map((row) =>
      isOfSet(row) ? { ...row, title: ofSet(row, titles.get(row.title) ?? row.title) } : row,
    );
  };
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}
