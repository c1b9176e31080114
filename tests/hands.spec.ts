import { expect, test, type Page } from '@playwright/test';
import { noViolations, openDemo, planned } from './helpers';

const field = (page: Page, nail: string, measure: 'width' | 'bed' | 'arch') =>
  page.getByRole('textbox', { name: new RegExp(`^${nail}, ${measure}$`, 'i') });
const told = (page: Page) => page.locator('#measure-told');

const FINGERS = ['little', 'ring', 'middle', 'index', 'thumb'];
const WIDTHS = [9.4, 11.6, 12.2, 11.7, 15.1];
const BEDS = [10.2, 12.8, 13.4, 12.3, 14];
const ARCHES = [2.1, 2.6, 2.7, 2.6, 3.3];

test('ten nails are measured by keyboard in one flow', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Hands');
  const order = [...FINGERS.map((_, i) => i), ...FINGERS.map((_, i) => 4 - i)];
  let presses = 1;
  await field(page, 'left little finger', 'width').focus();
  for (const i of order)
    for (const value of [WIDTHS[i]!, BEDS[i]!, ARCHES[i]!]) {
      await page.keyboard.type(String(value));
      await page.keyboard.press('Enter');
      presses += 1;
    }
  expect(presses).toBeLessThanOrEqual(40);
  for (const hand of ['left', 'right'])
    for (const [i, finger] of FINGERS.entries()) {
      const nail = `${hand} ${finger}${finger === 'thumb' ? '' : ' finger'}`;
      await expect(field(page, nail, 'width')).toHaveValue(String(WIDTHS[i]));
      await expect(field(page, nail, 'bed')).toHaveValue(String(BEDS[i]));
      await expect(field(page, nail, 'arch')).toHaveValue(String(ARCHES[i]));
    }
  // The last Enter gives the field up: a number key chooses a nail again.
  await page.keyboard.press('4');
  await expect(page.getByTestId('nail-left-index')).toHaveAttribute('aria-pressed', 'true');
  await expect(field(page, 'right little finger', 'arch')).toHaveValue('2.1');
  for (let i = 0; i < 30; i += 1) await page.keyboard.press('Control+z');
  await expect(field(page, 'left thumb', 'width')).toHaveValue('14.6');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('what cannot be a nail is told at its field and not taken', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Hands');
  const width = field(page, 'left ring finger', 'width');
  for (const [typed, words] of [
    ['114', 'Left ring finger, width: 114 mm is no width of a nail: did you mean 11.4?'],
    ['-3', 'a number, such as 11.5'],
    ['0', '0 mm is no width of a nail'],
  ] as const) {
    await width.fill(typed);
    await width.press('Enter');
    await expect(told(page)).toContainText(words);
    await expect(width).toHaveAttribute('aria-invalid', 'true');
    await expect(width).toBeFocused();
  }
  await noViolations(page);
  await width.press('Escape');
  await expect(width).toHaveValue('11.2');
  await field(page, 'left ring finger', 'arch').fill('6.5');
  await page.keyboard.press('Enter');
  await expect(told(page)).toContainText('6.5 mm is unusual');
});

test('the caliper fills the field at hand, in the unit that is shown, and all chosen nails where that is wanted', async ({
  page,
}) => {
  await openDemo(page, 'Matinée', 'Hands');
  await page.getByRole('button', { name: 'Caliper' }).click();
  await page.getByTestId('nail-left-ring').click();
  await page.getByTestId('nail-right-ring').click({ modifiers: ['Shift'] });
  await field(page, 'left ring finger', 'width').focus();
  await page.getByRole('button', { name: 'Send' }).click();
  await expect(field(page, 'left ring finger', 'width')).toHaveValue('11.5');
  await expect(field(page, 'right ring finger', 'width')).toHaveValue('11.2');
  await page.getByRole('button', { name: 'Give it to both ring fingers' }).click();
  await expect(field(page, 'right ring finger', 'width')).toHaveValue('11.5');
  await page.getByText('1/32 inch').click();
  await expect(field(page, 'left ring finger', 'width')).toHaveValue('14.5');
  await noViolations(page);
});

