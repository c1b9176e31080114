'use client';
import { Button, Textarea, TextInput } from '@mantine/core';
import { IconCamera } from '@tabler/icons-react';
import { useRef, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import type { NailName } from '@/core/model/names';
import {
  FELT,
  HOW_MUCH,
  WEAR_WHAT,
  wearFault,
  type Felt,
  type Spot,
  type WearNote,
  type WearWhat,
  type Worn,
} from '@/core/model/wear';
import { keepPhoto } from '../bench/Photos';
import { FileInput } from '../kit/FileInput';
import { notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import { Place } from './Place';
import { WHAT_WORDS } from './whatWords';
import classes from './WearView.module.css';

interface NewProps {
  set: SetDocument;
  worn: Worn;
  nail: NailName;
  onPut: (note: WearNote) => Promise<void>;
}

/** What, where, how much: three presses and one to keep it. */
export function NewNote({ set, worn, nail, onPut }: NewProps) {
  const [what, setWhat] = useState<WearWhat>();
  const [at, setAt] = useState<Spot | null>(null);
  const [much, setMuch] = useState<WearNote['much']>(null);
  const [felt, setFelt] = useState<Felt[]>([]);
  const [on, setOn] = useState(today());
  const [grown, setGrown] = useState<number>();
  const [words, setWords] = useState('');
  const [photo, setPhoto] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const fault = /^\d{4}-\d{2}-\d{2}$/.test(on)
    ? (wearFault(worn, on) ?? (on > today() ? 'That day has not come.' : undefined))
    : 'must be a day';
  async function keep() {
    if (!what) return;
    await onPut({
      on,
      what,
      at,
      much,
      felt,
      note: words.trim().slice(0, 500),
      grown_mm: what === 'grown-out' ? (grown ?? null) : null,
      photo: photo ?? null,
      causes: [],
    });
    setWhat(undefined);
    setAt(null);
    setMuch(null);
    setFelt([]);
    setWords('');
    setPhoto(undefined);
  }
  return (
    <div className={classes.new}>
      <Place set={set} nail={nail} at={at} onAt={setAt} />
      <div className={classes.says}>
        <Toggles
          label="What happened"
          choices={WEAR_WHAT.map((value) => ({ value, words: WHAT_WORDS[value] }))}
          chosen={what ? [what] : []}
          onToggle={(one) => setWhat(one === what ? undefined : one)}
        />
        {what && what !== 'grown-out' && (
          <Toggles
            label="How much of it"
            choices={HOW_MUCH.map((value) => ({ value, words: upperFirst(value) }))}
            chosen={much ? [much] : []}
            onToggle={(one) => setMuch(one === much ? null : one)}
          />
        )}
        {what === 'grown-out' && (
          <StoredFigure
            label="Bare at the cuticle, mm"
            value={grown ?? ''}
            min={0}
            max={30}
            onPut={setGrown}
          />
        )}
        {what && (
          <>
            <Toggles
              label="What was felt"
              choices={FELT.map((value) => ({ value, words: upperFirst(value) }))}
              chosen={felt}
              onToggle={(one) =>
                setFelt(felt.includes(one) ? felt.filter((other) => other !== one) : [...felt, one])
              }
            />
            {felt.length > 0 && (
              <p className={classes.caution}>
                Stop using what was on it, note the products, and have it seen by a doctor. This is no
                diagnosis.
              </p>
            )}
            <div className={classes.ask}>
              <TextInput
                type="date"
                label="Seen on"
                value={on}
                error={fault}
                onChange={({ currentTarget }) => setOn(currentTarget.value)}
              />
              <Button
                variant="default"
                leftSection={<IconCamera size={18} />}
                onClick={() => input.current?.click()}
              >
                {photo ? 'Another photo' : 'Photo'}
              </Button>
              <FileInput
                input={input}
                accept="image/*"
                label="Photo of the nail"
                onFile={(file) => void keepPhoto(worn.set, file, Date.now()).then(setPhoto, notKept)}
              />
              <Button disabled={fault !== undefined} onClick={() => void keep().catch(notKept)}>
                Note it
              </Button>
            </div>
            <Textarea
              label="In words"
              autosize
              maxLength={500}
              value={words}
              onChange={({ currentTarget }) => setWords(currentTarget.value)}
            />
          </>
        )}
      </div>
    </div>
  );
}

interface TogglesProps<T extends string> {
  label: string;
  choices: readonly { value: T; words: string }[];
  chosen: readonly T[];
  onToggle: (value: T) => void;
}

function Toggles<T extends string>({ label, choices, chosen, onToggle }: TogglesProps<T>) {
  return (
    <div className={classes.chips} role="group" aria-label={label}>
      {choices.map(({ value, words }) => (
        <Button
          key={value}
          variant={chosen.includes(value) ? 'filled' : 'default'}
          size="compact-md"
          aria-pressed={chosen.includes(value)}
          onClick={() => onToggle(value)}
        >
          {words}
        </Button>
      ))}
    </div>
  );
}
