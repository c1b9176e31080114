'use client';
import { SegmentedControl } from '@mantine/core';
import classes from './CardView.module.css';

export type SheetName = 'card' | 'client' | 'helper';

const SHEETS: { value: SheetName; label: string }[] = [
  { value: 'card', label: 'Bench card' },
  { value: 'client', label: 'Client’s sheet' },
  { value: 'helper', label: 'Helper’s list' },
];

/** For whom the sheet is. */
export function SheetChoice({ value, onChange }: { value: SheetName; onChange: (sheet: SheetName) => void }) {
  return (
    <div className={classes.choice}>
      <SegmentedControl
        aria-label="For whom the sheet is"
        data={SHEETS}
        value={value}
        onChange={(next) => onChange(next as SheetName)}
      />
    </div>
  );
}
