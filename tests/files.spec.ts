import { expect, test, type Page } from '@playwright/test';
import { curtainUp } from '../src/core/demo/curtainUp';
import { writeSetText } from '../src/core/document/parse';
import { openDemo, planned } from './helpers';

const good = () =>
  JSON.parse(writeSetText(curtainUp())) as Record<string, unknown> & {
    nails: Record<string, { plate: { width_mm: number }; look: string }>;
  };
async function open(page: Page, text: string) {
  await page
    .getByLabel('Set file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
}
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const opening = indexedDB.open('merry-lacquer');
        opening.onsuccess = () => {
          const all = opening.result.transaction('sets').objectStore('sets').getAll();
          all.onsuccess = () => {
            opening.result.close();
            done(JSON.stringify(all.result));
          };
        };
      }),
  );

test('bad files are refused with path and sentence, and the store stays as it was', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  const before = await stored(page);
  const narrow = good();
  narrow.nails['left-ring']!.plate.width_mm = 0;
  const ghost = good();
  ghost.nails['right-thumb']!.look = 'ghost';
  const cases: [string, RegExp][] = [
    ['{ no', /this is not JSON/],
    [JSON.stringify({ ...good(), version: 7 }), /version: is 7/],
    [JSON.stringify({ ...good(), glitter: true }), /glitter: is not a key/],
    [JSON.stringify(narrow), /nails\.left-ring\.plate\.width_mm: must be at least 4 mm/],
    [JSON.stringify(ghost), /nails\.right-thumb\.look: no look "ghost"/],
    [' '.repeat(49 * 1024 * 1024), /49\.0 MB/],
  ];
  for (const [text, message] of cases) {
    await open(page, text);
    await expect(page.locator('section[role="alert"]')).toContainText(message);
    await page.getByRole('button', { name: 'All right' }).click();
  }
  expect(await stored(page)).toBe(before);
});

test('the plan route refuses with path, and plans what is good', async ({ request }) => {
  const bad = await request.post('/api/plan', {
    data: JSON.stringify({ ...good(), version: 9 }),
    headers: { 'content-type': 'text/plain' },
  });
  expect(bad.status()).toBe(422);
  expect(await bad.json()).toMatchObject({ faults: [{ path: 'version' }] });
  const large = await request.post('/api/plan', {
    data: ' '.repeat(9 * 1024 * 1024),
    headers: { 'content-type': 'text/plain' },
  });
  expect(large.status()).toBe(413);
  const fine = await request.post('/api/plan', {
    data: JSON.stringify(good()),
    headers: { 'content-type': 'text/plain' },
  });
  const plan = (await fine.json()) as { sitting: { total_s: number } };
  expect(plan.sitting.total_s).toBeGreaterThan(1800);
});

test('two tabs on one set: the other follows, and a clash waits for a choice', async ({ page, context }) => {
  await openDemo(page, 'Curtain Up');
  const other = await context.newPage();
  await other.goto('/set/curtain-up/design');
  await planned(other);
  await page.bringToFront();
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await expect(page.getByText('Saved')).toBeVisible();
  await expect(other.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /House velvet/);

  // Both change at the same moment.
  await Promise.all([
    page
      .getByTestId('nail-left-index')
      .click()
      .then(() => page.keyboard.press('b')),
    other
      .getByTestId('nail-left-little')
      .click()
      .then(() => other.keyboard.press('e')),
  ]);
  // Whoever came second is asked; nothing is lost either way.
  const asked = async () => {
    for (const tab of [page, other]) if (await tab.getByRole('dialog').isVisible()) return tab;
    return undefined;
  };
  const settled = async () => {
    const labels = await Promise.all(
      [page, other].map(async (tab) => [
        await tab.getByTestId('nail-left-index').getAttribute('aria-label'),
        await tab.getByTestId('nail-left-little').getAttribute('aria-label'),
      ]),
    );
    return labels.every(([index, little]) => /Footlights/.test(index!) && /Chandelier/.test(little!));
  };
  await expect.poll(async () => (await asked()) !== undefined || (await settled())).toBe(true);
  const tab = await asked();
  if (tab) {
    await tab.getByRole('button', { name: 'Keep both: mine as a copy' }).click();
    await expect(tab).toHaveURL(/curtain-up-2/);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Curtain Up', exact: true })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Curtain Up (my copy)' })).toBeVisible();
  }
});

test('sets are copied, removed, put back and restored', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Matinée' }).click();
  await page.getByRole('menuitem', { name: 'Make a copy' }).click();
  await expect(page.getByRole('heading', { name: 'Matinée (copy)' })).toBeVisible();
  await page.getByRole('button', { name: 'More for Understudy' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
  await page.getByLabel('Search sets').fill('afternoon');
  await expect(page.getByText('No set says “afternoon”.')).toBeVisible();
  await page.getByLabel('Search sets').fill('');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Restore the demo sets' }).click();
  await expect(page.getByRole('heading', { name: 'Matinée (copy)' })).toBeVisible();
});
