import { expect, test, type Page } from '@playwright/test';
import { noViolationsInEither, planned } from './helpers';

/** What can be opened on a view, and what shows that it is. */
interface State {
  at: string;
  opens: (page: Page) => Promise<void>;
  shows: 'form' | 'dialog' | 'menu' | 'group' | 'table' | 'slider' | 'article';
}

const closes = ({ shows }: State) => shows === 'dialog' || shows === 'menu';
const press = (name: string | RegExp) => (page: Page) => page.getByRole('button', { name }).first().click();
const STATES: readonly State[] = [
  { at: '/set/curtain-up/design', opens: press('Add'), shows: 'dialog' },
  { at: '/set/curtain-up/design', opens: press('Who wears what'), shows: 'dialog' },
  { at: '/set/curtain-up/design', opens: press('More for this look'), shows: 'menu' },
  { at: '/set/curtain-up/design', opens: press('More for this element'), shows: 'menu' },
  {
    at: '/set/curtain-up/design',
    opens: async (page) => {
      await page.getByTestId('element-velvet').click();
      await page.keyboard.press('o');
    },
    shows: 'dialog',
  },
  { at: '/set/curtain-up/design', opens: press('Pictures and templates'), shows: 'menu' },
  { at: '/set/curtain-up/design', opens: press('Keys'), shows: 'dialog' },
  { at: '/set/curtain-up/design', opens: (page) => page.getByTestId('plan-sum').click(), shows: 'dialog' },
  { at: '/set/curtain-up/hands', opens: press('More for the hands'), shows: 'menu' },
  { at: '/set/curtain-up/hands', opens: press('Caliper'), shows: 'group' },
  {
    at: '/set/curtain-up/hands',
    opens: async (page) => {
      await page.getByRole('combobox', { name: 'For whom' }).selectOption('A new client …');
    },
    shows: 'dialog',
  },
  {
    at: '/set/understudy/layers',
    opens: (page) => page.getByText('How it was judged').first().click(),
    shows: 'article',
  },
  { at: '/set/understudy/layers', opens: press('Put in after it'), shows: 'form' },
  { at: '/set/curtain-up/timing', opens: press('Lanes larger'), shows: 'slider' },
  {
    at: '/set/curtain-up/card',
    opens: (page) =>
      page
        .getByRole('checkbox', { name: /^Done:/ })
        .first()
        .check(),
    shows: 'article',
  },
  {
    at: '/clients',
    opens: async (page) => {
      await page.getByRole('button', { name: 'New client' }).click();
      await page.getByRole('button', { name: 'More for New client' }).click();
    },
    shows: 'menu',
  },
  { at: '/', opens: press('More for Curtain Up'), shows: 'menu' },
  { at: '/', opens: press('More'), shows: 'menu' },
  { at: '/shelf', opens: press('New product'), shows: 'dialog' },
  ...['Lamps', 'Tip boxes', 'Inlays', 'Stones', 'Charms', 'Brushes and tools'].map((name): State => ({
    at: '/shelf',
    opens: (page) => page.getByRole('tab', { name }).click(),
    shows: 'table',
  })),
];

const PAGES = [...new Set(STATES.map(({ at }) => at))];

for (const at of PAGES)
  test(`axe finds nothing in what opens on ${at}, in light colours and in dark`, async ({ page }) => {
    await page.goto(at);
    if (at.startsWith('/set')) await planned(page);
    else await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    for (const state of STATES.filter((one) => one.at === at)) {
      await state.opens(page);
      await expect(page.getByRole(state.shows).last()).toBeVisible();
      await page.waitForTimeout(350);
      await noViolationsInEither(page);
      await page.keyboard.press('Escape');
      if (closes(state)) await expect(page.getByRole(state.shows)).toHaveCount(0);
    }
  });
