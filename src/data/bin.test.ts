import 'fake-indexeddb/auto';
import { curtainUp } from '@/core/demo/curtainUp';
import { planSet } from '@/core/plan/planSet';
import { wornOf } from '@/core/wear/facts';
import { noteAsked } from './asked';
import { BIN_DAYS, clearOldBin, dropFromBin, putBack, toBin, watchBin } from './bin';
import { db } from './database';
import type { Binned, StoredSet } from './records';
import { addSet, openSet, saveSet, storeAgain } from './sets';
import { restoreDemo } from './starting';

const DAY_MS = 24 * 3600 * 1000;

beforeEach(async () => {
  for (const table of db().tables) await table.clear();
});

describe('the bin', () => {
  it('gives back what was removed, whole, even where it was broken', async () => {
    const id = await addSet(curtainUp());
    const broken = { ...(await db().sets.get(id))!, document: 7 } as unknown as StoredSet;
    await db().sets.put(broken);
    const key = (await toBin(id))!;
    expect(await db().sets.count()).toBe(0);
    await putBack(key);
    expect(await db().sets.get(id)).toEqual(broken);
    expect(await db().bin.count()).toBe(0);
    await putBack(key);
    expect(await db().sets.count()).toBe(1);
  });

  it('gives no id again, though its set is gone for good', async () => {
    await addSet(curtainUp());
    await dropFromBin((await toBin('curtain-up'))!);
    expect(await addSet(curtainUp())).toBe('curtain-up-2');
    await toBin('curtain-up-2');
    expect(await addSet(curtainUp())).toBe('curtain-up-3');
  });

  it('puts a set back beside the one that has its place now', async () => {
    await addSet({ ...curtainUp(), title: 'Mine' });
    const key = (await toBin('curtain-up'))!;
    await restoreDemo();
    await putBack(key);
    const titles = (await db().sets.toArray()).map((one) => [one.id === one.document.id, one.title]);
    expect(titles).toHaveLength(6);
    expect(titles).toContainEqual([true, 'Mine']);
    expect(titles).toContainEqual([true, 'Curtain Up']);
  });

  it(`keeps for ${BIN_DAYS} days, and shows the latest first`, async () => {
    const old = await addSet({ ...curtainUp(), title: 'Old' });
    const late = await addSet({ ...curtainUp(), title: 'Late' });
    const now = Date.now();
    await toBin(old, now - (BIN_DAYS + 1) * DAY_MS);
    await toBin(late, now - (BIN_DAYS - 1) * DAY_MS);
    const shown = await new Promise<Binned[]>((done) => {
      const stop = watchBin((binned) => {
        stop();
        done(binned);
      });
    });
    expect(shown.map((one) => one.title)).toEqual(['Late', 'Old']);
    await clearOldBin(now);
    expect((await db().bin.toArray()).map((one) => one.title)).toEqual(['Late']);
  });

  it('a demo set that was removed comes back later than all that a tab has seen of it', async () => {
    await addSet(curtainUp());
    for (let revision = 1; revision < 4; revision += 1) await saveSet(curtainUp(), revision);
    await toBin('curtain-up');
    await restoreDemo();
    expect((await db().sets.get('curtain-up'))!.revision).toBe(5);
  });

  it('a set kept after all is stored under its own id', async () => {
    await addSet(curtainUp());
    await toBin('curtain-up');
    expect(await storeAgain({ ...curtainUp(), title: 'Kept' })).toBe(2);
    const opened = await openSet('curtain-up');
    expect(opened.ok && opened.value).toMatchObject({ revision: 2, set: { title: 'Kept' } });
  });

  it('removing what is not there removes nothing', async () => {
    expect(await toBin('nowhere')).toBeUndefined();
    expect(await db().bin.count()).toBe(0);
  });

  it('lets go for good of what was kept of a set, but for how it was worn and its pictures of that', async () => {
    const photo = (id: string, set: string) => ({
      id,
      set,
      taken_at: 1,
      picture: new Blob(['x']),
      width_px: 1,
      height_px: 1,
    });
    const set = curtainUp();
    const worn = wornOf(set, planSet(set), { on: '2026-03-01' });
    for (const [id, isWorn] of [
      ['worn', true],
      ['unworn', false],
    ] as const) {
      await addSet({ ...set, id });
      await db().references.put({ set: id, name: 'moon.png', picture: new Blob(['x']) });
      await db().photos.put(photo(`photo-${id}`, id));
      if (isWorn) await db().worn.put({ ...worn, set: id });
      await noteAsked(id, 'which');
      await dropFromBin((await toBin(id))!);
    }
    expect(await db().references.count()).toBe(0);
    expect(await db().facts.count()).toBe(0);
    expect((await db().photos.toArray()).map(({ id }) => id)).toEqual(['photo-worn']);
    expect(await db().worn.count()).toBe(1);
    // One that was put back under its own name keeps its things.
    await addSet({ ...set, id: 'back' });
    await db().photos.put(photo('photo-back', 'back'));
    const key = (await toBin('back'))!;
    await storeAgain({ ...set, id: 'back' });
    await dropFromBin(key);
    expect(await db().photos.count()).toBe(2);
  });
});
