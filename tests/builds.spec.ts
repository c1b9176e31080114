import { expect, test, type Page } from '@playwright/test';
import { drawnAnew, exported, noViolations, openDemo, pixels, planned } from './helpers';

const sum = (page: Page) => page.getByTestId('plan-sum');
const view = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Views of this set' }).getByRole('link', { name }).click();
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' });

test('the build is changed for two fingers, filled, filled in again, and undone to the first', async ({
  page,
}) => {
  await openDemo(page, 'Matinée', 'Hands');
  const before = (await exported(page)).text;
  const look = await pixels(page, 'left-middle');
  await page.getByTestId('nail-left-middle').click();
  await page.getByTestId('nail-right-middle').click({ modifiers: ['Shift'] });
  const build = page.getByRole('combobox', { name: 'Build' });
  await build.selectOption('Full-cover soft-gel tip');
  await drawnAnew(page, 'left-middle', look);
  await page
    .getByRole('combobox', { name: 'Colour and pieces' })
    .selectOption('Inside the tip, laid in reverse');
  await page.getByRole('checkbox', { name: 'Fill the hollow under the free edge' }).click();
  await expect(page.getByRole('combobox', { name: 'Filled with' })).toBeVisible();
  await noViolations(page);
  await view(page, 'Card');
  await expect(page.getByText(/inside the tip/).first()).toBeVisible();
  await expect(page.getByText(/fill the hollow under the free edge with/).first()).toBeVisible();
  await view(page, 'Hands');
  await build.selectOption('Sculpted on a form');
  await page.getByRole('checkbox', { name: /^Built-in French/ }).click();
  await expect(page.getByRole('combobox', { name: 'Bed', exact: true })).toBeVisible();
  await view(page, 'Card');
  await expect(page.getByText(/Build the bed in .*up to the smile line/).first()).toBeVisible();
  await view(page, 'Hands');
  for (let i = 0; i < 12 && (await undo(page).isEnabled()); i += 1) await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
});

test('a set that has grown out is filed back and filled; old product comes off by what it is', async ({
  page,
}) => {
  await openDemo(page, 'Fly Tower', 'Hands');
  await page.getByTestId('nail-left-index').click();
  const start = page.getByRole('combobox', { name: 'What is on it' });
  await start.selectOption('Grown out, to be filled');
  await page.getByRole('textbox', { name: 'Worn for, weeks' }).fill('4');
  await page.getByRole('checkbox', { name: 'The gap is measured' }).click();
  await page.getByRole('textbox', { name: 'Bare at the cuticle, mm' }).fill('3');
  await noViolations(page);
  await page.getByTestId('nail-left-little').click();
  await start.selectOption('Product to come off');
  await page.getByRole('combobox', { name: 'What comes off' }).selectOption('Acrylic');
  await expect(page.getByRole('textbox', { name: 'Soaks for, s' })).toHaveValue('1500');
  await page.getByRole('checkbox', { name: 'Stones or charms on it' }).click();
  await expect(sum(page)).toHaveAttribute('data-planning', 'fresh');
  await view(page, 'Card');
  await expect(page.getByText(/File back: the old colour off/).first()).toBeVisible();
  await expect(page.getByText(/Nip the stones and charms off/).first()).toBeVisible();
  await expect(page.getByText(/Open one wrap and look, half-way/).first()).toBeVisible();
});

