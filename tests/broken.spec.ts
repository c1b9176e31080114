import { expect, test, type Page } from '@playwright/test';
import { consoleFaults, EACH, goTo, noViolations, openDemo, planned, titleOf } from './helpers';

declare global {
  interface Window {
    /** How workers fare: as they should, never loaded, never answering, breaking down at every question. */
    fate: 'well' | 'missing' | 'silent' | 'throwing';
    /** Every worker that was started. */
    hired: Worker[];
  }
}

/** Workers of a page whose fate a test decides. */
async function withFate(page: Page, fate: Window['fate']): Promise<void> {
  const script = (body: string) => ({ contentType: 'text/javascript', body });
  await page.route('/silent-worker.js', (route) => route.fulfill(script('')));
  await page.route('/throwing-worker.js', (route) =>
    route.fulfill(script('onmessage = () => { throw new Error("no such film"); };')),
  );
  await page.addInitScript((first) => {
    const Real = window.Worker;
    window.fate = first;
    window.hired = [];
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(window.fate === 'well' ? url : `/${window.fate}-worker.js`, options);
        window.hired.push(this);
      }
    };
  }, fate);
}

const setFate = (page: Page, fate: Window['fate']) => page.evaluate((next) => (window.fate = next), fate);
const failed = (page: Page) => page.getByRole('alert').filter({ hasText: 'could not be planned' });

test('a worker that does not load: every view says that there is no plan, and trying again brings it', async ({
  page,
}) => {
  await withFate(page, 'missing');
  await page.goto('/');
  await page.getByRole('heading', { name: 'Curtain Up' }).click();
  await expect(failed(page)).toContainText('Nothing is known of its steps, time or faults');
  await expect(page.getByRole('banner').getByText('not planned')).toBeVisible();
  await expect(page.getByText('Not every nail could be drawn')).toBeVisible();
  await goTo(page, 'Plate to top');
  await expect(page.getByText('Not known: the set was not planned.')).toBeVisible();
  await expect(page.getByText(/^Nothing\./)).toHaveCount(0);
  for (const view of ['Timing', 'Card']) {
    await goTo(page, view);
    await expect(page.getByText('There is no plan to show.')).toBeVisible();
  }
  await noViolations(page);

  const download = page.waitForEvent('download');
  await failed(page).getByRole('button', { name: 'Export the set' }).click();
  expect((await download).suggestedFilename()).toBe('Curtain Up.lacquer.json');

  await setFate(page, 'well');
  await failed(page).getByRole('button', { name: 'Try again' }).click();
  await planned(page);
  await expect(failed(page)).toHaveCount(0);
  await expect(page.getByRole('article')).toContainText('Sanitise');
});

test(
  'a planner that breaks down later: the old figures are greyed, the change is kept, and it recovers',
  EACH,
  async ({ page }) => {
    await withFate(page, 'well');
    await openDemo(page, 'Curtain Up', 'Card');
    await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-searched', '1');
    const print = page.getByRole('button', { name: 'Print' });
    await expect(print).toBeEnabled();

    await setFate(page, 'missing');
    await page.evaluate(() =>
      window.hired.forEach((one) => {
        one.terminate();
        one.dispatchEvent(new ErrorEvent('error', { message: 'it ran out of memory' }));
      }),
    );
    // Something that the plan is made of.
    await goTo(page, 'Design');
    await page.keyboard.press('1');
    await page.keyboard.press('e');
    await goTo(page, 'Card');
    await expect(failed(page)).toContainText('What is shown greyed is from before');
    await expect(page.getByTestId('plan-sum')).toContainText('before · not planned');
    // An old card is not to be worked from.
    await expect(print).toBeDisabled();
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

    await setFate(page, 'well');
    await goTo(page, 'Design');
    await page.keyboard.press('d');
    await goTo(page, 'Card');
    await expect(failed(page)).toHaveCount(0);
    await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-planning', 'fresh');
    await expect(print).toBeEnabled();
    await titleOf(page).fill('Curtain Up again');
    await expect(page.getByRole('heading', { name: 'Curtain Up again', level: 2 })).toBeVisible();
  },
);

