import { expect, test, type Dialog, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { EACH, exported, noViolations, openDemo, planned, titleOf } from './helpers';

declare global {
  interface Window {
    /** Writing to the store fails for want of room. */
    full: boolean;
  }
}

const saving = (page: Page, words: string | RegExp) => page.getByRole('status').filter({ hasText: words });

/** The store as it is on disk, whole. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const asking = indexedDB.open('merry-lacquer');
        asking.onsuccess = () => {
          const names = [...asking.result.objectStoreNames];
          const reading = asking.result.transaction(names);
          const all = names.map((name) => reading.objectStore(name).getAll());
          reading.oncomplete = () => {
            const { version } = asking.result;
            asking.result.close();
            done(JSON.stringify([version, names, all.map((one) => one.result as unknown)]));
          };
        };
      }),
  );

/** What a newer program would do: takes the store over, with tables of its own. */
const takeOver = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        const asking = indexedDB.open('merry-lacquer', 900);
        asking.onupgradeneeded = () => asking.result.createObjectStore('later');
        asking.onsuccess = () => {
          asking.result.close();
          done();
        };
      }),
  );

/** From here on `window.full` says whether there is room. */
const mayBeFull = (page: Page) =>
  page.addInitScript(() => {
    window.full = false;
    for (const method of ['add', 'put', 'delete'] as const) {
      const real = IDBObjectStore.prototype[method] as (...args: unknown[]) => IDBRequest;
      IDBObjectStore.prototype[method] = function (this: IDBObjectStore, ...args: unknown[]): never {
        if (window.full) throw new DOMException('', 'QuotaExceededError');
        return real.apply(this, args) as never;
      };
    }
  });

const accepted = (dialog: Dialog) => {
  dialog.accept().catch(() => undefined);
};

test('what cannot be kept is told wherever it is asked for, and so is what nobody foresaw', async ({
  page,
}) => {
  await mayBeFull(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Matinée' })).toBeVisible();
  const told = page.getByRole('alert').filter({ hasText: /It was not kept/ });
  const refused = async (doing: () => Promise<void>) => {
    await page.evaluate(() => (window.full = true));
    await doing();
    await expect(told.first()).toBeVisible();
    await page.evaluate(() => (window.full = false));
    for (const close of await told.getByRole('button', { name: 'Close' }).all()) await close.click();
    await expect(told).toHaveCount(0);
  };
  const menu = async (of: string, entry: string) => {
    await page.getByRole('button', { name: of, exact: true }).click();
    await page.getByRole('menuitem', { name: entry, exact: true }).click();
  };
  await refused(() => page.getByRole('button', { name: 'New set' }).click());
  await refused(() => menu('More for Matinée', 'Make a copy'));
  await refused(() => menu('More for Matinée', 'Remove'));
  await refused(() => page.getByLabel('Set file').setInputFiles('tests/files/v8/curtain-up.lacquer.json'));
  await refused(() => menu('More', 'Restore the demo sets'));
  await page.getByRole('link', { name: 'Clients' }).click();
  const newClient = page.getByRole('button', { name: 'New client' }).first();
  await refused(() => newClient.click());
  await newClient.click();
  const card = page.getByRole('region', { name: 'Card of New client' });
  await refused(() => card.getByRole('button', { name: 'New set' }).click());
  await refused(() => menu('More for New client', 'Remove the card'));
  await refused(async () => {
    await card.getByRole('textbox', { name: 'Name' }).fill('Imogen');
    await page.keyboard.press('Tab');
  });
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Base A', exact: true }).click();
  await refused(() => page.getByRole('button', { name: 'Duplicate Base A', exact: true }).click());
  await page.getByRole('tab', { name: 'Lamps' }).click();
  await refused(() => page.getByRole('button', { name: 'One more lamp' }).click());
  await page.goto('/set/matinee/practice');
  await planned(page);
  await refused(() => page.getByRole('button', { name: 'Begin new sets this way' }).click());
  await page.evaluate(() => {
    setTimeout(() => {
      throw new Error('a fault that nobody foresaw');
    });
  });
  await expect(page.getByRole('alert').filter({ hasText: 'a fault that nobody foresaw' })).toBeVisible();
  await noViolations(page);
});

test('a disk without room is told, held back, tried again; export holds all', EACH, async ({ page }) => {
  await mayBeFull(page);
  await page.goto('/');
  await page.getByRole('heading', { name: 'Matinée' }).click();
  await planned(page);
  await page.evaluate(() => (window.full = true));
  await titleOf(page).fill('No room');
  await expect(saving(page, 'Not saved, there is no room left on this device. Export it')).toBeVisible();
  await noViolations(page);
  const { text } = await exported(page);
  expect(text).toContain('"title": "No room"');
  // Leaving is asked about.
  const asked = page.waitForEvent('dialog');
  void page.reload({ timeout: 2000 }).catch(() => undefined);
  await (await asked).dismiss();
  await expect(titleOf(page)).toHaveValue('No room');
  // So is leaving inside the page, by a link and by the browser's own way back.
  const leaving = page.getByRole('dialog', { name: 'What you changed is not kept yet' });
  await page.getByRole('link', { name: 'Sets' }).click();
  await expect(leaving).toBeVisible();
  await noViolations(page);
  await leaving.getByRole('button', { name: 'Stay here' }).click();
  await expect(leaving).toBeHidden();
  await page.evaluate(() => history.back());
  await expect(leaving).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/set\/matinee\/design$/);
  await expect(titleOf(page)).toHaveValue('No room');
  // Once there is room, it is kept, and one goes where one wanted to.
  await page.getByRole('link', { name: 'Sets' }).click();
  await page.evaluate(() => (window.full = false));
  await expect(page).toHaveURL(/\/$/);
  await expect(leaving).toBeHidden();
  await page.getByRole('heading', { name: 'No room' }).click();
  await expect(titleOf(page)).toHaveValue('No room');
  // Left on purpose, what is not kept is gone.
  await page.evaluate(() => (window.full = true));
  await titleOf(page).fill('Given up');
  await expect(saving(page, /Not saved/)).toBeVisible();
  await page.getByRole('link', { name: 'Sets' }).click();
  await leaving.getByRole('button', { name: 'Leave, and lose them' }).click();
  await expect(page.getByRole('heading', { name: 'No room' })).toBeVisible();
});

