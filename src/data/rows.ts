import type { Fault } from '@/core/model/result';
import { db } from './database';
import { TABLES, type Rows, type TableName } from './tables';

/** A row that is not what its table holds: broken, or of a newer program. It is kept just as it is. */
export interface BrokenRow {
  table: TableName;
  /** Its primary key, whatever that is. */
  key: unknown;
  title: string;
  fault: Fault;
  record: unknown;
}

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
