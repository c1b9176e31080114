import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { matinee } from '../src/core/demo/matinee';
import type { Plan } from '../src/core/plan/planSet';
import { needsOf } from '../src/core/stock/needs';
import { EACH, exported, goTo, noViolationsInEither, openDemo } from './helpers';

const asked = (page: Page, what: string) =>
  page.getByRole('radiogroup').getByText(what, { exact: true }).click();

/** What a button hands over as a file, as text. */
async function fileOf(page: Page, button: string): Promise<{ name: string; text: string }> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button, exact: true }).click();
  const file = await download;
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'latin1') };
}

const rowsOf = (text: string) =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

/** Opens a thing of the table and notes what is there of it. */
async function note(page: Page, thing: string, figures: Record<string, string>): Promise<void> {
  const row = page.getByRole('button', { name: thing, exact: true });
  await row.click();
  for (const [label, figure] of Object.entries(figures)) {
    await page.getByRole('textbox', { name: label, exact: true }).fill(figure);
    await page.keyboard.press('Enter');
  }
  await row.click();
}

test(
  'a table is laid from the list; a set that is done takes it off the shelf, and puts it back',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Matinée', 'Table');
    const table = page.getByTestId('table');
    await expect(table.getByRole('row').nth(1)).toContainText('0:00');
    await table.getByRole('checkbox', { name: 'Laid out: Base A' }).check();
    await expect(page.getByTestId('table-says')).toContainText('1 laid out');

    // Counted, with what a full one holds: a decimal comma is read as it is meant.
    await note(page, 'Base A', { Left: '1,5', 'A full one holds': '8' });
    const base = table.getByRole('row').filter({ hasText: 'Base A' });
    await expect(base).toContainText('12 mL');
    await noViolationsInEither(page);

    // The file says what stands there, and both say what the plan’s own films hold.
    const { name, text } = await fileOf(page, 'CSV');
    expect(name).toBe('Matinée, table.csv');
    await goTo(page, 'Card');
    const { text: planned } = await exported(page, 'Plan as file');
    const needs = needsOf(matinee(), JSON.parse(planned) as Plan);
    expect(
      rowsOf(Buffer.from(text, 'latin1').toString('utf8')).map(({ thing, amount }) => [thing, amount]),
    ).toEqual(
      needs.map(({ words, amount, unit }) => [words, String(unit === 'ul' ? amount / 1000 : amount)]),
    );
    const taken = needs.find(({ words }) => words === 'Base A')!.amount / 1000;

    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Not done yet' })).toBeVisible();
    await goTo(page, 'Table');
    const left = Math.round((12 - taken) * 10) / 10;
    await expect(base).toContainText(`${left} mL`);
    // Done once more it takes nothing more; not done, all of it is there again.
    await goTo(page, 'Card');
    await page.getByRole('button', { name: 'Not done yet' }).click();
    await goTo(page, 'Table');
    await expect(base).toContainText('12 mL');
  },
);

test('a price is made of what is noted, a quote is sent and kept with the set', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page, 'Matinée', 'Table');
  await asked(page, 'Price');
  const price = page.getByTestId('price');
  await expect(price).toContainText('So far');
  await asked(page, 'Quote');
  await expect(page.getByRole('button', { name: 'PDF' })).toBeDisabled();
  await asked(page, 'Price');
  for (const [label, figure] of [
    ['An hour, EUR', '42'],
    ['Tax, %', '20'],
    ['of, EUR', '0,5'],
    ['Paid ahead, %', '30'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(figure);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: /^Note what/ }).click();
  await page.getByLabel('A full one holds: Base A').fill('8');
  await page.keyboard.press('Enter');
  // What could be two figures is told, and not kept.
  await page.getByLabel('Price: Base A').fill('1.234,5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('0 to 99999')).toBeVisible();
  await page.getByLabel('Price: Base A').fill('9.5');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('material').getByRole('row').filter({ hasText: 'Base A' })).toContainText(
    '€0.1',
  );
  await expect(price).toContainText('To ask');
  await expect(page.getByTestId('accents')).toContainText('Programme: french', { timeout: 30_000 });
  await noViolationsInEither(page);

  await asked(page, 'Quote');
  const quote = page.getByTestId('quote');
  await expect(quote).toContainText(/Price€\d+\.[05]0/);
  await page.getByRole('button', { name: 'Copy as text' }).click();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied).toMatch(/^Matinée\n\nHow long: about .*\nPrice: €\d+\.[05]0\nPaid ahead: €/);
  const pdf = await fileOf(page, 'PDF');
  expect([pdf.name, pdf.text.slice(0, 5)]).toEqual(['Matinée, quote.pdf', '%PDF-']);
  // A picture of the hands is in it.
  expect(pdf.text).toContain('/Subtype /Image');
  const picture = await fileOf(page, 'Picture');
  expect([picture.name, picture.text.slice(1, 4)]).toEqual(['Matinée, quote.png', 'PNG']);
  await page.getByRole('button', { name: 'Keep with the set' }).click();
  await expect(page.getByTestId('offered')).toContainText('as it is now');
  await noViolationsInEither(page);
  const { text } = await exported(page);
  const { offered } = JSON.parse(text) as { offered: { says: string; currency: string } };
  expect([offered.says, offered.currency]).toEqual([copied, 'EUR']);
  // Asked for more now, what was offered stands.
  await asked(page, 'Price');
  await page.getByLabel('An hour, EUR', { exact: true }).fill('60');
  await page.keyboard.press('Enter');
  await asked(page, 'Quote');
  await expect(page.getByTestId('offered')).toContainText('now it would be €');
});

