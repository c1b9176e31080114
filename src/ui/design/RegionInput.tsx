'use client';
import { readPath, writePath } from '@/core/craft/fieldPath';
import type { Region } from '@/core/model/region';
import { Choice, FigureInput } from '../kit/Inputs';
import classes from './DesignView.module.css';

interface Figure {
  path: string;
  words: string;
  unit?: string;
  min: number;
  max: number;
  step: number;
}

const PLACES = { min: 0, max: 2, step: 0.05 } as const;

const SMILE: readonly Figure[] = [
  { path: 'smile.rise_mm', words: 'Rise', unit: 'mm', min: -8, max: 8, step: 0.1 },
  { path: 'smile.depth_mm', words: 'Depth', unit: 'mm', min: 0, max: 8, step: 0.1 },
  { path: 'smile.tilt_mm', words: 'Tilt', unit: 'mm', min: -4, max: 4, step: 0.1 },
];

/** The regions that can be chosen by hand, each with its first values and figures. */
const KINDS: readonly { kind: Region['kind']; words: string; fresh: Region; figures: readonly Figure[] }[] = [
  { kind: 'whole', words: 'The whole nail', fresh: { kind: 'whole' }, figures: [] },
  {
    kind: 'band',
    words: 'A band across',
    fresh: { kind: 'band', from: 0.5, to: 1 },
    figures: [
      { path: 'from', words: 'From (0 cuticle, 2 tip)', ...PLACES },
      { path: 'to', words: 'To', ...PLACES },
    ],
  },
  {
    kind: 'tip',
    words: 'The tip, by a smile line',
    fresh: { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
    figures: SMILE,
  },
  {
    kind: 'bed',
    words: 'The bed, up to a smile line',
    fresh: { kind: 'bed', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
    figures: SMILE,
  },
  {
    kind: 'oval',
    words: 'An oval',
    fresh: { kind: 'oval', across: 0, along: 0.8, width_mm: 5, length_mm: 5, turn_deg: 0 },
    figures: [
      { path: 'across', words: 'Across (−1 to 1)', min: -1, max: 1, step: 0.05 },
      { path: 'along', words: 'Along (0 to 2)', ...PLACES },
      { path: 'width_mm', words: 'Width', unit: 'mm', min: 0.3, max: 40, step: 0.1 },
      { path: 'length_mm', words: 'Length', unit: 'mm', min: 0.3, max: 60, step: 0.1 },
      { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
    ],
  },
];

/** Where on the nail. A region drawn freely in a file keeps its outline until another kind is chosen. */
export function RegionInput({
  words,
  value,
  onChange,
}: {
  words: string;
  value: Region;
  onChange: (value: unknown, gesture?: string) => void;
}) {
  const known = KINDS.find((one) => one.kind === value.kind);
  const choices = KINDS.map((one) => ({ value: one.kind as string, label: one.words }));
  if (!known) choices.push({ value: value.kind, label: 'An outline of its own' });
  return (
    <fieldset className={`${classes.wide} ${classes.fields}`} style={{ border: 0, margin: 0, padding: 0 }}>
      <div className={classes.wide}>
        <Choice
          label={words}
          value={value.kind}
          choices={choices}
          onChange={(kind) => {
            const next = KINDS.find((one) => one.kind === kind);
            if (next) onChange(next.fresh);
          }}
        />
      </div>
      {known?.figures.map(({ path, words: label, ...limits }) => (
        <FigureInput
          key={path}
          label={label}
          {...limits}
          value={Number(readPath(value, path))}
          onChange={(next, gesture) => onChange(writePath(value, path, next), gesture)}
        />
      ))}
    </fieldset>
  );
}
