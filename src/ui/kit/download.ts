'use client';
import type { SetDocument } from '@/core/document/document';
import { writeSetText } from '@/core/document/parse';

/** Hands a set's file to the browser. */
export function downloadSet(set: SetDocument): void {
  downloadText(`${fileName(set.title)}.lacquer.json`, writeSetText(set));
}

/** A title as the name of a file: what a file system refuses is left out. */
export function fileName(title: string): string {
  const name = title
    .normalize('NFC')
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return name.replace(/^\.+|[. ]+$/g, '') || 'Set';
}

/** What a text is by the ending of its file's name (IANA media types). */
const TEXTS: Record<string, string> = {
  json: 'application/json',
  csv: 'text/csv;charset=utf-8',
  txt: 'text/plain;charset=utf-8',
  ics: 'text/calendar',
};

/** Hands a text file to the browser. */
export function downloadText(name: string, text: string): void {
  const ending = name.slice(name.lastIndexOf('.') + 1);
  downloadBlob(name, new Blob([text], { type: TEXTS[ending] ?? 'text/plain;charset=utf-8' }));
}

/** Hands a PDF to the browser. */
export function downloadPdf(name: string, bytes: Uint8Array): void {
  downloadBlob(name, new Blob([bytes.slice()], { type: 'application/pdf' }));
}

/** Hands a file of any kind to the browser. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}
