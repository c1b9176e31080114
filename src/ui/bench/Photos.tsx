'use client';
import { ActionIcon } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { upperFirst } from '@/core/model/letters';
import type { Photo } from '@/data/records';
import { putPhoto, removePhoto, watchPhotos } from '@/data/photos';
import { smallPhotoOf } from '@/workers/planner';
import { BlobImage } from '../kit/BlobImage';
import { notify, notKept } from '../kit/notify';
import { unforeseen } from '../kit/unforeseen';
import { clockWords } from '@/core/model/times';
import classes from './BenchView.module.css';

/** Keeps a photo of a sitting on this device, small and without what the camera wrote into it; its id, where it was kept. */
export async function keepPhoto(set: string, file: Blob, now_ms: number): Promise<string | undefined> {
  const small = await smallPhotoOf(file);
  if (!small.ok) {
    notify(`${upperFirst(small.faults[0]!.path)} ${small.faults[0]!.message}.`, 'No photo was kept');
    return undefined;
  }
  const id = crypto.randomUUID();
  try {
    await putPhoto({ id, set, taken_at: now_ms, ...small.value });
  } catch (error) {
    notKept(error);
    return undefined;
  }
  return id;
}

/** The photos of a sitting; `start_ms`: when it began. */
export function Photos({ set, start_ms }: { set: string; start_ms: number }) {
  const [photos, setPhotos] = useState<Photo[]>([]);
  useEffect(() => watchPhotos(set, setPhotos, unforeseen), [set]);
  if (photos.length === 0) return null;
  return (
    <ul className={classes.photos} aria-label="Photos, on this device only">
      {photos.map((photo) => (
        <li key={photo.id}>
          <Shown photo={photo} at={clockWords((photo.taken_at - start_ms) / 1000)} />
        </li>
      ))}
    </ul>
  );
}

function Shown({ photo, at }: { photo: Photo; at: string }) {
  return (
    <figure>
      <BlobImage blob={photo.picture} alt={`Photo at ${at}`} />
      <figcaption>
        {at}
        <ActionIcon
          variant="subtle"
          size={44}
          aria-label={`Throw the photo at ${at} away`}
          onClick={() => void removePhoto(photo.id).catch(notKept)}
        >
          <IconTrash size={20} />
        </ActionIcon>
      </figcaption>
    </figure>
  );
}