test('a week’s shopping is one list of whole bottles, for the sets that are to come', async ({ page }) => {
  const day = (ahead: number) => new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);
  for (const [title, ahead] of [
    ['Matinée', 2],
    ['Snow Scene', 3],
  ] as const) {
    await openDemo(page, title, 'Hands');
    await page.getByLabel('Day of the sitting').fill(day(ahead));
  }
  await goTo(page, 'Table');
  await note(page, 'Base A', { Left: '0', 'A full one holds': '8', Price: '9.5' });
  await page.getByRole('link', { name: 'What to buy, for all that is planned' }).click();
  await expect(page).toHaveTitle(/What to buy/);
  await expect(page.getByRole('checkbox', { name: /^Matinée/ })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: /^Curtain Up/ })).toHaveCount(0);
  const base = page.getByTestId('to-buy').getByRole('row').filter({ hasText: 'Base A' });
  await expect(base).toContainText('€9.50', { timeout: 30_000 });
  const both = await base.textContent();
  await page.getByRole('checkbox', { name: /^Matinée/ }).uncheck();
  await expect(base).not.toHaveText(both!);
  await noViolationsInEither(page);
  const { name, text } = await fileOf(page, 'CSV');
  expect(name).toBe('to buy.csv');
  expect(rowsOf(text).find(({ thing }) => thing === 'Base A')).toMatchObject({ unit: 'mL', packs: '1' });
  // For all that is planned there is more.
  await page.getByLabel('For', { exact: true }).selectOption('all');
  await expect(page.getByRole('checkbox', { name: /^Curtain Up/ })).toBeChecked();
});

test('a client who is late moves every round, and whether it is over in time is said', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Hands');
  await page.getByLabel('Day of the sitting').fill('2026-12-04');
  await page.getByLabel('Time of the sitting').fill('19:30');
  await page.getByLabel('When it has to be over').fill('20:40');
  await goTo(page, 'Card');
  const first = page.getByRole('list', { name: 'In order' }).getByRole('listitem').first();
  await expect(first).toContainText('19:30');
  await goTo(page, 'Timing');
  await asked(page, 'When it is over');
  const times = page.getByTestId('appointed');
  const before = await times.textContent();
  await page.getByLabel('She is late by').selectOption('15');
  await expect(times).not.toHaveText(before!);
  await expect(times).toContainText('It has to be over by 20:40');
  await expect(times).toContainText('too long');
  // Old figures are greyed until they are planned anew.
  await expect(page.locator('[data-stale]')).toHaveCount(0);
  await noViolationsInEither(page);
  await goTo(page, 'Card');
  await expect(first).toContainText('19:45');
  await expect(page.getByRole('region', { name: 'Bench card' })).toContainText(
    '15 minutes late, over by 20:40',
  );
});

test('for less time what goes together is said, taken and taken back; what is kept is not proposed', async ({
  page,
}) => {
  await openDemo(page, 'Fly Tower', 'Timing');
  await asked(page, 'I have less time');
  const shorter = page.getByRole('region', { name: 'What would shorten it' });
  await expect(shorter.getByRole('button', { name: 'Do it' }).first()).toBeVisible({ timeout: 30_000 });
  const total = await page.getByTestId('total').textContent();
  await page.getByLabel('I have, minutes').fill('150');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('in-time')).toContainText(/nine of ten are over in/, { timeout: 30_000 });
  await page.getByRole('button', { name: 'Do all of it' }).click();
  await expect(page.getByTestId('total')).not.toHaveText(total!);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByTestId('total')).toHaveText(total!);
  const keep = shorter.getByRole('button', { name: /^Keep it: / }).first();
  const kept = (await keep.getAttribute('aria-label'))!;
  await keep.click();
  await expect(shorter.getByText('One thing is kept as they are.')).toBeVisible();
  await expect(shorter.getByRole('button', { name: 'Do it' }).first()).toBeVisible({ timeout: 30_000 });
  await expect(shorter.getByRole('button', { name: kept })).toHaveCount(0);
  await noViolationsInEither(page);

  await asked(page, 'What costs most');
  await expect(page.getByTestId('costs').getByRole('link').first()).toBeVisible();
  await noViolationsInEither(page);
  await asked(page, 'Worked otherwise');
  await page.getByRole('button', { name: 'Beside it' }).first().click({ timeout: 60_000 });
  await expect(page.getByRole('img', { name: 'Lanes worked otherwise' })).toBeVisible();
  await noViolationsInEither(page);
});

test('a round is held before another by the keyboard, and let go', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Timing');
  await page.getByRole('slider', { name: 'Moment of the sitting' }).focus();
  await page.keyboard.press('Home');
  const list = page.getByRole('region', { name: 'From 0:00 on' });
  const held = list.getByRole('list', { name: 'Held in their order' });
  // Where a nail’s own order stands against it, that is said, and nothing is held.
  const rounds = list.getByRole('button', { name: /^(Left|Right)/ });
  let said = 0;
  for (let i = 1; (await held.count()) === 0; i += 1) {
    await rounds.nth(i).focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(held.or(list.getByRole('alert'))).toBeVisible();
    if ((await held.count()) === 0) said += 1;
  }
  await noViolationsInEither(page);
  await held
    .getByRole('button', { name: /^Let go/ })
    .first()
    .click();
  await expect(held).toHaveCount(0);
  expect(said).toBeLessThan(8);
});
