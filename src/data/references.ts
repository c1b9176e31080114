import { liveQuery } from 'dexie';
import { db } from './database';
import type { Reference } from './records';
import { goodRow } from './rows';

/** The picture kept beside a set's desk, each time it changes. */
export function watchReference(
  set: string,
  onChange: (reference: Reference | undefined) => void,
  onError: (error: unknown) => void,
): () => void {
  const subscription = liveQuery(() => goodRow('references', set)).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Keeps a picture beside a set's desk, in the place of the one before. */
export async function putReference(reference: Reference): Promise<void> {
  await db().references.put(reference);
}

export async function removeReference(set: string): Promise<void> {
  await db().references.delete(set);
}
