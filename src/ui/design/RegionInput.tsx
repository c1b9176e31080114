'use client';
import { Button, Switch, Textarea, TextInput } from '@mantine/core';
import { IconPencil } from '@tabler/icons-react';
import { useRef, useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { contextOf } from '@/core/compile/prepare';
import type { Fitting } from '@/core/craft/context';
import { drawnSpot } from '@/core/craft/regionHandles';
import type { Point } from '@/core/geometry/frame';
import { fitted } from '@/core/geometry/lines';
import { readPath, writePath } from '@/core/craft/fieldPath';
import type { Field } from '@/core/craft/technique';
import { WRITABLE, type Region } from '@/core/model/region';
import { without } from '@/core/model/without';
import { useGesture } from '../kit/useGesture';
import { smileFields } from '@/core/craft/smileFields';
import { useStudioStore } from '../studio/studio';
import { lineOfSvg } from './lineOfSvg';
import { usePen } from './usePen';
import type { RegionFieldProps } from '../kit/fields/host';
import { Choice, FigureInput } from '../kit/Inputs';
import classes from './DesignView.module.css';

type Figure = Omit<Extract<Field, { kind: 'number' }>, 'kind' | 'where'>;

const PLACES = { min: 0, max: 2, step: 0.05 } as const;

const SMILE: readonly Figure[] = smileFields();

const LINES: readonly Figure[] = [
  { path: 'count', words: 'Lines', min: 1, max: 30, step: 1 },
  { path: 'width_mm', words: 'Width', unit: 'mm', min: 0.05, max: 15, step: 0.05 },
  { path: 'pitch_mm', words: 'Apart', unit: 'mm', min: 0.1, max: 30, step: 0.1 },
  { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
];

const DOTS: readonly Figure[] = [
  { path: 'rows', words: 'Rows', min: 1, max: 30, step: 1 },
  { path: 'columns', words: 'In a row', min: 1, max: 30, step: 1 },
  { path: 'dot_mm', words: 'Dot', unit: 'mm', min: 0.1, max: 10, step: 0.1 },
  { path: 'pitch_mm', words: 'Apart', unit: 'mm', min: 0.2, max: 20, step: 0.1 },
  { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
];

const WAVE: readonly Figure[] = [
  { path: 'wave.rise_mm', words: 'Wave, height', unit: 'mm', min: 0.05, max: 10, step: 0.05 },
  { path: 'wave.length_mm', words: 'Wave, length', unit: 'mm', min: 0.5, max: 40, step: 0.1 },
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
  {
    kind: 'lines',
    words: 'Lines, stripes, checks, waves',
    fresh: {
      kind: 'lines',
      count: 3,
      width_mm: 0.6,
      pitch_mm: 1.8,
      turn_deg: 0,
      across: 0,
      along: 1,
      crossed: false,
    },
    figures: LINES,
  },
  {
    kind: 'dots',
    words: 'Dots',
    fresh: {
      kind: 'dots',
      rows: 5,
      columns: 4,
      dot_mm: 0.9,
      pitch_mm: 2.4,
      turn_deg: 0,
      across: 0,
      along: 1,
      staggered: true,
    },
    figures: DOTS,
  },
  {
    kind: 'letters',
    words: 'Letters',
    fresh: { kind: 'letters', text: 'A', height_mm: 5, width_mm: 0.5, turn_deg: 0, across: 0, along: 0.7 },
    figures: [
      { path: 'height_mm', words: 'Height', unit: 'mm', min: 0.5, max: 20, step: 0.1 },
      { path: 'width_mm', words: 'Line', unit: 'mm', min: 0.05, max: 3, step: 0.05 },
      { path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
    ],
  },
  {
    kind: 'path',
    words: 'A line drawn by hand',
    fresh: {
      kind: 'path',
      width_mm: 0.5,
      points: [
        { across: -0.4, along: 0.5 },
        { across: 0.3, along: 0.8 },
        { across: -0.3, along: 1.1 },
        { across: 0.4, along: 1.4 },
      ],
    },
    figures: [{ path: 'width_mm', words: 'Width', unit: 'mm', min: 0.05, max: 15, step: 0.05 }],
  },
  {
    kind: 'outline',
    words: 'A shape drawn by hand',
    fresh: {
      kind: 'outline',
      points: [
        { across: 0, along: 1.2 },
        { across: -0.45, along: 0.9 },
        { across: 0, along: 0.55 },
        { across: 0.45, along: 0.9 },
      ],
    },
    figures: [],
  },
];

/** Where on the nail. */
export function RegionInput({ words, value, fitting, onChange }: RegionFieldProps) {
  const known = KINDS.find((one) => one.kind === value.kind);
  const figures = [...(known?.figures ?? []), ...(value.kind === 'lines' && value.wave ? WAVE : [])];
  const choices = KINDS.map((one) => ({ value: one.kind as string, label: one.words }));
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
      {value.kind === 'letters' && (
        <LettersInput text={value.text} onChange={(text, gesture) => onChange({ ...value, text }, gesture)} />
      )}
      {figures.map(({ path, words: label, ...limits }) => (
        <FigureInput
          key={path}
          label={label}
          {...limits}
          value={Number(readPath(value, path))}
          onChange={(next, gesture) => onChange(writePath(value, path, next), gesture)}
        />
      ))}
      {value.kind === 'dots' && (
        <Switch
          label="Rows between rows"
          checked={value.staggered}
          onChange={(event) => onChange({ ...value, staggered: event.currentTarget.checked })}
        />
      )}
      {value.kind === 'lines' && (
        <>
          <Switch
            label="Crossed: checks"
            checked={value.crossed}
            onChange={(event) => onChange({ ...value, crossed: event.currentTarget.checked })}
          />
          <Switch
            label="Wavy"
            checked={value.wave !== undefined}
            onChange={(event) =>
              onChange(event.currentTarget.checked ? { ...value, wave: FRESH_WAVE } : without(value, 'wave'))
            }
          />
        </>
      )}
      {(value.kind === 'path' || value.kind === 'outline') && (
        <DrawIt value={value} fitting={fitting ?? ALIKE} onChange={onChange} />
      )}
    </fieldset>
  );
}

const FRESH_WAVE = { rise_mm: 0.6, length_mm: 4 } as const;

/** A few letters; what cannot be drawn is told and left as it was. */
function LettersInput({
  text,
  onChange,
}: {
  text: string;
  onChange: (text: string, gesture: string) => void;
}) {
  const [draft, setDraft] = useState<string>();
  const gesture = useGesture();
  const shown = draft ?? text;
  return (
    <TextInput
      className={classes.wide}
      label="Letters"
      description="Drawn as capitals, with a liner"
      maxLength={MOST_LETTERS}
      value={shown}
      error={WRITABLE.test(shown) ? undefined : 'A to Z, figures, and & . ! ? + - only'}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setDraft(next);
        if (WRITABLE.test(next)) onChange(next, gesture.id());
      }}
      onFocus={gesture.begin}
      onBlur={() => setDraft(undefined)}
    />
  );
}

const MOST_LETTERS = 16;

const ALIKE: Fitting = { fit: 'keep' };
const MOST_POINTS = 60;
/** What a hand wavers by. */
const WAVER_MM = 0.12;

/** A line or outline drawn on the nail itself, or read from an SVG path. */
function DrawIt({
  value,
  fitting,
  onChange,
}: {
  value: Extract<Region, { kind: 'path' | 'outline' }>;
  fitting: Fitting;
  onChange: (value: unknown) => void;
}) {
  const store = useStudioStore();
  const pen = usePen();
  const [fault, setFault] = useState<string>();
  /** The text that was last asked about. */
  const asked = useRef('');
  function take(line: readonly Point[]) {
    const { set, focus } = store.getState();
    const least = value.kind === 'outline' ? 3 : 2;
    const points = fitted(line, WAVER_MM, MOST_POINTS).map((point) =>
      drawnSpot(point, contextOf(set, focus), fitting),
    );
    if (points.length >= least) onChange({ ...value, points });
  }
  return (
    <div className={classes.wide}>
      <Button
        variant={pen.drawing ? 'filled' : 'default'}
        leftSection={<IconPencil size={18} />}
        onClick={() => (pen.drawing ? pen.lay() : pen.take(take))}
      >
        {pen.drawing ? 'Draw on the nail now' : 'Draw it on the nail'}
      </Button>
      <Textarea
        mt={8}
        label="Or an SVG path"
        placeholder="M 0 0 C 2 4 4 4 6 0"
        rows={2}
        error={fault}
        onChange={(event) => {
          const text = event.currentTarget.value.trim();
          setFault(undefined);
          asked.current = '';
          if (text === '') return;
          const { set, focus } = store.getState();
          asked.current = text;
          lineOfSvg(text, contextOf(set, focus).frame).then(
            (read) => {
              // Something else was written meanwhile.
              if (asked.current !== text) return;
              if (read.ok) take(read.value);
              else setFault(read.faults[0]!.message);
            },
            (error: unknown) => setFault(`could not be read: ${messageOf(error)}`),
          );
        }}
      />
    </div>
  );
}
