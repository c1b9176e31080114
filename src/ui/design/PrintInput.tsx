'use client';
import { printedMotif, PRINTS } from '@/core/craft/prints';
import type { PrintFieldProps } from '../kit/fields/host';
import { Choice, ColourInput } from '../kit/Inputs';
import { useMotifs } from './useMotifs';

const PLAIN = '';

/** The picture on a sheet: one that ships, one of the artist's own motifs, or none; each of its inks. */
export function PrintInput({ words, value, onChange }: PrintFieldProps) {
  const own = useMotifs() ?? [];
  const all = [...own.map(printedMotif), ...PRINTS];
  const chosen = value ? all.findIndex((one) => one.words === value.words) : -1;
  return (
    <>
      <Choice
        label={words}
        choices={[
          { value: PLAIN, label: 'None: a plain shape' },
          // From another artist's file, it stands in no list of this one's.
          ...(value && chosen < 0 ? [{ value: 'kept', label: value.words }] : []),
          ...all.map((one, i) => ({ value: String(i), label: one.words })),
        ]}
        value={!value ? PLAIN : chosen < 0 ? 'kept' : String(chosen)}
        onChange={(next) => {
          if (next !== 'kept') onChange(next === PLAIN ? null : all[Number(next)]!);
        }}
      />
      {value?.parts.map((part, i) => (
        <ColourInput
          key={i}
          label={value.parts.length === 1 ? 'Its ink' : `Its ink ${i + 1}`}
          value={part.colour}
          onChange={(colour, gesture) =>
            onChange({ ...value, parts: value.parts.with(i, { ...part, colour }) }, gesture)
          }
        />
      ))}
    </>
  );
}
