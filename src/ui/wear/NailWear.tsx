'use client';
import { Button, Textarea, TextInput } from '@mantine/core';
import { IconCamera, IconTrash } from '@tabler/icons-react';
import { useEffect, useRef, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { buildOf, frameOf } from '@/core/compile/prepare';
import { dayWords, today } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { nailWords, type NailName } from '@/core/model/names';
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
import { PICTURE_PAD_MM } from '@/core/picture/spread';
import { causesOf } from '@/core/wear/causes';
import type { Photo } from '@/data/database';
import { watchPhotos } from '@/data/photos';
import { changeWorn } from '@/data/worn';
import { keepPhoto } from '../bench/Photos';
import { BlobImage } from '../kit/BlobImage';
import { FileInput } from '../kit/FileInput';
import { NailCanvas } from '../kit/NailCanvas';
import { notify, notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import { unforeseen } from '../kit/unforeseen';
import { FINENESS, usePicture } from '../kit/usePictures';
import classes from './WearView.module.css';

export const WHAT_WORDS: Record<WearWhat, string> = {
  lifted: 'Lifted',
  chipped: 'Chipped',
  cracked: 'Cracked',
  fell: 'Fell off',
  'grown-out': 'Grown out',
  'off-early': 'Taken off early',
};

const PX_PER_MM = 9;

/** One nail as it wears: what was noted of it with what may stand behind that, and a new note. */
export function NailWear({ set, worn, nail }: { set: SetDocument; worn: Worn; nail: NailName }) {
  const one = worn.nails[nail]!;
  const [photos, setPhotos] = useState<Photo[]>([]);
  useEffect(() => watchPhotos(worn.set, setPhotos, unforeseen), [worn.set]);
  const put = (notes: WearNote[]) =>
    changeWorn(worn.set, (now) => ({
      ...now,
      nails: { ...now.nails, [nail]: now.nails[nail] && { ...now.nails[nail], notes } },
    }));
  function remove(i: number) {
    const before = one.notes;
    put(before.filter((_, j) => j !== i))
      .then(() =>
        notify(
          <>
            The note is gone.{' '}
            <Button variant="default" onClick={() => void put(before).catch(notKept)}>
              Put it back
            </Button>
          </>,
        ),
      )
      .catch(notKept);
  }
  return (
    <section className={classes.nail} aria-label={upperFirst(nailWords(nail))}>
      <h3>{upperFirst(nailWords(nail))}</h3>
      <NewNote set={set} worn={worn} nail={nail} onPut={(note) => put([...one.notes, note])} />
      {one.notes.map((note, i) => (
        <Noted
          key={`${note.on} ${note.what} ${i}`}
          note={note}
          facts={one.facts}
          photo={photos.find(({ id }) => id === note.photo)}
          onChange={(next) => void put(one.notes.map((other, j) => (j === i ? next : other))).catch(notKept)}
          onRemove={() => remove(i)}
        />
      ))}
    </section>
  );
}

interface NewProps {
  set: SetDocument;
  worn: Worn;
  nail: NailName;
  onPut: (note: WearNote) => Promise<void>;
}

/** What, where, how much: three presses and one to keep it. */
function NewNote({ set, worn, nail, onPut }: NewProps) {
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

/** The nail, large: where it happened is pressed on it. */
function Place({
  set,
  nail,
  at,
  onAt,
}: {
  set: SetDocument;
  nail: NailName;
  at: Spot | null;
  onAt: (at: Spot) => void;
}) {
  const picture = usePicture(set, nail, PX_PER_MM * FINENESS);
  const frame = frameOf(set.nails[nail], buildOf(set, set.nails[nail]));
  const width = picture ? picture.width / picture.px_per_mm : frame.arc_mm + 2 * PICTURE_PAD_MM;
  const height = frame.length_mm + 2 * PICTURE_PAD_MM;
  const half = width / 2 - PICTURE_PAD_MM;
  return (
    <button
      type="button"
      className={classes.place}
      aria-label={at ? 'Where it happened: noted' : 'Where it happened'}
      style={{ width: width * PX_PER_MM, height: height * PX_PER_MM }}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        // By the keyboard the middle is taken.
        const by =
          event.detail === 0
            ? { x: 0.5, y: 0.5 }
            : { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
        const x_mm = by.x * width - width / 2;
        const y_mm = height - PICTURE_PAD_MM - by.y * height;
        const within = (value: number, low: number) =>
          Math.round(Math.max(low, Math.min(1, value)) * 100) / 100;
        onAt({ across: within(x_mm / half, -1), along: within(y_mm / frame.length_mm, 0) });
      }}
    >
      <NailCanvas picture={picture} px_per_mm={PX_PER_MM} label="" />
      {at && (
        <span
          className={classes.spot}
          style={{
            left: (at.across * half + width / 2) * PX_PER_MM,
            top: (height - PICTURE_PAD_MM - at.along * frame.length_mm) * PX_PER_MM,
          }}
        />
      )}
    </button>
  );
}

interface NotedProps {
  note: WearNote;
  photo: Photo | undefined;
  facts: Parameters<typeof causesOf>[0];
  onChange: (note: WearNote) => void;
  onRemove: () => void;
}

/** What was noted, and the causes that what was done allows; the artist says which it was. */
function Noted({ note, facts, photo, onChange, onRemove }: NotedProps) {
  const offered = causesOf(facts, note);
  const said = (code: string) => note.causes.find((one) => one.code === code)?.so;
  const say = (code: string, so: boolean) => {
    const others = note.causes.filter((one) => one.code !== code);
    onChange({ ...note, causes: said(code) === so ? others : [...others, { code, so }] });
  };
  return (
    <article className={classes.noted} data-testid="noted">
      <header>
        <b>
          {WHAT_WORDS[note.what]}
          {note.much ? `, ${note.much}` : ''}
        </b>{' '}
        {dayWords(note.on)}
        {note.grown_mm ? `, ${note.grown_mm} mm` : ''}
        {note.felt.length > 0 && <span className={classes.caution}> felt: {note.felt.join(', ')}</span>}
        <Button
          variant="subtle"
          color="gray"
          size="compact-md"
          leftSection={<IconTrash size={16} />}
          onClick={onRemove}
        >
          Take out
        </Button>
      </header>
      {note.note && <p>{note.note}</p>}
      {photo && (
        <div className={classes.photo}>
          <BlobImage blob={photo.picture} alt={`${WHAT_WORDS[note.what]}, as it was photographed`} />
        </div>
      )}
      {offered.length === 0 && note.what !== 'grown-out' && note.what !== 'off-early' && (
        <p className={classes.soft}>What was done on this nail speaks for no cause that is known here.</p>
      )}
      {offered.length > 0 && (
        <ul className={classes.causes} aria-label="What may stand behind it">
          {offered.map(({ code, words, instead, strength, evidence }) => (
            <li key={code} data-said={said(code)}>
              <span>
                <b>{words}</b> <small className={classes.soft}>evidence: {strength}</small>
                <br />
                {evidence.join(' ')} {instead}
              </span>
              <span className={classes.yesNo}>
                <Button
                  variant={said(code) === true ? 'filled' : 'default'}
                  size="compact-md"
                  aria-pressed={said(code) === true}
                  aria-label={`It was so: ${words}`}
                  onClick={() => say(code, true)}
                >
                  It was
                </Button>
                <Button
                  variant={said(code) === false ? 'filled' : 'default'}
                  size="compact-md"
                  aria-pressed={said(code) === false}
                  aria-label={`It was not so: ${words}`}
                  onClick={() => say(code, false)}
                >
                  Not so
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
    </article>
  );
}