test('tips that run short are told, asked for once, and found in another box', async ({ page }) => {
  await openDemo(page, 'Fly Tower');
  await expect(sum(page)).toContainText('Nothing stops it');
  await page.goto('/shelf');
  await page.getByRole('tab', { name: 'Tip boxes' }).click();
  await page.getByRole('button', { name: 'Tips', exact: true }).click();
  // Of what fits the ring fingers nothing is left, nor of any wider size.
  for (let size = 1; size <= 7; size += 1)
    await page.getByLabel(size === 1 ? 'Left' : `Left ${size}`, { exact: true }).fill('0');
  await noViolations(page);
  await page.goto('/set/fly-tower/hands');
  await planned(page);
  const ask = page.getByText('Your shelf has “Tips” otherwise than this set.');
  await expect(ask).toBeVisible();
  await page.getByRole('button', { name: 'See and choose' }).click();
  await expect(page.getByRole('list', { name: 'What differs' })).toContainText('sizes 0 19.8 20');
  await noViolations(page);
  await page.getByRole('button', { name: 'Take the shelf’s into this set' }).click();
  await expect(ask).toBeHidden();
  const tips = page.getByRole('row', { name: /^Tip/ }).getByRole('cell');
  await expect(tips.nth(1)).toContainText('none');
  await expect(sum(page)).toContainText('stop');
  // The finding itself offers the box of the shelf that has one.
  await sum(page).click();
  await page.getByRole('button', { name: 'Take “Tips, strong curve” to the table as well' }).first().click();
  await page.keyboard.press('Escape');
  await expect(sum(page)).toContainText('Nothing stops it');
  await view(page, 'How I work');
  await expect(page.getByRole('checkbox', { name: /^Tips, strong curve/ })).toBeChecked();
  await view(page, 'Hands');
  await expect(tips.nth(1)).not.toContainText('none');

  // Kept as the set has it, it is not asked again.
  await page.goto('/set/curtain-up/hands');
  await planned(page);
  await expect(ask).toBeVisible();
  await page.getByRole('button', { name: 'See and choose' }).click();
  await page.getByRole('button', { name: 'Keep this set’s' }).click();
  await expect(ask).toBeHidden();
  await page.reload();
  await planned(page);
  await page.waitForTimeout(4000);
  await expect(ask).toBeHidden();
});

test('many products are changed at once; lamps, pieces and tools stand beside them', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByText('As rows').click();
  await page.getByLabel('Search products').fill('top');
  await expect(page.getByRole('button', { name: 'No-wipe top A', exact: true })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Choose all that are listed' }).check();
  const all = page.getByRole('form', { name: 'Change all chosen products' });
  await all.getByRole('combobox', { name: 'What to set' }).selectOption('Cure, s');
  const value = all.getByRole('textbox', { name: 'For all of them' });
  await value.fill('4');
  await expect(all).toContainText('5');
  await expect(all.getByRole('button', { name: 'Set for all' })).toBeDisabled();
  await value.fill('90');
  await noViolations(page);
  await all.getByRole('button', { name: /^Set for 2 of/ }).click();
  await expect(page.getByRole('row', { name: /No-wipe top A/ })).toContainText('90 s');
  await all.getByRole('button', { name: 'Choose none' }).click();
  await expect(all).toBeHidden();

  await page.getByRole('tab', { name: 'Lamps' }).click();
  await page.getByRole('button', { name: 'One more lamp' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Window lamp');
  await page.getByRole('textbox', { name: 'Programmes, s' }).fill('20 40 soon');
  await page.getByRole('textbox', { name: 'Programmes, s' }).fill('20 40');
  await page.getByRole('combobox', { name: 'Light' }).selectOption('UV');
  await noViolations(page);
  await page.reload();
  await page.getByRole('tab', { name: 'Lamps' }).click();
  await expect(page.getByRole('row', { name: /Window lamp/ })).toContainText('UV · 20, 40 s');
  await page.getByRole('button', { name: 'Window lamp' }).click();
  await page.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(page.getByRole('row', { name: /Window lamp/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: 'Window lamp' })).toBeVisible();

  // A charm of the shelf is laid with its own measures.
  await openDemo(page, 'Fly Tower');
  await page.getByTestId('element-lines').click();
  const lines = await pixels(page, 'left-ring');
  await page.getByRole('combobox', { name: 'From the shelf' }).selectOption({ index: 1 });
  await drawnAnew(page, 'left-ring', lines);
});

test('one’s own ways begin the next set', async ({ page }) => {
  await openDemo(page, 'Matinée', 'How I work');
  await page.getByRole('radio', { name: /^Wiped/ }).click();
  await page.getByRole('button', { name: 'Begin new sets this way' }).click();
  await expect(page.getByRole('button', { name: 'Begin new sets this way' })).toBeHidden();
  await page.goto('/');
  await page.getByRole('button', { name: 'New set' }).click();
  await planned(page);
  await view(page, 'How I work');
  await expect(page.getByRole('radio', { name: /^Wiped/ })).toBeChecked();
  await page.getByRole('radio', { name: /^Left tacky/ }).click();
  await page.getByRole('button', { name: 'Take my own ways' }).click();
  await expect(page.getByRole('radio', { name: /^Wiped/ })).toBeChecked();
});
