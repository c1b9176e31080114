'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconCamera, IconTrash } from '@tabler/icons-react';
import { useRef } from 'react';
import { dayWords, today } from '@/core/model/days';
import { MOST_PHOTOS, type Worn } from '@/core/model/wear';
import { removePhoto } from '@/data/photos';
import type { Photo } from '@/data/records';
import { changeWorn } from '@/data/worn';
import { keepPhoto } from '../bench/Photos';
import { BlobImage } from '../kit/BlobImage';
import { FileInput } from '../kit/FileInput';
import { notKept } from '../kit/notify';
import classes from './WearView.module.css';

interface Props {
  worn: Worn;
  /** All that were taken of this set; those of single nails stand with what was noted of them. */
  photos: readonly Photo[];
}

/** Pictures of the set as it is worn, and those of its sitting; on this device only. */
export function WornPhotos({ worn, photos }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const noted = new Set(
    Object.values(worn.nails).flatMap((nail) => (nail?.notes ?? []).map(({ photo }) => photo)),
  );
  const shown = photos.filter(({ id }) => !noted.has(id));
  const own = worn.photos ?? [];
  async function keep(file: File) {
    const id = await keepPhoto(worn.set, file, Date.now());
    if (id) await changeWorn(worn.set, (now) => ({ ...now, photos: [...(now.photos ?? []), id] }));
  }
  async function remove(id: string) {
    await changeWorn(worn.set, (now) => ({ ...now, photos: now.photos?.filter((one) => one !== id) ?? [] }));
    await removePhoto(id);
  }
  return (
    <section className={classes.next} aria-label="Pictures, on this device only">
      <h3>Pictures</h3>
      {shown.length > 0 && (
        <ul className={classes.pictures}>
          {shown.map(({ id, picture, taken_at }) => {
            const when = dayWords(today(new Date(taken_at)));
            return (
              <li key={id}>
                <BlobImage blob={picture} alt={`As it was on ${when}`} />
                <span>
                  {when}
                  <ActionIcon
                    variant="subtle"
                    color="gray"
                    size={32}
                    aria-label={`Throw the picture of ${when} away`}
                    onClick={() => void remove(id).catch(notKept)}
                  >
                    <IconTrash size={18} />
                  </ActionIcon>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <Button
        variant="default"
        leftSection={<IconCamera size={18} />}
        disabled={own.length >= MOST_PHOTOS}
        onClick={() => input.current?.click()}
      >
        Add a picture
      </Button>
      <FileInput
        input={input}
        accept="image/*"
        label="Picture of the set"
        onFile={(file) => void keep(file).catch(notKept)}
      />
    </section>
  );
}
