'use client';
import { Button, Switch, Textarea, TextInput } from '@mantine/core';
import { IconPencil } from '@tabler/icons-react';
import { useRef, useState } from 'react';
import { messageOf } from '@/core/model/messageOf';
import { contextOf } from '@/core/document/nailContext';
import { onNail, type Fitting } from '@/core/craft/context';
import { drawnSpot, MOST_POINTS } from '@/core/regions/drawnPoints';
import type { Point } from '@/core/geometry/frame';
import { fitted } from '@/core/geometry/lines';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { REGION_KINDS, regionKindOf, type Region } from '@/core/regions';
import { WRITABLE } from '@/core/regions/letters';
import { useGesture } from '../kit/useGesture';
import { WAVER_MM } from './waver';
import { useStudioStore } from '../studio/studio';
import { DrawPaths } from './DrawPaths';
import { lineOfSvg } from './lineOfSvg';
import { usePen } from './usePen';
import type { RegionFieldProps } from '../kit/fields/host';
import { Choice, FigureInput } from '../kit/Inputs';
import classes from './DesignView.module.css';

/** Where on the nail. */
export function RegionInput({ words, value, fitting, onChange }: RegionFieldProps) {
  const kind = regionKindOf(value.kind);
  const choices = REGION_KINDS.map((one) => ({ value: one.kind as string, label: one.words }));
  return (
    <fieldset className={`${classes.wide} ${classes.fields}`} style={{ border: 0, margin: 0, padding: 0 }}>
      <div className={classes.wide}>
        <Choice
          label={words}
          value={value.kind}
          choices={choices}
          onChange={(chosen) => {
            const next = REGION_KINDS.find((one) => one.kind === chosen);
            if (next) onChange(next.fresh);
          }}
        />
      </div>
      {value.kind === 'letters' && (
        <LettersInput
          label="Letters"
          text={value.text}
          onChange={(text, gesture) => onChange({ ...value, text }, gesture)}
        />
      )}
      {value.kind === 'letters' && value.second !== undefined && (
        <LettersInput
          label="Second line"
          text={value.second}
          onChange={(second, gesture) => onChange({ ...value, second }, gesture)}
        />
      )}
      {kind.figures(value).map(({ path, words: label, ...limits }) => (
        <FigureInput
          key={path}
          label={label}
          {...limits}
          value={Number(readPath(value, path))}
          onChange={(next, gesture) => onChange(writePath(value, path, next), gesture)}
        />
      ))}
      {kind.switches?.map(({ words: label, is, turned }) => (
        <Switch key={label} label={label} checked={is(value)} onChange={() => onChange(turned(value))} />
      ))}
      {value.kind === 'paths' && <DrawPaths value={value} fitting={fitting ?? ALIKE} onChange={onChange} />}
      {(value.kind === 'path' || value.kind === 'outline') && (
        <DrawIt value={value} fitting={fitting ?? ALIKE} onChange={onChange} />
      )}
    </fieldset>
  );
}

/** A few letters; what cannot be drawn is told and left as it was. */
function LettersInput({
  label,
  text,
  onChange,
}: {
  label: string;
  text: string;
  onChange: (text: string, gesture: string) => void;
}) {
  const [draft, setDraft] = useState<string>();
  const gesture = useGesture();
  const shown = draft ?? text;
  return (
    <TextInput
      className={classes.wide}
      label={label}
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
      drawnSpot(point, onNail(contextOf(set, focus), fitting)),
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
