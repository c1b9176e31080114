import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import type { SetDocument } from '../src/core/document/document';
import { EACH, exported, goTo, noViolations, openDemo, planned } from './helpers';

const openTray = (page: Page) => page.getByRole('button', { name: 'Add', exact: true }).click();
const inMenu = async (page: Page, name: string) => {
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name }).click();
};
async function newLook(page: Page, nail: string, colour: string): Promise<void> {
  await page.getByTestId(`nail-${nail}`).click();
  await page.getByRole('button', { name: 'New look', exact: true }).click();
  await page.getByRole('combobox', { name: 'Colour' }).selectOption(colour);
}
const motifsIn = (text: string) =>
  (JSON.parse(text) as SetDocument).looks.flatMap(({ elements }) =>
    elements.flatMap((one) => (one.kind === 'motif' ? [one] : [])),
  );

test('a motif is taken, kept, placed on three fingers, and mended once for all of them', async ({ page }) => {
  await openDemo(page, 'Matinée');
  await newLook(page, 'left-middle', 'Night blue');
  await openTray(page);
  await page.getByTestId('add-bow').click();
  await inMenu(page, 'Keep it in my motifs');
  for (const [nail, colour] of [
    ['left-index', 'Sage 03'],
    ['left-thumb', 'Rose nude'],
  ] as const) {
    await newLook(page, nail, colour);
    await openTray(page);
    const own = page.getByRole('region', { name: 'My motifs' });
    await own.getByRole('button', { name: /^Bow/ }).click();
  }
  // By rule, on one of them.
  await page.getByRole('button', { name: 'A mirrored pair' }).click();
  await planned(page);
  await noViolations(page);
  let all = motifsIn((await exported(page)).text);
  expect(new Set(all.map(({ kept }) => kept)).size).toBe(1);
  expect(all.map(({ spots }) => spots.length).sort()).toEqual([0, 0, 2]);
  // Mended here, it is mended on every finger that has it, each in its place.
  await page.getByRole('combobox', { name: 'Cured' }).selectOption('Each colour before the next');
  await inMenu(page, 'Mend my motif, here and wherever this set has it');
  await expect
    .poll(async () => motifsIn((await exported(page)).text).map(({ cure }) => cure))
    .toEqual(['each', 'each', 'each']);
  all = motifsIn((await exported(page)).text);
  expect(all.map(({ spots }) => spots.length).sort()).toEqual([0, 0, 2]);
});

test('the library is called otherwise, goes out as SVG and as a file, and comes back; a broken one is told', async ({
  page,
}) => {
  await openDemo(page, 'Matinée');
  await newLook(page, 'left-middle', 'Night blue');
  await openTray(page);
  await page.getByTestId('add-bow').click();
  await inMenu(page, 'Keep it in my motifs');
  const svg = page.waitForEvent('download');
  await inMenu(page, 'Export it as SVG');
  expect(readFileSync(await (await svg).path(), 'utf8')).toMatch(/^<svg [^]*<path /);
  await openTray(page);
  const own = page.getByRole('region', { name: 'My motifs' });
  await own.getByRole('button', { name: 'More for “Bow”' }).click();
  await page.getByRole('menuitem', { name: 'Call it otherwise' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Curtain tie');
  await page.getByRole('button', { name: 'Call it so' }).click();
  await expect(own).toContainText('Curtain tie');
  const file = page.waitForEvent('download');
  await own.getByRole('button', { name: 'More for my motifs' }).click();
  await page.getByRole('menuitem', { name: 'Export all as one file' }).click();
  const path = await (await file).path();
  await own.getByRole('button', { name: 'More for “Curtain tie”' }).click();
  await page.getByRole('menuitem', { name: 'Remove it from my motifs' }).click();
  await expect(own).not.toContainText('Curtain tie');
  await page.getByLabel('Library of motifs').setInputFiles(path);
  await expect(own).toContainText('Curtain tie');
  await page.getByLabel('Library of motifs').setInputFiles({
    name: 'newer.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"merry-lacquer-motifs","version":7,"motifs":[]}'),
  });
  await expect(page.getByText(/newer program/)).toBeVisible();
  await expect(own).toContainText('Curtain tie');
});

test(
  'a nail with several mistakes is put right: the changes are tried, shown beside what is there, and taken in one step',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Understudy', 'Plate to top');
    await page.getByRole('button', { name: 'left ring finger' }).click();
    await page.getByRole('button', { name: 'Put this nail right' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByTestId('difference')).toBeVisible({ timeout: 30_000 });
    await expect(dialog).toContainText('Wipe the sticky layer off');
    await noViolations(page);
    await dialog.getByRole('button', { name: /^Make these \d changes$/ }).click();
    const found = page.getByRole('complementary', { name: 'Findings, and what holds on what' });
    // What a sitting that is hardly searched for may leave is no matter of the nail.
    await expect(found).not.toContainText('A piece');
    await expect(found).not.toContainText('Stop');
    // One step of undo for all of it.
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(found).toContainText('A piece stands out of the cap');
    await goTo(page, 'Design');
  },
);