test('sizes in one breath, a hand copied, tips fitted and a nail that is left alone', async ({ page }) => {
  await openDemo(page, 'Curtain Up', 'Hands');
  const more = page.getByRole('button', { name: 'More for the hands' });
  await more.click();
  await page.getByRole('menuitem', { name: 'Say tip sizes in one breath' }).click();
  const said = page.getByRole('textbox', { name: /^Thumb to little finger/ });
  await said.fill('1 5 4 5');
  await said.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('five sizes, thumb to little finger');
  await said.fill('1 5 4 5 8');
  await said.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  const tips = page.getByRole('row', { name: /^Tip/ }).getByRole('cell');
  await expect(tips.nth(4)).toContainText('1');
  await field(page, 'left thumb', 'width').fill('16.2');
  await page.keyboard.press('Enter');
  await more.click();
  await page.getByRole('menuitem', { name: 'Copy the left hand’s measures to the right' }).click();
  await expect(field(page, 'right thumb', 'width')).toHaveValue('16.2');
  // Wider than any tip: told there, and found.
  await field(page, 'left thumb', 'width').fill('19');
  await page.keyboard.press('Enter');
  await expect(tips.nth(4)).toContainText('none');
  await expect(page.getByTestId('plan-sum')).toContainText('1 stop');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('plan-sum')).toContainText('Nothing stops it');

  await page.getByTestId('nail-left-little').click();
  await page.getByRole('checkbox', { name: /^Leave alone/ }).click();
  await expect(page.getByText('the wearer sees a clinician first')).toBeVisible();
  await expect(page.getByTestId('plan-sum')).toContainText('1 stop');
  await page.getByRole('checkbox', { name: 'Work on this nail' }).click();
  await expect(page.getByTestId('plan-sum')).toContainText('Nothing stops it');
  await page.getByRole('button', { name: 'Deep' }).click();
  await page.getByText('As I sit').click();
  await page.reload();
  await planned(page);
  await expect(page.getByTestId('nail-left-little')).toHaveAttribute('aria-label', /left out/);
  await expect(page.getByRole('button', { name: 'Deep' })).toHaveAttribute('aria-pressed', 'true');
});

test('how I work has a place of its own, and the plan follows', async ({ page }) => {
  await openDemo(page, 'Matinée', 'How I work');
  await noViolations(page);
  const sum = page.getByTestId('plan-sum');
  const before = (await sum.textContent())!;
  await page.getByRole('radio', { name: /^New to this/ }).click();
  await expect(sum).not.toHaveText(before);
  await expect(sum).toHaveAttribute('data-planning', 'fresh');
  await expect(sum).not.toContainText(before.split('·')[0]!);
  // By keyboard alone: the arrows go through the ways of one choice.
  await page.getByRole('radio', { name: /^Left tacky/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: /^Wiped/ })).toBeChecked();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { name: /^Usual/ })).toBeChecked();
});

test('length and shape of chosen nails are their own', async ({ page }) => {
  await openDemo(page, 'Curtain Up', 'Hands');
  await page.getByTestId('nail-left-middle').click();
  await page.getByTestId('nail-right-middle').click({ modifiers: ['Shift'] });
  await page.getByLabel('Shape').selectOption('Stiletto');
  await page.getByLabel('Past the free edge').fill('12');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('img', { name: /25\.0 long$/ })).toBeVisible();
  await page.getByTestId('nail-left-ring').click();
  await expect(page.getByRole('img', { name: /20\.4 long$/ })).toBeVisible();
  await page.getByTestId('nail-right-middle').click();
  await expect(page.getByLabel('Shape')).toHaveValue('stiletto');
  await page.getByRole('button', { name: 'More for the hands' }).click();
  await page.getByRole('menuitem', { name: 'Make all ten nails equally long' }).click();
  await expect(page.getByLabel('Past the free edge')).toHaveValue('8.8');
});
