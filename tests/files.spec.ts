import { expect, test, type Page } from '@playwright/test';
import { curtainUp } from '../src/core/demo/curtainUp';
import { writeSetText } from '../src/core/document/parse';
import { EACH, noViolations, openDemo, planned, titleOf } from './helpers';

const good = () =>
  JSON.parse(writeSetText(curtainUp())) as Record<string, unknown> & {
    nails: Record<string, { plate: { width_mm: number }; look: string }>;
  };
async function open(page: Page, text: string) {
  await page
    .getByLabel('Set file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
}
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const opening = indexedDB.open('merry-lacquer');
        opening.onsuccess = () => {
          const all = opening.result.transaction('sets').objectStore('sets').getAll();
          all.onsuccess = () => {
            opening.result.close();
            done(JSON.stringify(all.result));
          };
        };
      }),
  );

test('bad files are refused with path and sentence, and the store stays as it was', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  const before = await stored(page);
  const narrow = good();
  narrow.nails['left-ring']!.plate.width_mm = 0;
  const ghost = good();
  ghost.nails['right-thumb']!.look = 'ghost';
  const cases: [string, RegExp][] = [
    ['{ no', /this is not JSON/],
    [JSON.stringify({ ...good(), version: 99 }), /Version: is 99/],
    [JSON.stringify({ ...good(), glitter: true }), /Glitter: is not a key/],
    [JSON.stringify(narrow), /Left ring finger, width: must be at least 4 mm/],
    [JSON.stringify(ghost), /Right thumb, look: no look "ghost"/],
    [' '.repeat(49 * 1024 * 1024), /49\.0 MB/],
  ];
  for (const [text, message] of cases) {
    await open(page, text);
    await expect(page.locator('section[role="alert"]')).toContainText(message);
    await page.getByRole('button', { name: 'All right' }).click();
  }
  expect(await stored(page)).toBe(before);
});

test('a set opens alike in every encoding, and titles that nobody can see are refused', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  const text = JSON.stringify({ ...good(), id: 'mine', title: 'Soirée ✦' });
  const ways = [Buffer.from(text), Buffer.from(`\ufeff${text}`), Buffer.from(`\ufeff${text}`, 'utf16le')];
  ways.push(Buffer.from(ways[2]!).swap16());
  for (const buffer of ways) {
    await page.goto('/');
    await page.getByLabel('Set file').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer });
    await expect(titleOf(page)).toHaveValue('Soirée ✦');
  }
  const title = titleOf(page);
  await title.fill('  \u200b ');
  await title.press('Enter');
  await expect(title).toHaveValue('Soirée ✦');
  await title.fill('  Late \u202ewohs  ');
  await title.press('Enter');
  await expect(title).toHaveValue('Late \u202ewohs');
  await expect(page).toHaveTitle('Design · \u2068Late \u202ewohs\u2069 · Merry Lacquer');
});

test('two tabs on one set: the other follows, and a clash waits for a choice', async ({ page, context }) => {
  await openDemo(page, 'Curtain Up');
  const other = await context.newPage();
  await other.goto('/set/curtain-up/design');
  await planned(other);
  await page.bringToFront();
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await expect(page.getByText('Saved')).toBeVisible();
  await expect(other.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /House velvet/);

  // Both change at the same moment.
  await Promise.all([
    page
      .getByTestId('nail-left-index')
      .click()
      .then(() => page.keyboard.press('b')),
    other
      .getByTestId('nail-left-little')
      .click()
      .then(() => other.keyboard.press('e')),
  ]);
  // Whoever came second is asked; nothing is lost either way.
  const asked = async () => {
    for (const tab of [page, other]) if (await tab.getByRole('dialog').isVisible()) return tab;
    return undefined;
  };
  const settled = async () => {
    const labels = await Promise.all(
      [page, other].map(async (tab) => [
        await tab.getByTestId('nail-left-index').getAttribute('aria-label'),
        await tab.getByTestId('nail-left-little').getAttribute('aria-label'),
      ]),
    );
    return labels.every(([index, little]) => /Footlights/.test(index!) && /Chandelier/.test(little!));
  };
  await expect.poll(async () => (await asked()) !== undefined || (await settled())).toBe(true);
  const tab = await asked();
  if (tab) {
    await tab.getByRole('button', { name: 'Keep both: mine as a copy' }).click();
    await expect(tab).toHaveURL(/curtain-up-2/);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Curtain Up', exact: true })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Curtain Up (my copy)' })).toBeVisible();
  }
});

