'use client';
import { Switch } from '@mantine/core';
import type { Within } from '@/core/craft/context';
import { Choice } from '../Inputs';
import { useFieldHost } from './host';

/** Another element of the look that this one is kept on, or beside. */
export function OnOther({
  words,
  value,
  onChange,
}: {
  words: string;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  const { others } = useFieldHost();
  const within = value as Within | null | undefined;
  if (others.length === 0 && !within) return null;
  return (
    <>
      <Choice
        label={words}
        choices={[{ value: '', label: 'Anywhere' }, ...others]}
        value={within?.element ?? ''}
        onChange={(element) =>
          onChange(element === '' ? null : { element, outside: within?.outside ?? false })
        }
      />
      {within && (
        <Switch
          label="Beside it instead"
          checked={within.outside}
          onChange={(event) => onChange({ ...within, outside: event.currentTarget.checked })}
        />
      )}
    </>
  );
}
