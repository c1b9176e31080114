'use client';
import { Checkbox } from '@mantine/core';
import type { Field } from '@/core/craft/technique';
import { useFieldHost } from './host';

/** A part that may be missing. */
export function OptionalInput({
  field,
  on,
  onChange,
}: {
  field: Extract<Field, { kind: 'optional' }>;
  on: boolean;
  onChange: (value: unknown) => void;
}) {
  const { pick } = useFieldHost();
  return (
    <Checkbox label={field.words} checked={on} onChange={() => onChange(on ? null : field.fresh(pick))} />
  );
}