test('a store that is deleted elsewhere is told as that, and what is on the screen can be exported', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Matinée');
  const other = await context.newPage();
  await other.goto('/icon.svg');
  await other.evaluate(() => indexedDB.deleteDatabase('merry-lacquer'));
  await expect(page.getByRole('alert').filter({ hasText: 'store was deleted' })).toBeVisible();
  await titleOf(page).fill('Only here');
  await expect(saving(page, /Not saved/)).toBeVisible();
  const { text } = await exported(page);
  expect(text).toContain('"title": "Only here"');
});

for (const [what, words, breakIt] of [
  [
    'refuses to open',
    'the disk said no',
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('the disk said no', 'UnknownError');
      };
    },
  ],
  ['never answers', 'it does not answer', () => (IDBFactory.prototype.open = () => ({}) as IDBOpenDBRequest)],
  [
    'is missing',
    'this browser has none',
    () => Object.defineProperty(window, 'indexedDB', { value: undefined }),
  ],
] as const)
  test(`a store that ${what} is told, and the program works without it`, async ({ page }) => {
    await page.addInitScript(breakIt);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'This browser’s store cannot be used' })).toBeVisible();
    await expect(page.getByText(words)).toBeVisible();
    await noViolations(page);
    await page.getByRole('button', { name: 'Go on without it' }).click();
    await expect(
      page.getByRole('alert').filter({ hasText: 'Nothing is kept in this browser' }),
    ).toBeVisible();
    await page.getByRole('heading', { name: 'Matinée' }).click();
    await planned(page);
    await titleOf(page).fill('In the air');
    const { text } = await exported(page);
    expect(text).toContain('"title": "In the air"');
    await expect(saving(page, 'In this page only')).toBeVisible();
    await page.getByRole('link', { name: 'Sets' }).click();
    await expect(page.getByRole('heading', { name: 'In the air' })).toBeVisible();
    // Closing is asked about: nothing outlives this page.
    const asked = page.waitForEvent('dialog');
    void page.reload({ timeout: 2000 }).catch(() => undefined);
    await (await asked).dismiss();
    await expect(page.getByRole('heading', { name: 'In the air' })).toBeVisible();
  });

test('a store that a newer program takes over is let go, then only read; what was made is kept', async ({
  page,
}) => {
  await openDemo(page, 'Matinée');
  await titleOf(page).fill('Made before');
  await takeOver(page);
  const news = page.getByRole('alert').filter({ hasText: 'A newer version of this program' });
  await expect(news).toContainText('What you made is kept; from here on nothing is');
  await titleOf(page).fill('Made after');
  await expect(saving(page, /^Not saved, the browser has closed its store/)).toBeVisible();
  page.once('dialog', accepted);
  const before = await stored(page);
  await page.reload();
  await expect(news).toContainText('nothing is changed');
  await expect(titleOf(page)).toHaveValue('Made before');
  await planned(page);
  await titleOf(page).fill('Only looked at');
  await expect(saving(page, 'Not kept here: export it to keep it')).toBeVisible();
  await noViolations(page);
  expect((await exported(page)).text).toContain('"title": "Only looked at"');
  page.once('dialog', accepted);
  await page.goto('/');
  for (const name of ['Curtain Up', 'Made before', 'Understudy'])
    await expect(page.getByRole('heading', { name })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything' }).click();
  expect(
    readFileSync(await (await download).path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
  expect(await stored(page)).toBe(before);
  expect(before).toContain('later');
});

test('a set removed in another tab is told at once and kept after all where that is wished', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Matinée');
  const other = await context.newPage();
  await other.goto('/');
  await other.getByRole('button', { name: 'More for Matinée' }).click();
  await other.getByRole('menuitem', { name: 'Remove' }).click();
  const gone = page.getByRole('alert').filter({ hasText: 'This set was removed in another tab' });
  await expect(gone).toBeVisible();
  await noViolations(page);
  await titleOf(page).fill('Kept after all');
  await gone.getByRole('button', { name: 'Keep it after all' }).click();
  await expect(saving(page, /^Saved$/)).toBeVisible();
  await expect(other.getByRole('heading', { name: 'Kept after all' })).toBeVisible();
});
