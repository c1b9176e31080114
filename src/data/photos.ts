import { liveQuery } from 'dexie';
import { db } from './database';
import type { Photo } from './records';
import { readRows } from './rows';

/** The photos of a sitting, each time one is taken or thrown away; oldest first. */
export function watchPhotos(
  set: string,
  onChange: (photos: Photo[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const query = async () => {
    const rows = await db().photos.where('set').equals(set).toArray();
    return readRows('photos', rows).good.sort((a, b) => a.taken_at - b.taken_at);
  };
  const subscription = liveQuery(query).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Keeps a photo on this device; rejects where there is no room. */
export async function putPhoto(photo: Photo): Promise<void> {
  await db().photos.put(photo);
}

export async function removePhoto(id: string): Promise<void> {
  await db().photos.delete(id);
}
