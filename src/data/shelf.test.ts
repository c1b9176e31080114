import 'fake-indexeddb/auto';
import type { ShelfItem } from '@/core/model/shelf';
import { genericShelf, onShelf } from '@/core/starter/shelf';
import { collectBackup, takeIn } from './backup';
import { db } from './database';
import { putOnShelf, stockOnce, takeOffShelf, watchShelf } from './shelf';

const all = () =>
  new Promise<ShelfItem[]>((done, failed) => {
    const stop = watchShelf((items) => {
      stop();
      done(items);
    }, failed);
  });
const red = genericShelf().find((one) => one.id === 'red-21')!;

beforeEach(async () => {
  for (const table of db().tables) await table.clear();
});

describe('the shelf', () => {
  it('is stocked once, and left alone after', async () => {
    await stockOnce();
    expect(await all()).toHaveLength(genericShelf().length);
    await takeOffShelf(['red-21']);
    await stockOnce();
    expect((await all()).map((one) => one.product.id)).not.toContain('red-21');
  });

  it('takes products in the place of those of their ids, all or none', async () => {
    await stockOnce();
    await putOnShelf([{ ...onShelf({ ...red, colour: '#ff0000' }), count: 2 }]);
    expect((await all()).find((one) => one.product.id === 'red-21')).toMatchObject({
      product: { colour: '#ff0000' },
      count: 2,
    });
    expect(await all()).toHaveLength(genericShelf().length);
  });

  it('goes into a backup, and what is missing comes back from it', async () => {
    await putOnShelf([{ ...onShelf(red), count: 4 }]);
    const backup = await collectBackup();
    await takeOffShelf(['red-21']);
    await putOnShelf([onShelf({ ...red, id: 'other', name: 'Other' })]);
    await takeIn(backup, 'both');
    expect((await all()).map((one) => [one.product.id, one.count]).sort()).toEqual([
      ['other', null],
      ['red-21', 4],
    ]);
  });
});
