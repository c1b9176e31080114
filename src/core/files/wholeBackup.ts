import { packedBackup, type Backup } from './backup';

/** A backup as the zip file it is handed out as, in one piece. */
export async function backupBytes(backup: Backup): Promise<Uint8Array<ArrayBuffer>> {
  const pieces: Uint8Array[] = [];
  for await (const piece of packedBackup(backup)) pieces.push(piece);
  return new Uint8Array(Buffer.concat(pieces));
}

/** The same as a file on a disk. */
export async function backupFile(backup: Backup): Promise<Blob> {
  return new Blob([await backupBytes(backup)]);
}
