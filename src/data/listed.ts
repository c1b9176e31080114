import * as z from 'zod/mini';
import { issueFault, parseSet } from '@/core/document/parse';
import type { Fault } from '@/core/model/result';
import type { StoredSet } from './records';

/** A record of the store as a list shows it: a set, or what is wrong with it. */
export type Listed =
  | { kind: 'set'; id: string; stored: StoredSet }
  | { kind: 'broken'; id: string; title: string; faults: Fault[]; record: unknown };

/** What stands around the document; the document is read as a file is. */
const Around = z.looseObject({
  id: z.string(),
  title: z.string(),
  changed_at: z.number(),
  revision: z.int().check(z.gte(1)),
});

/** What was read, by the text of the record: a list is read anew with every change of one of its sets. */
const read = new Map<string, { text: string; one: Listed }>();
const MOST_READ = 1000;

/** Reads one record. What an older version of the program stored is shown as this one reads it. */
export function listed(record: unknown): Listed {
  const text = textOf(record);
  if (text === undefined) return readRecord(record);
  const id = String((record as { id?: unknown } | null)?.id);
  const known = read.get(id);
  if (known?.text === text) return known.one;
  const one = readRecord(record);
  read.delete(id);
  read.set(id, { text, one });
  if (read.size > MOST_READ) read.delete(read.keys().next().value!);
  return one;
}

/** What stores hold may be more than text can say. */
function textOf(record: unknown): string | undefined {
  try {
    return JSON.stringify(record);
  } catch {
    return undefined;
  }
}

function readRecord(record: unknown): Listed {
  const around = Around.safeParse(record);
  const held: Partial<StoredSet> = typeof record === 'object' && record !== null ? record : {};
  const document = parseSet(held.document);
  if (around.success && document.ok)
    return {
      kind: 'set',
      id: around.data.id,
      stored: { ...(record as StoredSet), document: document.value },
    };
  return {
    kind: 'broken',
    id: String(held.id),
    title: typeof held.title === 'string' && held.title.trim() ? held.title : 'A set without a title',
    faults: [
      ...(around.success ? [] : around.error.issues.map(issueFault)),
      ...(document.ok ? [] : document.faults),
    ],
    record,
  };
}

/** When a record was last changed; one that does not say comes last. */
export function changedAt(record: unknown): number {
  const at = (record as Partial<StoredSet> | null)?.changed_at;
  return typeof at === 'number' ? at : 0;
}
