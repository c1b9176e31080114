import { liveQuery } from 'dexie';
import type { Worn } from '@/core/model/wear';
import { withEnds } from '@/core/wear/ends';
import { db } from './database';
import { goodRow, goodRows } from './rows';

/** The record of one worn set each time it changes; undefined where it is not worn. */
export function watchWorn(
  set: string,
  onChange: (worn: Worn | undefined) => void,
  onError: (error: unknown) => void,
): () => void {
  const subscription = liveQuery(() => goodRow('worn', set)).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Since when sets are worn and when they came off, by set: so much of each record as a list of sets tells. */
export type WornDays = ReadonlyMap<string, Pick<Worn, 'set' | 'client' | 'made_on' | 'off_on'>>;

export function watchWornDays(
  onChange: (days: WornDays) => void,
  onError: (error: unknown) => void,
): () => void {
  const isText = (one: unknown) => one === null || typeof one === 'string';
  const days = async () => {
    const rows: Partial<Worn>[] = await db().worn.toArray();
    // Not read as a whole: there may be hundreds, and nothing else of them is shown.
    const good = rows.filter(
      ({ set, client, made_on, off_on }) =>
        typeof set === 'string' && typeof made_on === 'string' && isText(client) && isText(off_on),
    ) as Worn[];
    return new Map(withEnds(good).map((one) => [one.set, one]));
  };
  const subscription = liveQuery(days).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Whether a set was worn, as far as anything is kept of it. */
export async function isWorn(set: unknown): Promise<boolean> {
  return typeof set === 'string' && (await db().worn.get(set)) !== undefined;
}

/** All that was worn, latest first, each time something changes. */
export function watchAllWorn(
  onChange: (worn: Worn[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () => (await goodRows('worn')).sort((a, b) => (a.made_on < b.made_on ? 1 : -1));
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

/** Begins the record of a set that is worn from now on; one that is there, with what was noted in it, stays as it is. */
export async function beginWorn(worn: Worn): Promise<void> {
  await db().transaction('rw', db().worn, async () => {
    if (!(await db().worn.get(worn.set))) await db().worn.add(worn);
  });
}

/** Changes a record as it is now, whatever another tab made of it meanwhile. */
export async function changeWorn(set: string, change: (worn: Worn) => Worn): Promise<void> {
  await db().transaction('rw', db().worn, async () => {
    const now = await goodRow('worn', set);
    if (now) await db().worn.put(change(now));
  });
}

/** Takes a record away. What is returned puts it back as it was. */
export async function removeWorn(set: string): Promise<(() => Promise<void>) | undefined> {
  const worn = await db().worn.get(set);
  await db().worn.delete(set);
  return (
    worn &&
    (() =>
      db()
        .worn.put(worn)
        .then(() => undefined))
  );
}
