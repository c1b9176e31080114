import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { EACH, goTo, noViolations } from './helpers';

test(
  'a client is made, measured by keyboard, kept by day, and her next set begins with it',
  EACH,
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Clients' }).click();
    await expect(page.getByText('Nobody yet.')).toBeVisible();
    await page.getByRole('button', { name: 'New client' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Robin Vale');
    await page.getByRole('textbox', { name: 'Not on these hands' }).fill('No bonding glue');
    await expect(page.getByRole('link', { name: /Robin Vale/ })).toContainText('no set yet');
    await noViolations(page);

    // A set for them, measured by keyboard alone.
    await page.getByRole('button', { name: 'New set', exact: true }).click();
    await expect(page.getByRole('combobox', { name: 'For whom' })).toHaveValue(/client/);
    await expect(page.getByText('No bonding glue')).toBeVisible();
    await page.getByRole('textbox', { name: 'Left thumb, width' }).focus();
    await page.keyboard.type('15.5');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Keep these measures on the card' }).click();
    await page.getByRole('link', { name: 'The card' }).click();
    await expect(page.getByRole('cell', { name: '15.5' })).toBeVisible();

    // The next one begins with these measures.
    await page.getByRole('button', { name: /New set with the measures of/ }).click();
    await expect(page.getByRole('textbox', { name: 'Left thumb, width' })).toHaveValue('15.5');
    await page.getByRole('link', { name: 'The card' }).click();
    await expect(page.getByRole('link', { name: /^Set of/ })).toHaveCount(2);

    // What leaves with the set says nothing of the client.
    await page
      .getByRole('link', { name: /^Set of/ })
      .first()
      .click();
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export' }).click();
    const text = readFileSync((await (await coming).path())!, 'utf8');
    expect(text).toContain('"width_mm": 15.5');
    for (const word of ['Robin', 'bonding', 'client-']) expect(text).not.toContain(word);

    // The card goes, and comes back as it was.
    await page.goto('/clients');
    await page.getByRole('button', { name: 'More for Robin Vale' }).click();
    await page.getByRole('menuitem', { name: 'Remove the card' }).click();
    await expect(
      page.getByText('The card of Robin Vale is gone. The 2 sets made for them stay.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await page.getByRole('link', { name: /Robin Vale/ }).click();
    await expect(page.getByRole('textbox', { name: 'Not on these hands' })).toHaveValue('No bonding glue');
    await page.reload();
    await expect(page.getByRole('cell', { name: '15.5' })).toBeVisible();
  },
);

test('a set is given to a client and taken back in Hands; measures of the card are one step of undo', async ({
  page,
}) => {
  await page.goto('/set/matinee/hands');
  const whom = page.getByRole('combobox', { name: 'For whom' });
  await whom.selectOption('A new client …');
  await page.getByRole('dialog').getByRole('textbox', { name: 'Name' }).fill('Imogen Vale');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Keep these measures on the card' }).click();
  const width = page.getByRole('textbox', { name: 'Left thumb, width' });
  const before = await width.inputValue();
  await width.fill('12.1');
  await width.press('Enter');
  await page.getByRole('button', { name: /Take the measures of/ }).click();
  await expect(width).toHaveValue(before);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(width).toHaveValue('12.1');
  await whom.selectOption('For nobody yet');
  await expect(page.getByRole('link', { name: 'The card' })).toHaveCount(0);
  await page.goto('/clients/nobody-of-that-id');
  await expect(page.getByText('There is no such card any more.')).toBeVisible();
});

test('a day and time stand with the set; what the client’s card rules out is told; the last set is made again', async ({
  page,
}) => {
  await page.goto('/set/matinee/hands');
  await page.getByRole('combobox', { name: 'For whom' }).selectOption('A new client …');
  await page.getByRole('dialog').getByRole('textbox', { name: 'Name' }).fill('Imogen Vale');
  await page.keyboard.press('Enter');
  await page.getByLabel('Day of the sitting').fill('2099-12-04');
  await page.getByLabel('Time of the sitting').fill('19:30');
  await page.getByRole('button', { name: 'Keep these measures on the card' }).click();
  await page.getByRole('link', { name: 'The card' }).click();
  await page.getByRole('textbox', { name: 'Not on these hands' }).fill('primers');
  const sets = page.getByRole('link', { name: /Matinée/ });
  await expect(sets).toContainText('Fri 4 Dec 2099, 19:30');
  await sets.click();
  await expect(page.getByTestId('plan-sum')).toContainText('1 not for these hands');
  await page.getByTestId('plan-sum').click();
  await expect(page.getByRole('dialog')).toContainText('the card of Imogen Vale says “primers”');
  await page.keyboard.press('Escape');
  await goTo(page, 'Card');
  await expect(page.getByRole('article')).toContainText('Fri 4 Dec 2099, 19:30');
  await expect(page.getByRole('article')).toContainText('is in this plan');
  await page
    .getByRole('checkbox', { name: /^Done:/ })
    .first()
    .check();
  await expect(page.getByText('Saved')).toBeVisible();

  // It comes first now, and says how far it is.
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText('Matinée');
  await expect(page.getByText('For Imogen Vale, Fri 4 Dec 2099, 19:30, begun.')).toBeVisible();

  await page.goto('/clients');
  await page.getByRole('button', { name: 'Matinée again, with changes' }).click();
  await expect(page.getByRole('textbox', { name: 'Title of this set' })).toHaveValue('Matinée 2');
  await goTo(page, 'Hands');
  await expect(page.getByLabel('Day of the sitting')).toHaveValue('');
  await expect(page.getByRole('combobox', { name: 'For whom' })).toHaveValue(/client/);
  await goTo(page, 'Card');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Not done yet' })).toBeVisible();
});

test('two cards of one client become one, and can be taken apart again', async ({ page }) => {
  await page.goto('/clients');
  const name = page.getByRole('textbox', { name: 'Name' });
  for (const [who, not] of [
    ['Robin Vale', 'HEMA'],
    ['R. Vale', 'formaldehyde'],
  ] as const) {
    await page.getByRole('button', { name: 'New client' }).click();
    await expect(name).toHaveValue('New client');
    await name.fill(who);
    await page.getByRole('textbox', { name: 'Not on these hands' }).fill(not);
    await expect(page.getByRole('link', { name: new RegExp(`^${who}`) })).toBeVisible();
  }
  await page.getByRole('link', { name: /^Robin Vale/ }).click();
  await page.getByRole('button', { name: 'More for Robin Vale' }).click();
  await page.getByRole('menuitem', { name: 'Merge another card into it' }).click();
  await expect(page.getByRole('dialog')).toContainText('R. Vale (no set)');
  await noViolations(page);
  await page.getByRole('button', { name: 'Merge them' }).click();
  await expect(page.getByRole('link', { name: /Vale/ })).toHaveCount(1);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Not on these hands' })).toHaveValue('HEMA, formaldehyde');
});
