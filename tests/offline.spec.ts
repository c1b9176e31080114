import { expect, test, type Page } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';
import { consoleFaults, noViolations, openDemo, planned, titleOf } from './helpers';

test.use({ serviceWorkers: 'allow' });

const VIEWS = ['Design', 'Plate to top', 'Timing', 'Card', 'Bench'];
const goTo = (page: Page, view: string) =>
  page.getByRole('navigation', { name: 'Views of this set' }).getByRole('link', { name: view }).click();

/** Waits until the browser keeps the whole program. */
async function keptOffline(page: Page): Promise<void> {
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state ?? 'none'))
    .toBe('activated');
}

test('every view opens offline after the first visit, works, and is gone to', async ({ page, context }) => {
  await openDemo(page, 'Curtain Up');
  await keptOffline(page);
  await context.setOffline(true);
  const faults = consoleFaults(page);
  for (const view of VIEWS) {
    await goTo(page, view);
    await page.reload();
    await expect(page).toHaveTitle(new RegExp(`^${view} ·`));
    await planned(page);
  }
  await goTo(page, 'Design');
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await expect(page.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /House velvet/);
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await goTo(page, 'Sets');
  await page.reload();
  // Emulated, the loss of the network is told to a page that is there, and not always to one that comes after.
  await context.setOffline(false);
  await context.setOffline(true);
  await expect(page.getByText('Offline: everything goes on as it does.')).toBeVisible();
  for (const view of ['Clients', 'Shelf']) {
    await page.getByRole('link', { name: view }).click();
    await page.reload();
    await expect(page.getByRole('heading', { name: view })).toBeVisible();
    await page.getByRole('link', { name: 'Back to the sets' }).click();
  }
  await page.getByRole('button', { name: 'New set' }).click();
  await planned(page);
  await page.reload();
  await expect(titleOf(page)).toHaveValue(/^Set of /);
  // A set that was never opened before.
  await page.goto('/set/understudy/timing');
  await expect(page.getByTestId('total')).toBeVisible();
  await noViolations(page);
  expect(faults).toEqual([]);
  await context.setOffline(false);
});

test('two tabs, one of them offline: what is done in one is seen in the other, nothing is lost', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Matinée');
  await keptOffline(page);
  const other = await context.newPage();
  await other.goto('/set/matinee/design');
  await planned(other);
  const network = await context.newCDPSession(other);
  await network.send('Network.enable');
  const conditions = { latency: 0, downloadThroughput: -1, uploadThroughput: -1 };
  await network.send('Network.emulateNetworkConditions', { ...conditions, offline: true });
  for (let round = 1; round <= 10; round += 1) {
    const [from, to] = round % 2 ? [page, other] : [other, page];
    await from.bringToFront();
    await titleOf(from).fill(`Round ${round}`);
    await titleOf(from).press('Enter');
    await expect(titleOf(to)).toHaveValue(`Round ${round}`);
  }
  await other.reload();
  await expect(titleOf(other)).toHaveValue('Round 10');
});

test('a new version waits until it is taken up, never in the middle of work', async ({ page, context }) => {
  await openDemo(page, 'Matinée');
  await keptOffline(page);
  const other = await context.newPage();
  await other.goto('/set/understudy/design');
  await planned(other);
  await keptOffline(other);
  const file = 'public/service-worker.js';
  const before = readFileSync(file, 'utf8');
  try {
    writeFileSync(file, `${before}\n// a later one\n`);
    await page.bringToFront();
    await titleOf(page).fill('In the middle');
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
    const ready = page.getByRole('status').filter({ hasText: 'A new version of Merry Lacquer is ready' });
    await expect(ready).toBeVisible();
    await noViolations(page);
    // Work goes on with the old one, parts that were not used yet included.
    await titleOf(page).press('End');
    await titleOf(page).pressSequentially(' of work');
    await page.getByRole('button', { name: 'Keys' }).click();
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    await goTo(page, 'Card');
    await ready.getByRole('button', { name: 'Take it up' }).click();
    await expect(ready).toBeHidden();
    await expect(page).toHaveTitle(/^Card ·/);
    await expect(titleOf(page)).toHaveValue('In the middle of work');
    // The other tab is left alone, and told.
    const told = other.getByRole('status').filter({ hasText: 'A new version was taken up in another tab' });
    await expect(told).toBeVisible();
    for (const view of VIEWS) await goTo(other, view);
    await goTo(other, 'Timing');
    await expect(other.getByTestId('total')).toBeVisible();
    await told.getByRole('button', { name: 'Open the page anew' }).click();
    await expect(told).toBeHidden();
    await planned(other);
  } finally {
    writeFileSync(file, before);
  }
});
