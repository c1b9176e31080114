import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { DEMO_SETS } from '../src/core/demo';

const DEMO = new Map(DEMO_SETS.map(({ id, make }) => [make().title, id]));

/** Marks what `npm test` runs of the browser tests: the main journey of each view. The rest is of `npm run test:whole`. */
export const EACH = { tag: '@each' };

/** Goes to a view of a demo set in a fresh browser and waits until it is planned and drawn. */
export async function openDemo(page: Page, title: string, view = 'Design'): Promise<void> {
  await page.goto(`/set/${DEMO.get(title)}/${addressOf(view)}`);
  await planned(page);
}

/** For tests of what a long search finds: without it they see the first plan only. */
export const SEARCH_AT_LENGTH = { storageState: { cookies: [], origins: [] } };

/** For tests of ways out: they are tried, and the sitting is searched for shortly. */
export const WAYS_OUT = {
  storageState: {
    cookies: [],
    origins: [
      {
        origin: 'http://localhost:4310',
        localStorage: [{ name: 'search-iterations', value: '200' }],
      },
    ],
  },
};

/** To another view of the open set, as an artist goes: nothing is loaded anew. */
export async function goTo(page: Page, view: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Views of this set' }).getByRole('link', { name: view }).click();
  await expect(page).toHaveURL(new RegExp(`/${addressOf(view)}$`));
}

const ADDRESSES: Record<string, string> = { 'How I work': 'practice', 'Plate to top': 'layers' };
const addressOf = (view: string) => ADDRESSES[view] ?? view.toLowerCase();

export async function planned(page: Page): Promise<void> {
  await expect(page.getByTestId('plan-sum')).toBeVisible();
}

export function titleOf(page: Page): Locator {
  return page.getByRole('textbox', { name: 'Title of this set' });
}

/** The pixels of a nail on the spread, once it is drawn, as text to compare. */
export async function pixels(page: Page, nail: string): Promise<string> {
  const canvas = page.getByTestId(`nail-${nail}`).locator('canvas');
  // One pixel wide it waits for its picture.
  await expect.poll(() => canvas.evaluate((one) => (one as HTMLCanvasElement).width)).toBeGreaterThan(1);
  return canvas.evaluate((one) => (one as HTMLCanvasElement).toDataURL());
}

/** Waits until the nail is drawn and looks other than before; returns its pixels. */
export async function drawnAnew(page: Page, nail: string, before: string): Promise<string> {
  await expect.poll(() => pixels(page, nail)).not.toBe(before);
  return pixels(page, nail);
}

export async function exported(page: Page, button = 'Export'): Promise<{ path: string; text: string }> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const path = await (await download).path();
  return { path, text: readFileSync(path, 'utf8') };
}

/** Drags by the mouse in small steps, as a hand does. */
export async function drag(
  page: Page,
  from: { x: number; y: number },
  to: { x: number; y: number },
): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 4, from.y + 8, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 20 });
  await page.mouse.move(to.x, to.y + 2, { steps: 3 });
  await page.mouse.up();
}

export async function middleOf(page: Page, testId: string): Promise<{ x: number; y: number }> {
  const target = page.getByTestId(testId);
  await target.scrollIntoViewIfNeeded();
  const box = (await target.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Nothing on the page that keeps anybody out. */
export async function noViolations(page: Page, axe = new AxeBuilder({ page })): Promise<void> {
  const { violations } = await axe.analyze();
  expect(violations.map((one) => [one.id, ...one.nodes.map((node) => node.html)])).toEqual([]);
}

/** In light colours or dark ones, once none is on its way from the one to the other. */
async function inScheme(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme });
  await page.waitForFunction(() =>
    document.getAnimations().every((one) => !(one instanceof CSSTransition) || one.playState !== 'running'),
  );
}

/** The same in light colours and in dark ones, where only what rests on colour can be otherwise. */
export async function noViolationsInEither(page: Page): Promise<void> {
  await inScheme(page, 'light');
  await noViolations(page);
  await inScheme(page, 'dark');
  const colours = new AxeBuilder({ page }).withRules(['color-contrast', 'link-in-text-block']);
  await noViolations(page, colours);
}

/** Every fault that the page tells the browser's console, as it comes. */
export function consoleFaults(page: Page): string[] {
  const faults: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') faults.push(message.text());
  });
  page.on('pageerror', (error) => faults.push(error.message));
  return faults;
}
