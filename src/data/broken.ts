import { liveQuery } from 'dexie';
import { db } from './database';
import { readRows, type BrokenRow, type TableName } from './rows';
import { append } from '@/core/model/extent';

/** Rows of some tables that are not what their table holds, each time one changes. */
export function watchBroken(
  tables: readonly TableName[],
  onChange: (broken: BrokenRow[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => {
    const found: BrokenRow[] = [];
    for (const table of tables) append(found, readRows(table, await db().table(table).toArray()).broken);
    return found;
  };
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}
