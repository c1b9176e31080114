'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Field } from '@/core/craft/technique';
import { MOST_WORDS, tidyWords } from '@/core/model/primitives';
import { useGesture } from '../useGesture';
import type { InputProps } from './props';

/** What something is called, or nothing. */
export function WordsInput({
  field,
  value,
  onChange,
}: Omit<InputProps, 'field'> & { field: Extract<Field, { kind: 'words' }> }) {
  const [draft, setDraft] = useState<string>();
  const gesture = useGesture();
  return (
    <TextInput
      label={field.words}
      placeholder={field.hint}
      maxLength={MOST_WORDS}
      value={draft ?? (typeof value === 'string' ? value : '')}
      onFocus={gesture.begin}
      onChange={(event) => {
        setDraft(event.currentTarget.value);
        onChange(tidyWords(event.currentTarget.value), gesture.id());
      }}
      onBlur={() => setDraft(undefined)}
    />
  );
}
