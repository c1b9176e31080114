import { expect, test, type Locator, type Page } from '@playwright/test';
import type { SetDocument } from '../src/core/document/document';
import { EACH, exported } from './helpers';

/**
 * One wish, from an empty store to a set that nothing stops: a client, ten widths, medium almond tips for all, two own
 * colours, an ombre accent, a French line, an inlay, five crystals and a charm.
 */
const WIDTHS = ['9.1', '11.3', '12.2', '11.6', '14.8', '14.7', '11.5', '12.1', '11.2', '9.2'];
const WORN = ['ombre', 'french', 'inlay', 'crystals', 'charm'];

const listOpen = (page: Page) => page.evaluate(() => document.activeElement?.matches('select:open') ?? false);

/** The list at hand is open, and its window has had time to come: what is pressed sooner goes to the page. */
async function opened(page: Page): Promise<void> {
  await expect.poll(() => listOpen(page)).toBe(true);
  await page.waitForTimeout(400);
}

async function granted(page: Page): Promise<void> {
  const sum = page.getByTestId('plan-sum');
  await expect(sum).toHaveAttribute('data-planning', 'fresh', { timeout: 60_000 });
  await expect(sum).toContainText('Nothing stops it');
  const set = JSON.parse((await exported(page)).text) as SetDocument;
  expect(Object.values(set.nails).map((nail) => String(nail.plate.width_mm))).toEqual(WIDTHS);
  const worn = new Set(Object.values(set.nails).map((nail) => nail.look));
  const kinds = set.looks
    .filter((look) => worn.has(look.id))
    .flatMap((look) => look.elements.map((one) => one.kind));
  expect(kinds).toEqual(expect.arrayContaining(WORN));
  const colours = set.kit.products.map((product) => product.colour);
  expect(colours).toEqual(expect.arrayContaining(['#5a1a22', '#e9d9c0']));
  const build = set.builds.find((one) => one.id === set.nails['left-ring'].build)!;
  expect(build).toMatchObject({ kind: 'soft-gel-tip', shape: 'almond', length_mm: 6 });
  expect(Object.values(set.nails).every((nail) => nail.build === build.id)).toBe(true);
}

test('the wish by pointer takes at most 95 actions', EACH, async ({ page }) => {
  let actions = 0;
  const count = (more: number) => (actions += more);
  const press = async (what: Locator) => {
    count(1);
    await what.click();
  };
  /** Opened, and chosen. */
  const choose = async (what: Locator, option: string | { label: string }) => {
    count(2);
    await what.selectOption(option);
  };
  const button = (name: string) => page.getByRole('button', { name, exact: true });
  const view = (name: string) =>
    page.getByRole('navigation', { name: 'Views of this set' }).getByRole('link', { name });
  const add = async (kind: string) => {
    await press(button('Add'));
    await press(page.getByTestId(`add-${kind}`));
  };
  const ownColour = async (hex: string) => {
    await press(page.getByRole('button', { name: /^A new colour like/ }).first());
    count(2);
    await page.getByRole('textbox', { name: 'Colour', exact: true }).fill(hex);
    await page.keyboard.press('Enter');
  };

  await page.goto('/');
  await press(button('New set'));
  await press(view('Hands'));
  await choose(page.getByRole('combobox', { name: 'For whom' }), 'A new client …');
  count(2);
  await page.getByRole('dialog').getByRole('textbox', { name: 'Name' }).fill('Imogen Vale');
  await page.keyboard.press('Enter');
  await press(page.getByRole('textbox', { name: 'Left little finger, width' }));
  for (const width of WIDTHS) {
    // Every digit, and the way to the next.
    count(width.length + 1);
    await page.keyboard.type(width);
    await page.keyboard.press('Tab');
  }
  await press(button('All ten'));
  await choose(page.getByRole('combobox', { name: 'Build' }), {
    label: 'Full-cover soft-gel tip, long almond',
  });
  await choose(page.getByRole('combobox', { name: /^Length/ }), 'Medium');
  await press(view('Design'));
  await ownColour('5a1a22');
  await press(page.getByTestId('nail-left-ring'));
  await press(button('New look'));
  await ownColour('e9d9c0');
  await add('ombre');
  await press(page.getByTestId('element-colour'));
  await press(button('Take out'));
  await add('crystals');
  await press(page.getByTestId('nail-left-middle'));
  await press(button('New look'));
  await add('french');
  await press(page.getByTestId('nail-left-thumb'));
  await press(button('New look'));
  await add('inlay');
  await press(page.getByTestId('nail-left-index'));
  await press(button('New look'));
  await add('charm');
  await granted(page);
  expect(actions).toBeLessThanOrEqual(95);
});

