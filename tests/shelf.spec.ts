import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { drawnAnew, EACH, noViolations, openDemo, pixels, titleOf } from './helpers';

test('a colour from the shelf, and one of the artist’s own, on a nail', EACH, async ({ page }) => {
  await openDemo(page, 'Matinée');
  await page.keyboard.press('2');
  const before = await pixels(page, 'left-ring');
  await page.getByTestId('element-sage').click();
  const product = page.getByRole('combobox', { name: 'Colour', exact: true });
  await product.selectOption('Red 21');
  const red = await drawnAnew(page, 'left-ring', before);
  await expect(page.getByTestId('element-sage')).toContainText('Red 21');

  // A colour of one's own: open, colour, name, use.
  await page.getByRole('button', { name: 'A new colour like Red 21' }).click();
  await page.getByRole('textbox', { name: 'Colour' }).fill('#00aa88');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('House green');
  await page.getByRole('button', { name: 'Put it on the shelf and use it' }).click();
  await drawnAnew(page, 'left-ring', red);
  await expect(page.getByTestId('element-sage')).toContainText('House green');
  await noViolations(page);

  // One step each.
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.click();
  await expect(page.getByTestId('element-sage')).toContainText('Red 21');
  await undo.click();
  await expect(page.getByTestId('element-sage')).toContainText('Sage 03');
  await expect(undo).toBeDisabled();

  await page.goto('/shelf');
  await page.getByLabel('Search products').fill('house');
  await expect(page.getByRole('button', { name: 'House green', exact: true })).toBeVisible();
});

test('the shelf is searched, sorted, changed, emptied by one and put back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page).toHaveTitle('Shelf · Merry Lacquer');
  await page.getByLabel('Search products').fill('red 21');
  const rows = page.getByRole('button', { name: /^Red 21/ });
  await expect(rows).toHaveCount(1);
  await noViolations(page);
  // Duplicate and recolour: two actions.
  await rows.click();
  await page.getByRole('button', { name: 'Duplicate Red 21' }).click();
  const colour = page.getByRole('textbox', { name: 'Colour' });
  await colour.fill('#aa1133');
  await colour.press('Tab');
  await expect(rows).toHaveCount(2);
  await page.getByRole('textbox', { name: 'Left' }).fill('3');
  await page.getByRole('textbox', { name: 'Left' }).press('Tab');
  await noViolations(page);
  await page.reload();
  await page.getByLabel('Search products').fill('red 21 2');
  await page.getByRole('button', { name: 'Red 21 2', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Colour' })).toHaveValue('#aa1133');
  await expect(page.getByRole('textbox', { name: 'Left' })).toHaveValue('3');
  await page.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(page.getByText('Nothing on the shelf says that.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: 'Red 21 2', exact: true })).toBeVisible();
});

test('bottles stand by family and colour; as rows they are sorted and chosen, and so it stays', async ({
  page,
}) => {
  await page.goto('/shelf');
  const colours = page.getByRole('region', { name: 'Gel colour', exact: true }).getByRole('listitem');
  await expect(colours.first()).toBeVisible();
  const names = await colours.allInnerTexts();
  const at = (name: string) => names.findIndex((one) => one.trim() === name);
  // Light reds before dark ones, then orange, yellow and green.
  expect(at('Red 21')).toBeGreaterThan(-1);
  expect(at('Red 21')).toBeLessThan(at('Sage 03'));
  await page.getByRole('button', { name: 'Red 21', exact: true }).press('Enter');
  await expect(page.getByRole('complementary', { name: 'Red 21, in the hand' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary')).toHaveCount(0);
  await page.getByText('As rows').click();
  await page.getByRole('button', { name: 'Name' }).click();
  await expect(page.getByRole('row').nth(1)).toContainText(/^A/i);
  await page.reload();
  await expect(page.getByRole('row').nth(1)).toBeVisible();
});

test('the shelf goes out as CSV, is changed there, and comes back after a look', async ({ page }) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: 'Base A', exact: true })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n')[0]).toMatch(/^id,name,family,colour/);

  const open = (content: string) =>
    page
      .getByLabel('CSV file')
      .setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(content) });
  await open(text.replace('#c21e2b', '#ff0011').replace('Base A', '=Base A'));
  const dialog = page.getByRole('dialog', { name: 'Take in a list' });
  await expect(dialog).toContainText('0 new, 2 changed');
  await expect(dialog).toContainText('colour #c21e2b → #ff0011');
  await noViolations(page);
  await dialog.getByRole('button', { name: 'Take in 2 products' }).click();
  await expect(page.getByRole('button', { name: '=Base A', exact: true })).toBeVisible();

  await open('id;name;family;coat_um\r\nx;X;gel-colour;thick\r\n');
  await expect(page.locator('section[role="alert"]')).toContainText('Line 2, coat: "thick" is no number');
  await page.getByRole('button', { name: 'All right' }).click();
  await expect(page.getByRole('button', { name: 'X', exact: true })).toHaveCount(0);
});

test('a shelf of two thousand products is searched without a pause', async ({ page }) => {
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: 'Base A', exact: true })).toBeVisible();
  const rows = Array.from(
    { length: 2000 },
    (_, i) => `p${i},Colour number ${i},gel-colour,#aa11${String(i % 90).padStart(2, '0')}`,
  );
  await page.getByLabel('CSV file').setInputFiles({
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`id,name,family,colour\n${rows.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Take in 2000 products' }).click();
  await page.evaluate(() => {
    const longest = { ms: 0 };
    Object.assign(window, { longest });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) longest.ms = Math.max(longest.ms, entry.duration);
    }).observe({ type: 'longtask' });
  });
  await page.getByLabel('Search products').pressSequentially('number 1234', { delay: 60 });
  await expect(page.getByRole('button', { name: 'Colour number 1234', exact: true })).toBeVisible();
  const longest = await page.evaluate(() => (window as unknown as { longest: { ms: number } }).longest.ms);
  console.log(`2,000 products searched: longest pause ${Math.round(longest)} ms`);
  await page.goto('/');
  await page.getByRole('button', { name: 'New set' }).click();
  await expect(titleOf(page)).toHaveValue(/^Set of /);
});
