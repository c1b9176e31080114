'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { readFigure } from '@/core/craft/figures';

interface Props {
  label: string;
  /** Said to ears alone. */
  quiet?: boolean;
  value: number | '';
  min: number;
  max: number;
  onPut: (value: number) => void;
}

/**
 * A figure that is kept when its field is left or Enter is pressed, not at each key. A comma parts decimals as a point does, typed or
 * pasted; what is no figure, or out of bounds, is told and not kept.
 */
export function StoredFigure({ label, quiet, value, min, max, onPut }: Props) {
  const [draft, setDraft] = useState<string>();
  const read = draft === undefined || draft.trim() === '' ? undefined : readFigure(draft);
  const good = read !== undefined && read >= min && read <= max;
  return (
    <TextInput
      {...(quiet ? { 'aria-label': label } : { label })}
      inputMode="decimal"
      value={draft ?? String(value)}
      error={draft === undefined || draft.trim() === '' || good ? undefined : `${min} to ${max}`}
      onChange={(event) => setDraft(event.currentTarget.value)}
      onBlur={() => {
        if (good && read !== value) onPut(read);
        // What is no figure stays to be seen with what it must be.
        if (good || draft?.trim() === '') setDraft(undefined);
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
