'use client';
import type { SetDocument } from '@/core/document/document';
import { MAX_FILE_BYTES, parseSetText, tooLarge } from '@/core/document/parse';
import type { Backup } from '@/core/files/backup';
import { decodeText } from '@/core/files/decodeText';
import { messageOf } from '@/core/model/messageOf';
import { fail, ok, type Fault, type Result } from '@/core/model/result';
import type { CalendarRead } from '@/core/files/calendarIn';
import { today } from '@/core/model/days';
import { calendarFrom } from '@/workers/planner';
import { CALENDAR_DAYS } from './calendarDays';
import { previewBackup, type Preview } from '@/data/backup';

export interface ReadBackup {
  kind: 'backup';
  name: string;
  backup: Backup;
  preview: Preview;
  /** Sets of it that cannot be read. */
  faults: Fault[];
}

/** What a zip file holds at most. */
const MAX_BACKUP_BYTES = 4 * 1024 ** 3;

export interface ReadCalendar {
  kind: 'calendar';
  name: string;
  read: CalendarRead;
}

/** More of it is refused unread: a calendar’s own limit is told by whoever reads it. */
const MAX_CALENDAR_BYTES = 64 * 1024 * 1024;

/** What a chosen file holds: a set, a backup of many, or a calendar. Nothing is stored by reading it. */
export async function readFile(
  file: File,
): Promise<Result<{ kind: 'set'; set: SetDocument } | ReadBackup | ReadCalendar>> {
  try {
    const isZip = (await bytesOf(file.slice(0, 2))).join() === '80,75';
    if (isZip) return await readBackupFile(file);
    if (/^(\ufeff)?BEGIN:VCALENDAR/i.test(await file.slice(0, 40).text()))
      return await readCalendarFile(file);
    if (file.size > MAX_FILE_BYTES) return fail('', tooLarge(file.size));
    const text = decodeText(await bytesOf(file));
    if (!text.ok) return text;
    const set = parseSetText(text.value);
    return set.ok ? ok({ kind: 'set', set: set.value }) : set;
  } catch (error) {
    return fail('', `it cannot be read: ${messageOf(error)}`);
  }
}

async function readCalendarFile(file: File): Promise<Result<ReadCalendar>> {
  if (file.size > MAX_CALENDAR_BYTES)
    return fail('', `it has ${Math.round(file.size / 1024 / 1024)} MB: export a shorter stretch of it`);
  const text = decodeText(await bytesOf(file));
  if (!text.ok) return text;
  const read = await calendarFrom(text.value, today(), CALENDAR_DAYS);
  return read.ok ? ok({ kind: 'calendar', name: file.name, read: read.value }) : read;
}

async function readBackupFile(file: File): Promise<Result<ReadBackup>> {
  if (file.size > MAX_BACKUP_BYTES) return fail('', 'a backup is refused beyond 4 GB');
  const { readBackup } = await import('@/core/files/backup');
  const read = await readBackup(file);
  if (!read.ok) return read;
  const { backup, faults } = read.value;
  return ok({ kind: 'backup', name: file.name, backup, preview: await previewBackup(backup), faults });
}

async function bytesOf(blob: Blob): Promise<Uint8Array> {
  return new Uint8Array(await blob.arrayBuffer());
}
