'use client';
import { messageOf } from '@/core/model/messageOf';
import type { Backup } from '@/core/files/backup';
import type { Client } from '@/core/model/client';
import { backupOfClient, backupOfOne, collectBackup, noteBackup } from '@/data/backup';
import type { StoredSet } from '@/data/records';
import { downloadBlob, fileName } from '../kit/download';
import { notify } from '../kit/notify';

/** Hands everything stored to the browser as one zip file. */
export async function backUp(): Promise<void> {
  try {
    const backup = await collectBackup();
    const name = `merry-lacquer-${backup.made_at.slice(0, 10)}.zip`;
    await handOver(backup, name);
    await noteBackup();
    notify(`${backup.sets.length} ${backup.sets.length === 1 ? 'set is' : 'sets are'} in ${name}.`);
  } catch (error) {
    notify(`${messageOf(error)}. Nothing was changed.`, 'The backup could not be made');
  }
}

/** Hands a set with the record of its sitting to the browser: a zip that is opened like a backup. */
export async function exportWithRecord({ document, changed_at }: StoredSet): Promise<void> {
  try {
    const backup = await backupOfOne(document, changed_at);
    const name = `${fileName(document.title)}, with its record.zip`;
    await handOver(backup, name);
    notify(
      backup.lines.benches.length > 0
        ? `The set and its record are in ${name}.`
        : 'It has no record: it was never begun.',
    );
  } catch (error) {
    notify(`${messageOf(error)}. Nothing was changed.`, 'The file could not be made');
  }
}

/** Hands a client's card whole to the browser, with all that was made for them. */
export async function exportClient({ id, name }: Pick<Client, 'id' | 'name'>): Promise<void> {
  try {
    const backup = await backupOfClient(id);
    const file = `${fileName(name)}, whole.zip`;
    await handOver(backup, file);
    notify(
      `The card and ${backup.sets.length === 1 ? 'one set are' : `${backup.sets.length} sets are`} in ${file}.`,
    );
  } catch (error) {
    notify(`${messageOf(error)}. Nothing was changed.`, 'The file could not be made');
  }
}

/** So much is held before it is given to the browser to keep: it may put it on the disk. */
const PIECE_BYTES = 8 * 1024 * 1024;

/** So long the page is kept from answering at a time. */
const SLICE_MS = 16;

async function handOver(backup: Backup, name: string): Promise<void> {
  const { packedBackup } = await import('@/core/files/backup');
  const done: Blob[] = [];
  let held: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  const give = () => {
    done.push(new Blob(held));
    held = [];
    bytes = 0;
  };
  let until = performance.now() + SLICE_MS;
  for await (const piece of packedBackup(backup)) {
    if (performance.now() > until) {
      await new Promise((resolve) => setTimeout(resolve));
      until = performance.now() + SLICE_MS;
    }
    held.push(piece.slice());
    bytes += piece.length;
    if (bytes >= PIECE_BYTES) give();
  }
  give();
  downloadBlob(name, new Blob(done, { type: 'application/zip' }));
}