test('the wish by keyboard takes at most 190 presses', async ({ page }) => {
  let presses = 0;
  const key = async (name: string) => {
    presses += 1;
    await page.keyboard.press(name);
  };
  const type = async (text: string) => {
    presses += text.length;
    await page.keyboard.type(text);
  };
  /** Tab until it is there. */
  const reach = async (what: Locator) => {
    await what.waitFor();
    for (let i = 0; i < 60; i += 1) {
      if (await what.evaluate((one) => one === document.activeElement)) return;
      await key('Tab');
    }
    throw new Error('no way there by Tab');
  };
  const button = (name: string) => page.getByRole('button', { name, exact: true });
  const add = async (sought: string) => {
    await key('+');
    await expect(page.getByRole('textbox', { name: 'Search' })).toBeFocused();
    await type(sought);
    await key('Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
  };
  const ownColour = async (hex: string) => {
    await key('o');
    await expect(page.getByRole('textbox', { name: 'Colour', exact: true })).toBeFocused();
    await type(hex);
    await key('Enter');
    await expect(page.getByRole('textbox', { name: 'Colour', exact: true })).toBeHidden();
  };
  const newLook = async (nail: string) => {
    await key(nail);
    await key('n');
  };
  /** Opened, some entries down or up, and chosen. */
  const down = async (entries: number) => {
    await key('ArrowDown');
    await opened(page);
    for (let i = 0; i < Math.abs(entries); i += 1) await key(entries > 0 ? 'ArrowDown' : 'ArrowUp');
    await key('Enter');
    await expect.poll(() => listOpen(page)).toBe(false);
  };

  await page.goto('/');
  await reach(button('New set'));
  await key('Enter');
  await expect(page.getByRole('textbox', { name: 'Title of this set' })).toBeVisible();
  await key('Alt+Comma');
  await key('Alt+Comma');
  await reach(page.getByRole('combobox', { name: 'For whom' }));
  await key('End');
  await opened(page);
  await key('End');
  await key('Enter');
  await expect(page.getByRole('dialog').getByRole('textbox', { name: 'Name' })).toBeFocused();
  await type('Imogen Vale');
  await key('Enter');
  await expect(page.getByRole('link', { name: 'The card' })).toBeVisible();
  await reach(page.getByRole('textbox', { name: 'Left little finger, width' }));
  for (const width of WIDTHS) {
    await type(width);
    await key('Tab');
  }
  await reach(page.getByRole('button', { name: 'All ten' }));
  await key('Enter');
  await reach(page.getByRole('combobox', { name: 'Build' }));
  await down(1);
  await reach(page.getByRole('combobox', { name: /^Length/ }));
  await down(-1);
  await expect(page.getByRole('combobox', { name: /^Length/ })).toHaveValue('Medium');
  await key('Alt+Period');
  await key('Alt+Period');
  await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-planning', 'fresh');
  // The desk stands there before a key is meant for it.
  await expect(page.getByRole('button', { name: /^A new colour like/ })).toBeVisible();
  await ownColour('5a1a22');
  await newLook('2');
  await ownColour('e9d9c0');
  await add('om');
  await expect(page.getByTestId('element-ombre')).toBeFocused();
  await key('ArrowDown');
  await key('Delete');
  await add('crys');
  await newLook('3');
  await add('fre');
  await newLook('5');
  await add('in');
  await newLook('4');
  await add('cha');
  await granted(page);
  console.log('presses', presses);
  expect(presses).toBeLessThanOrEqual(190);
});
