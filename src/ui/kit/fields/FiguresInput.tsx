'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { readFigures } from '@/core/craft/figures';
import type { Field } from '@/core/craft/technique';
import type { InputProps } from './props';

/** A row of whole figures, such as a lamp's programmes. */
export function FiguresInput({
  field,
  value,
  onChange,
}: Omit<InputProps, 'field'> & { field: Extract<Field, { kind: 'figures' }> }) {
  const [draft, setDraft] = useState<string>();
  const figures = Array.isArray(value) ? (value as number[]) : [];
  const read = readFigures(draft ?? figures.join(', '), field);
  return (
    <TextInput
      label={`${field.words}, ${field.unit}`}
      placeholder="any"
      value={draft ?? figures.join(', ')}
      error={read ? undefined : `up to ${field.most} whole figures from ${field.min} to ${field.max}`}
      onChange={(event) => {
        setDraft(event.currentTarget.value);
        const next = readFigures(event.currentTarget.value, field);
        if (next) onChange(next);
      }}
      onBlur={() => setDraft(undefined)}
    />
  );
}
