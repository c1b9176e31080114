import { expect, test } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { EACH, noViolationsInEither, openDemo } from './helpers';

const day = (ahead: number) => {
  const at = new Date(Date.now() + ahead * 86_400_000);
  return `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`;
};

test(
  'a set is worn, lifts on two nails, a cause is confirmed, and the infill is planned and due',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Curtain Up', 'Wear');
    await page.getByLabel('Made on').fill(day(1));
    await expect(page.getByText('a day that has come')).toBeVisible();
    await page.getByLabel('Made on').fill(day(-15));
    await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
    await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
    await expect(page.getByText(/15 days\. As planned\. Nothing noted/)).toBeVisible();

    // Six presses for a nail: which, what, where, how much, and kept.
    let presses = 0;
    const press = async (name: string | RegExp) => {
      await page.getByRole('button', { name, exact: true }).click();
      presses += 1;
    };
    for (const nail of ['right ring finger', 'left index finger']) {
      presses = 0;
      await press(new RegExp(`^${nail}`));
      await press('Lifted');
      await press('Where it happened');
      await press('A little');
      await press('Note it');
      expect(presses).toBeLessThanOrEqual(8);
      await expect(page.getByTestId('noted')).toContainText('Lifted, a little');
    }
    await expect(page.getByText('2 noted.')).toBeVisible();
    await noViolationsInEither(page);

    // On a day that cannot be nothing is noted.
    await press('Cracked');
    await page.getByLabel('Seen on').fill(day(-30));
    await expect(page.getByText('That is before the set was made.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Note it' })).toBeDisabled();
    await page.getByLabel('Seen on').fill(day(0));
    // What is felt goes to a doctor, and is no cause of anything here.
    await press('Burning');
    await expect(page.getByText(/have it seen by a doctor/)).toBeVisible();
    await press('Burning');
    await press('Note it');

    // It is told apart in charts, and leads to the set.
    await page.getByRole('link', { name: 'What holds' }).click();
    await expect(page.getByTestId('holds')).toContainText('Almond tips');
    await page.getByLabel('Told apart by').selectOption('hand');
    await expect(page.getByTestId('compared')).toContainText('Too few to say.');
    await noViolationsInEither(page);
    await page.getByRole('link', { name: 'Curtain Up' }).click();

    const due = page.getByTestId('due');
    await expect(due).toContainText('at the usual rate');
    const download = page.waitForEvent('download');
    await due.getByRole('button', { name: 'Calendar file' }).click();
    const text = readFileSync(await (await download).path(), 'utf8');
    const [event] = new ICAL.Component(ICAL.parse(text) as []).getAllSubcomponents('vevent');
    expect(new ICAL.Event(event).summary).toBe('Curtain Up: due');

    await page.getByRole('button', { name: /^right thumb/ }).click();
    await press('Fell off');
    await press('Note it');
    await due.getByRole('button', { name: 'Plan the infill' }).click();
    await expect(page).toHaveURL(/\/set\/curtain-up-2\/hands$/);
    await expect(page.getByRole('textbox', { name: 'Title of this set' })).toHaveValue('Curtain Up (infill)');
    await expect(page.getByLabel('Day of the sitting')).toHaveValue(day(13));
  },
);

test('a cause that speaks from the log is confirmed, and that is kept', async ({ page }) => {
  await openDemo(page, 'Fly Tower', 'Wear');
  await page.getByLabel('Made on').fill(day(-20));
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await page.getByRole('button', { name: /^left middle finger/ }).click();
  await page.getByRole('button', { name: 'Cracked', exact: true }).click();
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(40, 30);
    canvas.getContext('2d')!.fillRect(5, 5, 20, 10);
    const blob = await canvas.convertToBlob({ type: 'image/png' });
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  await page
    .getByLabel('Photo of the nail')
    .setInputFiles({ name: 'nail.png', mimeType: 'image/png', buffer: Buffer.from(picture) });
  await expect(page.getByRole('button', { name: 'Another photo' })).toBeVisible();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('img', { name: 'Cracked, as it was photographed' })).toBeVisible();
  const causes = page.getByRole('list', { name: 'What may stand behind it' });
  const yes = causes.getByRole('button', { name: /^It was so: Long for what these hands do/ });
  await yes.click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await page.getByRole('button', { name: /^left middle finger/ }).click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Take out' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  // Not done after all: what was noted is not thrown away.
  await page.getByLabel('Came off on').fill(day(-1));
  await expect(page.getByRole('heading', { name: 'Worn for 19 days' })).toBeVisible();
});

test('a client’s card goes out whole, is deleted for good, and comes back as it was', async ({ page }) => {
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Robin Vale');
  await page.getByRole('textbox', { name: 'Not on these hands' }).fill('HEMA');
  await page.getByRole('button', { name: 'New set', exact: true }).click();
  await expect(page).toHaveURL(/\/set\/.*\/hands$/);
  const set = new URL(page.url()).pathname.split('/')[2]!;
  await page
    .getByRole('navigation', { name: 'Views of this set' })
    .getByRole('link', { name: 'Wear' })
    .click();
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('link', { name: /Robin Vale/ }).click();
  await expect(page.getByRole('link', { name: /^worn since .*nothing noted$/ })).toBeVisible();
  const more = page.getByRole('button', { name: 'More for Robin Vale' });
  const download = page.waitForEvent('download');
  await more.click();
  await page.getByRole('menuitem', { name: 'Export the card whole' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Robin Vale, whole.zip');
  const path = await file.path();
  await more.click();
  await page.getByRole('menuitem', { name: 'Delete the card and all that was made' }).click();
  await noViolationsInEither(page);
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.getByText('Nobody yet.')).toBeVisible();
  await page.goto(`/set/${set}/wear`);
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toHaveCount(0);

  await page.goto('/');
  await page.getByLabel('Set file').setInputFiles(path);
  await page
    .getByRole('button', { name: /^Take in/ })
    .first()
    .click();
  // Gone from the page before that, it would not be stored.
  await expect(page.getByText(/^Taken in/)).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('link', { name: /Robin Vale/ }).click();
  await expect(page.getByRole('textbox', { name: 'Not on these hands' })).toHaveValue('HEMA');
  await expect(page.getByRole('link', { name: /^worn since/ })).toBeVisible();
});
