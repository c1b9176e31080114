import { expect, test } from '@playwright/test';
import { EACH, goTo, noViolations, openDemo, planned } from './helpers';

const now = '[data-testid="bench-now"]';

/** Pressed until something stands there; what has to be waited for is waited for. */
async function pressUntil(page: import('@playwright/test').Page, words: RegExp): Promise<void> {
  for (let i = 0; i < 160; i += 1) {
    if (words.test((await page.locator(now).textContent()) ?? '')) return;
    await page.keyboard.press('Space');
    await page.waitForTimeout(450);
  }
  throw new Error(`never came to ${String(words)}`);
}

test(
  'a sitting is begun, gone on with by the space bar, taken back, and stands there after a reload',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Matinée', 'Card');
    await planned(page);
    await goTo(page, 'Bench');
    await expect(page.locator(now)).toHaveText(/Sanitise/);
    await noViolations(page);
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByTestId('bench-clock')).toContainText('0 of');
    await page.waitForTimeout(500);
    await page.keyboard.press('Space');
    await expect(page.locator(now)).toHaveText(/Push back and clear/);
    // Two presses at once are one.
    await page.waitForTimeout(500);
    await page.keyboard.press('Space');
    await page.keyboard.press('Space');
    await expect(page.getByText('Pressed twice')).toBeVisible();
    await expect(page.getByTestId('bench-clock')).toContainText('2 of');
    await page.getByRole('button', { name: 'Back' }).click();
    await expect(page.getByTestId('bench-clock')).toContainText('1 of');
    await page.reload();
    await expect(page.getByTestId('bench-clock')).toContainText('1 of');
    await expect(page.locator(now)).toHaveText(/Push back and clear/);
    await noViolations(page);
  },
);

test('a lamp whose door opens is told with what it gave, and the light is given again; it runs on over a reload', async ({
  page,
}) => {
  test.slow();
  await openDemo(page, 'Matinée', 'Card');
  await planned(page);
  await goTo(page, 'Bench');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(500);
  await pressUntil(page, /Into the lamp/);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('timer-light')).toHaveText(/0:5\d|1:00/);
  await page.getByRole('button', { name: 'Devices' }).click();
  await page.getByRole('button', { name: 'Let it talk nonsense' }).click();
  await expect(page.getByText('goes by its own clock')).toBeVisible();
  await page.getByRole('button', { name: 'Open its door' }).click();
  const short = page.getByRole('alert').filter({ hasText: 'Still soft' });
  await expect(short).toContainText(/had \d+ s of 60 s/);
  await short.getByRole('button', { name: 'Again now' }).click();
  await expect(short).toBeHidden();
  await expect(page.getByTestId('timer-light')).toBeVisible();
  const left = async () => {
    const [m, s] = (await page.getByTestId('timer-light').textContent())!.split(':').map(Number);
    return m! * 60 + s!;
  };
  const [before, at] = [await left(), Date.now()];
  await page.reload();
  await expect(page.getByTestId('timer-light')).toBeVisible();
  expect(Math.abs(before - (Date.now() - at) / 1000 - (await left()))).toBeLessThanOrEqual(1.5);
});

test('what is left out on one nail, and a nail that broke, are planned from here and shown before they are taken', async ({
  page,
}) => {
  await openDemo(page, 'Matinée', 'Card');
  await planned(page);
  await goTo(page, 'Bench');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(500);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'What happens instead' }).click();
  await page.getByRole('menuitem', { name: /On one nail/ }).click();
  await page.getByRole('button', { name: 'It broke: go on without it' }).click();
  const rest = page.getByRole('status', { name: 'The rest, planned from here' });
  await expect(rest.getByRole('button', { name: 'Go on so' })).toBeEnabled({ timeout: 30_000 });
  await expect(rest).toContainText('of the sitting');
  // A press meanwhile skips nothing.
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('First say whether the new plan is taken.')).toBeVisible();
  await rest.getByRole('button', { name: 'Leave it as it was' }).click();
  await expect(rest).toBeHidden();
  await page.getByRole('button', { name: 'What happens instead' }).click();
  await page.getByRole('menuitem', { name: /On one nail/ }).click();
  await page.getByRole('button', { name: 'Leave this out there' }).click();
  await rest.getByRole('button', { name: 'Go on so' }).click({ timeout: 30_000 });
  await expect(rest).toBeHidden();
  await expect(page.getByTestId('bench-clock')).toContainText('1 of');
});

test('a practice run is twenty times as quick, and nothing of it is kept', async ({ page }) => {
  await openDemo(page, 'Matinée', 'Card');
  await planned(page);
  await goTo(page, 'Bench');
  await page.getByRole('button', { name: 'Practice run' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(3000);
  const shown = (await page.getByTestId('bench-clock').textContent())!;
  const [, m, s] = /(\d+):(\d\d)/.exec(shown)!;
  expect(Number(m) * 60 + Number(s)).toBeGreaterThan(30);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'End the practice' }).click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
});
