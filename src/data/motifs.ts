import { liveQuery } from 'dexie';
import { KeptMotif } from '@/core/craft/keptMotif';
import { db } from './database';
import { goodRow, goodRows } from './rows';

/** The artist's own motifs by name, each time one changes, in this tab or another. */
export function watchMotifs(
  onChange: (motifs: KeptMotif[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const all = async () =>
    (await goodRows('motifs')).sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  const subscription = liveQuery(all).subscribe(onChange, onError);
  return () => subscription.unsubscribe();
}

export async function allMotifs(): Promise<KeptMotif[]> {
  return goodRows('motifs');
}

/** Puts motifs into the library, each in the place of the one of its id; all or none. What is none is not kept. */
export async function putMotifs(motifs: readonly KeptMotif[]): Promise<void> {
  const whole = motifs.map((one) => KeptMotif.safeParse(one));
  if (whole.some(({ success }) => !success)) throw new Error('a motif is not drawn as the library keeps it');
  await db().transaction('rw', db().motifs, () => db().motifs.bulkPut([...motifs]));
}

/** Calls a motif otherwise, whatever was made of it meanwhile. */
export async function renameMotif(id: string, name: string): Promise<void> {
  await db().transaction('rw', db().motifs, async () => {
    const now = await goodRow('motifs', id);
    const next = now && KeptMotif.safeParse({ ...now, name });
    if (next?.success) await db().motifs.put(next.data);
  });
}