test('sets are copied, removed, put back and restored', EACH, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Matinée' }).click();
  await page.getByRole('menuitem', { name: 'Make a copy' }).click();
  await expect(page.getByRole('heading', { name: 'Matinée 2' })).toBeVisible();
  await page.getByRole('button', { name: 'More for Understudy' }).click();
  // The menu before may still be on its way out.
  await page
    .getByRole('menu', { name: 'More for Understudy' })
    .getByRole('menuitem', { name: 'Remove' })
    .click();
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  // From the bin as well.
  await page.getByRole('button', { name: 'More for Understudy' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeHidden();
  await page.reload();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Bin' }).click();
  const bin = page.getByRole('dialog', { name: 'Bin' });
  await expect(bin.getByRole('listitem')).toContainText('Understudy');
  await noViolations(page);
  await bin.getByRole('button', { name: 'Put back' }).click();
  await expect(bin).toContainText('Nothing was removed in the last 30 days.');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  await page.getByLabel('Search sets').fill('afternoon');
  await expect(page.getByText('No set says “afternoon”.')).toBeVisible();
  await page.getByLabel('Search sets').fill('');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Restore the demo sets' }).click();
  await expect(page.getByRole('heading', { name: 'Matinée 2' })).toBeVisible();
});

test('everything is backed up as one file, and comes back after a look at what it brings', async ({
  page,
}) => {
  await openDemo(page, 'Matinée');
  await titleOf(page).fill('My matinée');
  await page.getByRole('link', { name: 'Sets' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Back up everything' }).click();
  const file = await (await download).path();
  expect((await download).suggestedFilename()).toMatch(/^merry-lacquer-\d{4}-\d\d-\d\d\.zip$/);

  await page.getByRole('button', { name: 'More for Curtain Up' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByRole('heading', { name: 'Curtain Up' })).toBeHidden();
  await page.getByRole('heading', { name: 'My matinée' }).click();
  await titleOf(page).fill('Changed since');
  await page.getByRole('link', { name: 'Sets' }).click();

  await page.getByLabel('Set file').setInputFiles(file);
  const dialog = page.getByRole('dialog', { name: 'Take in a backup' });
  await expect(dialog).toContainText('Not here yet, added: “Curtain Up”');
  await expect(dialog).toContainText('Here just so, left alone: “Fly Tower”, “Snow Scene”, “Understudy”');
  await expect(dialog).toContainText('Here, and other than in the backup: “My matinée”');
  await noViolations(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Curtain Up' })).toBeHidden();

  await page.getByLabel('Set file').setInputFiles(file);
  await dialog.getByRole('button', { name: 'Take in 2 sets' }).click();
  for (const name of ['Curtain Up', 'Changed since', 'My matinée (from the backup)', 'Understudy'])
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();

  await page
    .getByLabel('Set file')
    .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('PK not a zip') });
  await expect(page.locator('section[role="alert"]')).toContainText(
    'this is not a zip file that can be read',
  );
});

test('undo outlives going away and a reload; what was done in one go is one step', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await titleOf(page).press('End');
  await titleOf(page).pressSequentially(' tonight', { delay: 30 });
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Sets' }).click();
  await page.getByRole('heading', { name: 'Curtain Up tonight' }).click();
  await planned(page);
  await page.reload();
  await planned(page);
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.click();
  await expect(titleOf(page)).toHaveValue('Curtain Up');
  await expect(page.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /House velvet/);
  await undo.click();
  await expect(page.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /Ticket stubs/);
  await expect(undo).toBeDisabled();
  await page.reload();
  await page.getByRole('button', { name: 'Redo' }).click();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(titleOf(page)).toHaveValue('Curtain Up tonight');
});
