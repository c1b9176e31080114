import 'fake-indexeddb/auto';
import type { Bench, BenchEvent } from '@/core/bench/log';
import { curtainUp } from '@/core/demo/curtainUp';
import { readBackup } from '@/core/files/backup';
import { noLines } from '@/core/files/backupParts';
import { backupFile } from '@/core/files/wholeBackup';
import { backupOfOne } from './backup';
import { benchOf, putBench, removeBench } from './benches';
import { db } from './database';
import type { Photo } from './records';
import { countFrom, countRound, watchOwnLogs, type OwnLogs } from './ownTimes';
import { putPhoto, removePhoto, watchPhotos } from './photos';

const bench = (set: string, events: BenchEvent[] = [{ what: 'begun', at_ms: 1000 }]): Bench => ({
  set,
  mark: 'm',
  course: [],
  events,
  clock: { shift_ms: 0, seen_ms: 1000 },
});
const photo = (id: string, set: string, taken_at: number): Photo => ({
  id,
  set,
  taken_at,
  picture: new Blob(['x']),
  width_px: 4,
  height_px: 3,
});
const now = <T>(watch: (on: (value: T) => void, fail: (error: unknown) => void) => () => void) =>
  new Promise<T>((resolve, reject) => {
    const stop = watch((value) => {
      setTimeout(() => stop());
      resolve(value);
    }, reject);
  });
const photosOf = async (set: string) =>
  (await now<Photo[]>((on, fail) => watchPhotos(set, on, fail))).map(({ id }) => id);

beforeEach(async () => {
  for (const table of db().tables) await table.clear();
});

describe('what is kept of a table', () => {
  it('photos stand by their time, and go with the record of their sitting', async () => {
    await putBench(bench('curtain-up'));
    for (const one of [photo('b', 'curtain-up', 20), photo('a', 'curtain-up', 10), photo('c', 'matinee', 5)])
      await putPhoto(one);
    expect(await photosOf('curtain-up')).toEqual(['a', 'b']);
    await removePhoto('a');
    expect(await photosOf('curtain-up')).toEqual(['b']);
    await removeBench('curtain-up');
    expect(await photosOf('curtain-up')).toEqual([]);
    expect(await photosOf('matinee')).toEqual(['c']);
  });

  it('own times are read from all records, from a moment on; whether a round counts stands in its log', async () => {
    await putBench(bench('curtain-up'));
    await putBench(bench('matinee'));
    const logs = () => now<OwnLogs>(watchOwnLogs);
    expect((await logs()).benches).toHaveLength(2);
    await countFrom(5000);
    expect((await logs()).since_ms).toBe(5000);
    await countRound('matinee', 3, false, 2000);
    expect((await benchOf('matinee'))?.events.at(-1)).toEqual({
      what: 'counted',
      at_ms: 2000,
      of: 3,
      counts: false,
    });
    // A record that is gone meanwhile has nothing to count.
    await countRound('gone', 3, false);
    expect((await logs()).benches).toHaveLength(2);
  });

  it('a set goes out with its record as a backup of one: nothing else is in it', async () => {
    const set = curtainUp();
    await putBench(bench(set.id));
    await putBench(bench('matinee'));
    const read = await readBackup(await backupFile(await backupOfOne(set, 7, new Date(0))));
    if (!read.ok) throw new Error(read.faults[0]!.message);
    const { backup } = read.value;
    expect(backup.sets).toEqual([{ changed_at: 7, document: set }]);
    expect(backup.lines).toEqual({ ...noLines(), benches: [bench(set.id)] });
  });
});
