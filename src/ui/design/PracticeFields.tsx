'use client';
import type { Practice } from '@/core/model/practice';
import { Choice, FigureInput } from '../kit/Inputs';
import { useStudio, useStudioStore } from '../studio/studio';

interface School {
  key: Exclude<keyof Practice, 'edge_mm'>;
  words: string;
  choices: { value: string; label: string }[];
}

const SCHOOLS: readonly School[] = [
  {
    key: 'wearer',
    words: 'Whose nails',
    choices: [
      { value: 'client', label: 'A client’s' },
      { value: 'own', label: 'My own' },
    ],
  },
  {
    key: 'base',
    words: 'Base before colour',
    choices: [
      { value: 'leave', label: 'Left tacky' },
      { value: 'wipe', label: 'Wiped' },
    ],
  },
  {
    key: 'primer',
    words: 'Primer',
    choices: [
      { value: 'once', label: 'Once' },
      { value: 'none', label: 'None' },
    ],
  },
  {
    key: 'stones',
    words: 'Stones',
    choices: [
      { value: 'wet-top', label: 'Set in wet top' },
      { value: 'bedded', label: 'Bedded, top around' },
    ],
  },
  {
    key: 'thumbs',
    words: 'Thumbs in the lamp',
    choices: [
      { value: 'apart', label: 'One at a time' },
      { value: 'together', label: 'Both in one load' },
      { value: 'with-fingers', label: 'With the fingers' },
    ],
  },
  {
    key: 'pace',
    words: 'My hands are',
    choices: [
      { value: 'new', label: 'New to this' },
      { value: 'usual', label: 'Usual' },
      { value: 'practised', label: 'Practised' },
    ],
  },
  {
    key: 'flow',
    words: 'Plan me',
    choices: [
      { value: 'quick', label: 'Quick: every second' },
      { value: 'balanced', label: 'Balanced' },
      { value: 'calm', label: 'Calm: few changes' },
    ],
  },
  {
    key: 'stronger_hand',
    words: 'Stronger hand',
    choices: [
      { value: 'right', label: 'Right' },
      { value: 'left', label: 'Left' },
    ],
  },
  {
    key: 'hands',
    words: 'The two hands',
    choices: [
      { value: 'alike', label: 'Alike' },
      { value: 'differ', label: 'Differ on purpose' },
    ],
  },
];

/** The artist's schools: choices the trade disagrees about. */
export function PracticeFields() {
  const practice = useStudio((s) => s.set.practice);
  const store = useStudioStore();
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '8px 0 0', display: 'grid', gap: 8 }}>
      <legend
        style={{ fontFamily: 'var(--serif)', fontSize: 19, fontWeight: 600, padding: 0, marginBottom: 6 }}
      >
        How I work
      </legend>
      {SCHOOLS.map((school) => (
        <Choice
          key={school.key}
          label={school.words}
          choices={school.choices}
          value={practice[school.key]}
          onChange={(next) => store.getState().change({ kind: 'practice', practice: { [school.key]: next } })}
        />
      ))}
      <FigureInput
        label="Free edge after filing"
        unit="mm"
        value={practice.edge_mm}
        min={0.3}
        max={1.2}
        step={0.02}
        onChange={(edge_mm, gesture) =>
          store.getState().change({ kind: 'practice', practice: { edge_mm } }, gesture)
        }
      />
    </fieldset>
  );
}
