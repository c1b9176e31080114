'use client';
import { messageOf } from '@/core/model/messageOf';
import { collectBackup, noteBackup } from '@/data/backup';
import { downloadBlob } from '../kit/download';
import { notify } from '../kit/notify';

/** Hands everything stored to the browser as one zip file. */
export async function backUp(): Promise<void> {
  try {
    const { writeBackup } = await import('@/core/files/backup');
    const backup = await collectBackup();
    const bytes = writeBackup(backup);
    const name = `merry-lacquer-${backup.made_at.slice(0, 10)}.zip`;
    downloadBlob(name, new Blob([bytes.slice()], { type: 'application/zip' }));
    await noteBackup();
    notify(`${backup.sets.length} ${backup.sets.length === 1 ? 'set is' : 'sets are'} in ${name}.`);
  } catch (error) {
    notify(`${messageOf(error)}. Nothing was changed.`, 'The backup could not be made');
  }
}