test('a planner that throws at every question is told by what it says', async ({ page }) => {
  await withFate(page, 'throwing');
  await page.goto('/');
  await page.getByRole('heading', { name: 'Matinée' }).click();
  await expect(failed(page)).toContainText('no such film');
  await goTo(page, 'Plate to top');
  await expect(page.getByText(/^Nothing\./)).toHaveCount(0);
  await setFate(page, 'well');
  await failed(page).getByRole('button', { name: 'Try again' }).click();
  await planned(page);
});

test('a worker that gives no sign of life is given up within seconds, and another asked', async ({
  page,
}) => {
  await page.clock.install();
  await withFate(page, 'silent');
  await page.goto('/');
  await page.getByRole('heading', { name: 'Matinée' }).click();
  await expect(page.getByRole('banner').getByText('planning …')).toBeVisible();
  // The view comes first, and its pictures for a while.
  await page.clock.runFor(2_000);
  await page.clock.fastForward(5_100);
  await setFate(page, 'well');
  // The second that was asked gives none either; who is asked next does.
  await page.clock.fastForward(5_100);
  await expect(failed(page)).toContainText('its worker gave no sign of life');
  await failed(page).getByRole('button', { name: 'Try again' }).click();
  await page.clock.resume();
  await planned(page);
});

test('a worker that dies in silence is missed at once, and another does its work', async ({ page }) => {
  await withFate(page, 'well');
  await openDemo(page, 'Matinée');
  const before = page.workers();
  expect(before.length).toBeGreaterThan(0);
  // A worker that closes itself says nothing to anybody.
  for (const worker of before) await worker.evaluate(() => self.close()).catch(() => undefined);
  const left = () => page.workers().filter((one) => before.includes(one)).length;
  await expect.poll(left, { timeout: 5_000 }).toBe(0);
  await page.keyboard.press('1');
  await page.keyboard.press('b');
  const planning = page.getByRole('banner').getByText('planning …');
  // Asked of the dead one, it would stand there for half a minute.
  await expect(planning).toBeVisible();
  await expect(planning).toBeHidden({ timeout: 25_000 });
  await expect(failed(page)).toHaveCount(0);
});

test('parts of the page that cannot be loaded are told, and nothing else is touched', async ({ page }) => {
  await openDemo(page, 'Matinée');
  await page.waitForLoadState('networkidle');
  await page.route('**/_next/static/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'The list of keys' })).toContainText(
    'It could not be loaded',
  );
  await page.getByRole('button', { name: 'All right' }).click();
  const title = titleOf(page);
  await title.fill('Still here');
  await title.press('Enter');
  await page.unroute('**/_next/static/**');
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(title).toHaveValue('Still here');
});

test('broken records stand in the list with their fault; nothing else is touched', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  await page.evaluate(async () => {
    const database = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open('merry-lacquer');
      opening.onsuccess = () => resolve(opening.result);
    });
    const store = database.transaction('sets', 'readwrite').objectStore('sets');
    const whole = await new Promise<Record<string, unknown>>((resolve) => {
      const reading = store.get('matinee');
      reading.onsuccess = () => resolve(reading.result as Record<string, unknown>);
    });
    const document = whole.document as Record<string, unknown>;
    store.put({ ...whole, id: 'b1', title: 'No document', document: undefined });
    store.put({ ...whole, id: 'b2', title: 'From later', document: { ...document, version: 99 } });
    store.put({ ...whole, id: 'b3', title: 'No date', changed_at: undefined });
    store.put({ ...whole, id: 'b4', title: 7 });
    store.put({ ...whole, id: 'b5', title: 'Another format', document: { ...document, format: 'recipe' } });
    store.put({ ...whole, id: 'b6', title: 'A key too many', document: { ...document, glitter: 1 } });
    store.put({ ...whole, id: 'b7', title: 'No nails', document: { ...document, nails: [] } });
    store.put({ id: 8 });
    await new Promise((resolve) => (store.transaction.oncomplete = resolve));
    database.close();
  });
  await page.reload();
  for (const title of ['Curtain Up', 'Matinée', 'Understudy'])
    await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
  const broken = page.getByRole('region', { name: 'Sets that cannot be read' });
  await expect(broken.getByRole('listitem')).toHaveCount(8);
  await expect(broken.getByRole('listitem').filter({ hasText: 'From later' })).toContainText(
    'Version: is 99; this program reads up to',
  );
  await noViolations(page);
  const download = page.waitForEvent('download');
  await broken.getByRole('button', { name: 'Export as it is' }).first().click();
  expect((await download).suggestedFilename()).toMatch(/^[b\d]+\.broken\.json$/);
  const later = broken.getByRole('listitem').filter({ hasText: 'From later' });
  await later.getByRole('button', { name: 'Remove' }).click();
  await expect(broken.getByRole('listitem')).toHaveCount(7);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(broken.getByRole('listitem')).toHaveCount(8);
});

