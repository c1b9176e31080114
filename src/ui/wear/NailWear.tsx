'use client';
import { Button } from '@mantine/core';
import type { SetDocument } from '@/core/document/document';
import { upperFirst } from '@/core/model/letters';
import { nailWords, type NailName } from '@/core/model/names';
import type { WearNote, Worn } from '@/core/model/wear';
import type { Photo } from '@/data/records';
import { changeWorn } from '@/data/worn';
import { notify, notKept } from '../kit/notify';
import { Doings } from './Doings';
import { NewNote } from './NewNote';
import { Noted } from './Noted';
import classes from './WearView.module.css';

interface Props {
  set: SetDocument;
  worn: Worn;
  nail: NailName;
  photos: readonly Photo[];
}

/** One nail as it wears: what was noted of it with what may stand behind that, and a new note. */
export function NailWear({ set, worn, nail, photos }: Props) {
  const one = worn.nails[nail]!;
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
      <Doings worn={worn} nail={nail} />
    </section>
  );
}
