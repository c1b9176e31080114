import { expect, test, type Page } from '@playwright/test';
import { openDemo } from './helpers';

/** Phone, a screen of 1280 at 200 %, tablet both ways, and desks. */
const WIDTHS = [390, 640, 768, 1024, 1280, 1920];
const VIEWS = ['hands', 'practice', 'design', 'layers', 'timing', 'card'];

/** What can be pressed or read and stands past the edge of the screen, where nothing scrolls to it. */
const outside = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const wide = document.documentElement.scrollWidth - window.innerWidth;
    if (wide > 1) found.push(`the page scrolls ${wide} px sideways`);
    const scrolls = (one: Element | null): boolean =>
      one !== null && (/auto|scroll/.test(getComputedStyle(one).overflowX) || scrolls(one.parentElement));
    for (const one of document.querySelectorAll('button, a, input, select, textarea, h1, h2, h3, label, p')) {
      const box = one.getBoundingClientRect();
      const seen = box.width > 2 && box.height > 2 && getComputedStyle(one).visibility !== 'hidden';
      if (!seen || (box.right <= window.innerWidth + 1 && box.left >= -1) || scrolls(one.parentElement))
        continue;
      const words = one.getAttribute('aria-label') ?? one.textContent?.trim() ?? '';
      found.push(`${one.tagName.toLowerCase()} “${words.slice(0, 40)}” from ${box.left} to ${box.right}`);
    }
    return found;
  });

/** Words on buttons that are cut by their own button. */
const cut = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button .mantine-Button-label')]
      .filter((one) => one.clientWidth > 0 && one.scrollWidth > one.clientWidth + 1)
      .map((one) => one.textContent ?? ''),
  );

async function walk(page: Page, where: string): Promise<string[]> {
  const found: string[] = [];
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: width === 640 ? 400 : 800 });
    await page.waitForTimeout(150);
    for (const one of [...(await outside(page)), ...(await cut(page)).map((words) => `cut: ${words}`)])
      found.push(`${where} at ${width}: ${one}`);
  }
  return found;
}

test('every view of a set fits every width: nothing out of reach, nothing cut', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const found: string[] = [];
  for (const view of VIEWS) {
    await page.goto(`/set/curtain-up/${view}`);
    await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-planning', 'fresh');
    found.push(...(await walk(page, view)));
  }
  expect(found).toEqual([]);
});

test('sets, a client’s card and the shelf fit every width', async ({ page }) => {
  const found: string[] = [];
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Curtain Up' })).toBeVisible();
  found.push(...(await walk(page, 'sets')));
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).click();
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeVisible();
  found.push(...(await walk(page, 'clients')));
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForTimeout(1000);
  found.push(...(await walk(page, 'shelf')));
  expect(found).toEqual([]);
});
