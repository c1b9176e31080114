import { expect, test } from '@playwright/test';
import { EACH, openDemo, planned, titleOf } from './helpers';

test(
  'an edit right before a reload is kept, and so is what was typed and not left',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Matinée');
    for (let i = 1; i <= 10; i += 1) {
      await titleOf(page).fill(`Edit ${i}`);
      // Every second time the field is not left.
      if (i % 2 === 0) await titleOf(page).press('Enter');
      await page.reload();
      await expect(titleOf(page)).toHaveValue(`Edit ${i}`);
    }
  },
);

test('an edit right before the tab is killed is kept, undo included', async ({ page, context }) => {
  await openDemo(page, 'Matinée');
  const url = page.url();
  let tab = page;
  for (let i = 1; i <= 5; i += 1) {
    await planned(tab);
    await titleOf(tab).fill(`Killed ${i}`);
    await titleOf(tab).press('Enter');
    if (i === 5) await tab.getByRole('button', { name: 'Undo' }).click();
    const kill = await context.newCDPSession(tab);
    // The tab is gone without any goodbye.
    const gone = tab.waitForEvent('crash');
    kill.send('Page.crash').catch(() => undefined);
    await gone;
    tab = await context.newPage();
    await tab.goto(url);
    await expect(titleOf(tab)).toHaveValue(`Killed ${i === 5 ? 4 : i}`);
  }
  // The list knows it as well.
  await tab.goto('/');
  await expect(tab.getByRole('heading', { name: 'Killed 4' })).toBeVisible();
});
