import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';

/** Keys that move about, each taken back by Escape where it opened something. */
const KEYS = ['ArrowDown', 'ArrowUp', 'Home', 'End'];

/** What an arrow changes by its nature, and says so: sliders, figures, days, radios, and what lies on a nail or in a stack. */
const MOVED_BY_ARROWS = [
  '[role="slider"]',
  'input[inputmode="decimal"]',
  'input[type="date"]',
  'input[type="time"]',
  'input[type="range"]',
  'input[type="radio"]',
].join();

for (const view of ['hands', 'practice', 'design', 'layers', 'timing', 'card'] as const)
  test(`no key that only moves about changes a set: ${view}`, async ({ page }) => {
    await openDemo(page, 'Curtain Up', view);
    const undo = page.getByRole('button', { name: 'Undo' });
    const controls = page.locator('main').locator('a, button, input, select, textarea, [tabindex="0"]');
    const count = await controls.count();
    expect(count).toBeGreaterThan(4);
    for (let i = 0; i < count; i += 1) {
      const one = controls.nth(i);
      // What is only there with the pointer, or went with another's closing.
      if (!(await one.isVisible()) || !(await one.isEnabled())) continue;
      if (await one.evaluate((it, moved) => it.matches(moved), MOVED_BY_ARROWS)) continue;
      const name = await one.evaluate(
        (it) => `${it.tagName} ${it.getAttribute('aria-label') ?? it.textContent}`,
      );
      await one.focus();
      for (const key of KEYS) {
        await page.keyboard.press(key);
        await page.keyboard.press('Escape');
      }
      await page.keyboard.press('Control+z');
      expect(await undo.isDisabled(), `nothing is changed at ${name}`).toBe(true);
    }
  });
