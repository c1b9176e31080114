import { expect, test, type Page } from '@playwright/test';
import { noViolations, openDemo, planned, titleOf } from './helpers';

/** Puts rows into tables of the store as they are, past the program. */
const putRows = (page: Page, rows: [table: string, row: Record<string, unknown>][]) =>
  page.evaluate(async (all) => {
    const database = await new Promise<IDBDatabase>((resolve) => {
      const asking = indexedDB.open('merry-lacquer');
      asking.onsuccess = () => resolve(asking.result);
    });
    const writing = database.transaction([...database.objectStoreNames], 'readwrite');
    for (const [table, row] of all) writing.objectStore(table).put(row);
    await new Promise((resolve) => (writing.oncomplete = resolve));
    database.close();
  }, rows);

test('one bad row is one bad row: every view stays, and what is broken can be taken out as it is', async ({
  page,
}) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: 'Base A', exact: true })).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).first().click();
  await expect(page.getByRole('navigation', { name: 'Clients' }).getByRole('link')).toHaveCount(1);
  await putRows(page, [
    ['clients', { id: 'bad', name: 'Torn card', sets: 7 }],
    ['shelf', { id: 'bad', product: { name: 'Spilt bottle' } }],
    ['supplies', { id: 'bad', kind: 'wand', name: 'A wand' }],
    ['references', { set: 'matinee', name: 'no-picture.png', picture: 'gone' }],
    ['history', { set: 'matinee', revision: 1, version: 9, past: [{ at: 3 }], future: 'none' }],
    ['facts', { key: 'practice', value: 12 }],
    ['gone', { id: 'matinee', revision: 'many' }],
    ['bin', { key: 'bad', removed_at: 'long ago' }],
    [
      'journal',
      {
        key: '000001800000000 later 000000001',
        set: 'matinee',
        basis: 1,
        step: { change: { kind: 'marble', swirl: 3 } },
      },
    ],
  ]);
  await page.reload();
  const cards = page.getByRole('region', { name: 'Cards that cannot be read' });
  await expect(cards.getByRole('listitem')).toHaveCount(1);
  await expect(cards).toContainText('Torn card');
  await expect(page.getByRole('navigation', { name: 'Clients' }).getByRole('link')).toHaveCount(1);
  await noViolations(page);
  const download = page.waitForEvent('download');
  await cards.getByRole('button', { name: 'Export as it is' }).click();
  expect((await download).suggestedFilename()).toBe('clients-bad.broken.json');
  await cards.getByRole('button', { name: 'Remove' }).click();
  await expect(cards).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(cards.getByRole('listitem')).toHaveCount(1);

  await page.goto('/shelf');
  const things = page.getByRole('region', { name: 'What on the shelf cannot be read' });
  await expect(things.getByRole('listitem')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Base A', exact: true })).toBeVisible();

  await page.goto('/');
  for (const title of ['Curtain Up', 'Matinée', 'Understudy'])
    await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
  const more = page.getByRole('region', { name: 'More that cannot be read' });
  await expect(more.getByRole('listitem')).toHaveCount(6);
  await noViolations(page);

  // The set itself opens, is planned, drawn and edited.
  await page.getByRole('heading', { name: 'Matinée', exact: true }).click();
  await planned(page);
  await titleOf(page).fill('Still Matinée');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await page.getByRole('link', { name: 'Sets' }).click();
  await expect(page.getByRole('heading', { name: 'Still Matinée', exact: true })).toBeVisible();
  // What a newer program wrote is still there.
  await expect(more.getByRole('listitem').filter({ hasText: 'Change to “Still Matinée”' })).toHaveCount(1);
});

test('a tab that goes while two sets stand against each other leaves its own behind', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Matinée');
  const other = await context.newPage();
  await openDemo(other, 'Matinée');
  const asked = [page, other].map((one) =>
    one.getByRole('dialog', { name: 'This set was changed in another tab' }),
  );
  // Both change it in one moment; where one is told in time of the other's there is nothing to be asked.
  let moment = 0;
  await expect(async () => {
    moment += 1;
    await Promise.all([titleOf(page).fill(`Mine ${moment}`), titleOf(other).fill(`Theirs ${moment}`)]);
    const isAsked = async () => (await asked[0]!.isVisible()) || (await asked[1]!.isVisible());
    await expect.poll(isAsked, { timeout: 5000 }).toBe(true);
  }).toPass();
  const loses = (await asked[0]!.isVisible()) ? page : other;
  const lost = `${loses === page ? 'Mine' : 'Theirs'} ${moment}`;
  // Gone without a word, as a tab that crashes.
  await loses.close();
  const stays = loses === page ? other : page;
  await stays.getByRole('link', { name: 'Sets' }).click();
  await expect(stays.getByRole('heading', { name: `${lost} (my copy)`, exact: true })).toBeVisible();
  await expect(stays.getByText('was changed in two tabs')).toBeVisible();
});

test('a list that is opened beside a tab that types takes nothing from it', async ({ page, context }) => {
  await openDemo(page, 'Matinée');
  await putRows(page, [
    [
      'journal',
      {
        key: '000001700000000 dead00 000000001',
        set: 'matinee',
        basis: 1,
        step: { change: { kind: 'rename', title: 'Left by another' } },
      },
    ],
  ]);
  const list = await context.newPage();
  await titleOf(page).pressSequentially(' one', { delay: 60 });
  const typing = titleOf(page).pressSequentially(' two three four five six', { delay: 60 });
  await list.goto('/');
  await expect(list.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  await typing;
  await page.keyboard.press('Tab');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(titleOf(page)).toHaveValue(/one two three four five six/);
  // Gone by a link and back: undo is whole.
  await page.getByRole('link', { name: 'Sets' }).click();
  await page.getByRole('heading', { name: /one two three four five six/ }).click();
  await planned(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(titleOf(page)).not.toHaveValue(/six/);
});