test('restoring the demo asks where one was edited, and keeps it as a copy', async ({ page }) => {
  await openDemo(page, 'Matinée');
  const title = titleOf(page);
  await title.fill('My matinée');
  await title.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.goto('/');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Restore the demo sets' }).click();
  const dialog = page.getByRole('dialog', { name: 'Restore the demo sets' });
  await expect(dialog).toContainText('Edited since: “My matinée”');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'My matinée', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Restore the demo sets' }).click();
  await dialog.getByRole('button', { name: /^Restore, and keep mine/ }).click();
  for (const name of ['Matinée', 'My matinée (edited)', 'Curtain Up'])
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
});

test('a view that cannot be loaded is told in its place; the others go on, and nothing is lost', async ({
  page,
}) => {
  const lost: RegExp[] = [];
  await page.route('**/_next/static/chunks/**', (route) =>
    lost.some((one) => one.test(route.request().url())) ? route.abort() : route.continue(),
  );
  await openDemo(page, 'Matinée');
  lost.push(/./);
  // Before the other views are brought.
  await goTo(page, 'Timing');
  const told = page.getByRole('alert').filter({ hasText: 'This view could not be loaded' });
  await expect(told.or(page.getByTestId('total'))).toBeVisible();
  if (await told.isVisible()) {
    await titleOf(page).fill('Still here');
    await goTo(page, 'Design');
    await expect(page.getByTestId('nail-left-ring')).toBeVisible();
    await goTo(page, 'Timing');
    lost.length = 0;
    // Part of it may have come before the way was cut, and the rest by now.
    await expect(told.or(page.getByTestId('total'))).toBeVisible();
    if (await told.isVisible()) await told.getByRole('button', { name: 'Try again' }).click();
  }
  await expect(page.getByTestId('total')).toBeVisible();
});

test('an address that leads nowhere says so, with a way on', async ({ page }) => {
  for (const path of ['/sets', '/set/curtain-up/cards', '/set/a/b/c']) {
    expect((await page.goto(path))!.status()).toBe(404);
    await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  }
  await noViolations(page);
  await page.getByRole('link', { name: 'To the sets' }).click();
  await expect(page.getByRole('heading', { name: 'Curtain Up' })).toBeVisible();
  await page.goto('/set/nowhere/layers');
  await expect(page.getByRole('heading', { name: 'This set cannot be opened' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the sets' }).click();
  await expect(page).toHaveTitle('Sets · Merry Lacquer');
});

test('no view has a word for the console, loaded anew and gone to, light and dark', async ({ page }) => {
  const faults = consoleFaults(page);
  // Nor does any of it try what the page's policy forbids.
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', ({ effectiveDirective, sourceFile, lineNumber }) =>
      console.error(`against the policy: ${effectiveDirective}, ${sourceFile}:${lineNumber}`),
    );
  });
  await openDemo(page, 'Curtain Up');
  for (const scheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    for (const view of ['Plate to top', 'Timing', 'Card', 'Design']) {
      await goTo(page, view);
      if (scheme === 'dark') continue;
      await page.reload();
      await planned(page);
    }
    for (const button of [page.getByRole('button', { name: 'Keys' }), page.getByTestId('plan-sum')]) {
      await button.click();
      await expect(page.getByRole('dialog')).toBeVisible();
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toBeHidden();
    }
  }
  await page.goto('/');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Bin' }).click();
  await expect(page.getByRole('dialog', { name: 'Bin' })).toBeVisible();
  expect(faults).toEqual([]);
});
