'use client';
import type { SetDocument } from '@/core/document/document';
import { writeSetText } from '@/core/document/parse';

/** Hands a set's file to the browser. */
export function downloadSet(set: SetDocument): void {
  downloadText(`${set.id}.lacquer.json`, writeSetText(set));
}

/** Hands a text file to the browser. */
export function downloadText(name: string, text: string): void {
  downloadBlob(name, new Blob([text], { type: 'application/json' }));
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
