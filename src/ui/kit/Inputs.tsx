'use client';
import { NumberInput, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { useGesture } from './useGesture';
import { Pick } from './Pick';

/*
 * The browser's own controls in Mantine's dress: they are at home on a tablet, work by keyboard everywhere,
 * and spare the page a popover engine.
 */

interface ChoiceProps {
  label: string;
  value: string;
  choices: readonly { value: string; label: string }[];
  onChange: (value: string) => void;
  leftSection?: ReactNode;
}

export function Choice({ label, value, choices, onChange, leftSection }: ChoiceProps) {
  return (
    <Pick
      label={label}
      value={value}
      leftSection={leftSection}
      data={choices.map((choice) => ({ ...choice }))}
      onChange={(event) => onChange(event.currentTarget.value)}
    />
  );
}

interface FigureProps {
  label: string;
  value: number;
  unit?: string | undefined;
  min: number;
  max: number;
  step: number;
  /** Values of one gesture are one step of undo. */
  onChange: (value: number, gesture: string) => void;
}

/** A number with its unit, typed with a point or a comma. What is typed counts once it is a number within its limits. */
export function FigureInput({ label, value, unit, min, max, step, onChange }: FigureProps) {
  const [draft, setDraft] = useState<number | string>();
  const gesture = useGesture();
  const isGood = (one: number | string): one is number => typeof one === 'number' && one >= min && one <= max;
  return (
    <NumberInput
      label={unit ? `${label}, ${unit}` : label}
      min={min}
      max={max}
      step={step}
      hideControls
      clampBehavior="none"
      value={draft ?? Math.round(value * 1000) / 1000}
      error={draft === undefined || isGood(draft) ? undefined : `${min} to ${max}`}
      onChange={(next) => {
        setDraft(next);
        if (isGood(next) && next !== value) onChange(next, gesture.id());
      }}
      onFocus={gesture.begin}
      onBlur={() => setDraft(undefined)}
    />
  );
}

/** A colour of the artist's own. All that is tried while the field is open is one step of undo. */
export function ColourInput({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string, gesture: string) => void;
}) {
  const [draft, setDraft] = useState<string>();
  const gesture = useGesture();
  return (
    <TextInput
      type="color"
      label={label}
      value={draft ?? value}
      onChange={(event) => {
        setDraft(event.currentTarget.value);
        onChange(event.currentTarget.value, gesture.id());
      }}
      onFocus={gesture.begin}
      onBlur={() => setDraft(undefined)}
    />
  );
}
