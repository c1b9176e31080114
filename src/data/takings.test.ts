import 'fake-indexeddb/auto';
import { matinee } from '@/core/demo/matinee';
import { applyChange } from '@/core/document/changes';
import type { SetDocument } from '@/core/document/document';
import type { SetState } from '@/core/model/appointment';
import { genericShelf, onShelf } from '@/core/starter/shelf';
import { genericSupplies } from '@/core/starter/supplies';
import type { TakenLine } from '@/core/stock/taking';
import { db } from './database';
import { addSet, saveSet } from './sets';
import { changeOnShelf, putOnShelf } from './shelf';
import { changeSupply, putSupplies } from './supplies';
import { workedOut } from './takings';

const LINES: TakenLine[] = [{ table: 'shelf', id: 'base-a', unit: 'ul', amount: 140 }];

/** Says of a stored set how far it has come, and saves it. */
async function become(set: SetDocument, revision: number, state: SetState): Promise<SetDocument> {
  const next = applyChange(set, { kind: 'state', state });
  if (!next.ok) throw new Error(next.faults[0]!.message);
  expect(await saveSet(next.value, revision)).toEqual({ kind: 'saved', revision: revision + 1 });
  return next.value;
}

async function stored(): Promise<SetDocument> {
  const id = await addSet(matinee());
  return (await db().sets.get(id))!.document;
}

describe('a set that is done', () => {
  beforeEach(async () => {
    for (const table of db().tables) await table.clear();
  });

  it('takes its things off the shelf once, and puts them back when it is not done after all', async () => {
    const set = await stored();
    const done = await become(set, 1, 'done');
    const row = (await db().takings.get(set.id))!;
    expect(row).toMatchObject({ title: set.title, lines: null });
    await workedOut(row, LINES);
    // Saved once more as it is, it takes nothing more.
    await become(done, 2, 'done');
    expect((await db().takings.get(set.id))!.lines).toEqual(LINES);
    const open = await become(done, 3, 'begun');
    expect(await db().takings.get(set.id)).toBeUndefined();
    await become(open, 4, 'done');
    expect(await db().takings.count()).toBe(1);
  });

  it('is not taken for what was worked out of it before it was undone and done anew', async () => {
    const set = await stored();
    const done = await become(set, 1, 'done');
    const first = (await db().takings.get(set.id))!;
    await become(done, 2, 'planned');
    await workedOut(first, LINES);
    expect(await db().takings.get(set.id)).toBeUndefined();
  });

  it('that comes as a file was done elsewhere: it takes nothing here', async () => {
    await addSet({ ...matinee(), state: 'done' });
    expect(await db().takings.count()).toBe(0);
  });
});

describe('what is counted anew', () => {
  it('is counted now, by hand or in a list; what is changed besides is not', async () => {
    const item = onShelf(genericShelf()[0]!);
    const { id } = item.product;
    await putOnShelf([item]);
    const at = async () => (await db().shelf.get(id))!.counted_at;
    await changeOnShelf(id, (now) => ({ ...now, price: 9 }));
    expect(await at()).toBeUndefined();
    await changeOnShelf(id, (now) => ({ ...now, count: 2 }));
    expect(Date.parse((await at())!)).toBeGreaterThan(Date.now() - 60_000);
    await putOnShelf([{ ...item, count: 2, counted_at: '2026-01-01T00:00:00.000Z' }]);
    expect(await at()).toBe('2026-01-01T00:00:00.000Z');
    await putOnShelf([{ ...item, count: 5, counted_at: '2026-01-01T00:00:00.000Z' }]);
    expect(await at()).not.toBe('2026-01-01T00:00:00.000Z');
  });

  it('holds for stones and the sizes of a box as well', async () => {
    const supplies = genericSupplies();
    await putSupplies(supplies);
    const stones = supplies.find(({ kind }) => kind === 'stone')!;
    const box = supplies.find(({ kind }) => kind === 'tips')!;
    await changeSupply(stones.id, (now) => ({ ...now, name: 'Clear' }));
    expect(await db().supplies.get(stones.id)).not.toHaveProperty('counted_at');
    await changeSupply(stones.id, (now) => ({ ...now, count: 7 }));
    expect(await db().supplies.get(stones.id)).toHaveProperty('counted_at');
    await changeSupply(box.id, (now) =>
      'sizes' in now ? { ...now, sizes: now.sizes.map((one) => ({ ...one, count: 3 })) } : now,
    );
    expect(await db().supplies.get(box.id)).toHaveProperty('counted_at');
  });
});
