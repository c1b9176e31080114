'use client';
import type { RefObject } from 'react';

interface Props {
  input: RefObject<HTMLInputElement | null>;
  accept: string;
  label: string;
  onFile: (file: File) => void;
}

/** The browser's way to a file, behind a button of one's own; the same file may be taken twice. */
export function FileInput({ input, accept, label, onFile }: Props) {
  return (
    <input
      ref={input}
      type="file"
      accept={accept}
      aria-label={label}
      hidden
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
