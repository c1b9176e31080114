import type { Backup } from '@/core/files/backup';
import type { LineOf, PartName } from '@/core/files/backupParts';

/** How rows go into a backup and come out of one. */
export interface InBackup<T> {
  /** Adds rows to a backup, their pictures too. */
  into: (backup: Backup, rows: readonly T[]) => void;
  outOf: (backup: Backup) => T[];
  /** Where a row is here too and says other things: it is asked which, or what is here stands. */
  differing: 'asked' | 'stands';
  /** The backup's row as one beside that which is here; where nothing is said, none comes. */
  copy?: (row: T, freshId: () => string) => T;
  /** Told by how many there are, since their names say nothing. */
  byCount?: true;
  /** What of the table it is, where it is not all of it. */
  words?: string;
}

interface Pictures {
  keep: (picture: Blob) => string;
  of: (file: string) => Blob | undefined;
}

/** By the lines of a part: each row as a line, and back. */
export function asLines<T, K extends PartName>(
  part: K,
  line: (row: T, keep: Pictures['keep']) => LineOf<K> | undefined,
  row: (line: LineOf<K>, of: Pictures['of']) => T | undefined,
): Pick<InBackup<T>, 'into' | 'outOf'> {
  return {
    into: (backup, rows) => {
      const own = backup.lines[part] as LineOf<K>[];
      for (const one of rows) {
        const next = line(one, (picture) => keptIn(backup, picture));
        if (next !== undefined) own.push(next);
      }
    },
    outOf: (backup) =>
      (backup.lines[part] as LineOf<K>[]).flatMap((one): T[] => {
        const next = row(one, (file) => backup.pictures.get(file));
        return next === undefined ? [] : [next];
      }),
  };
}

/** Rows that are lines just as they stand. */
export function asTheyStand<K extends PartName>(part: K): Pick<InBackup<LineOf<K>>, 'into' | 'outOf'> {
  return asLines<LineOf<K>, K>(
    part,
    (row) => row,
    (line) => line,
  );
}

const ENDINGS: Record<string, string> = { 'image/png': 'png', 'image/webp': 'webp' };
const TYPES: Record<string, string> = { png: 'image/png', webp: 'image/webp', jpg: 'image/jpeg' };

function keptIn({ pictures }: Backup, picture: Blob): string {
  const file = `pictures/${pictures.size + 1}.${ENDINGS[picture.type] ?? 'jpg'}`;
  pictures.set(file, picture);
  return file;
}

/** A picture of a backup as what its ending says: a browser shows it as that, or not at all, and as nothing else. */
export function pictureOf(of: Pictures['of'], file: string): Blob | undefined {
  const blob = of(file);
  return blob?.slice(0, blob.size, TYPES[file.slice(file.lastIndexOf('.') + 1)]);
}
