import { expect, test, type Page } from '@playwright/test';
import { openDemo, planned } from './helpers';

const title = (page: Page) => page.getByRole('textbox', { name: 'Title of this set' });

test('an edit right before a reload is kept, and so is what was typed and not left', async ({ page }) => {
  await openDemo(page, 'Matinée');
  for (let i = 1; i <= 10; i += 1) {
    await title(page).fill(`Edit ${i}`);
    // Every second time the field is not left.
    if (i % 2 === 0) await title(page).press('Enter');
    await page.reload();
    await expect(title(page)).toHaveValue(`Edit ${i}`);
  }
});

test('an edit right before the tab is killed is kept, undo included', async ({ page, context }) => {
  await openDemo(page, 'Matinée');
  const url = page.url();
  let tab = page;
  for (let i = 1; i <= 5; i += 1) {
    await planned(tab);
    await title(tab).fill(`Killed ${i}`);
    await title(tab).press('Enter');
    if (i === 5) await tab.getByRole('button', { name: 'Undo' }).click();
    const kill = await context.newCDPSession(tab);
    // The tab is gone without any goodbye.
    const gone = tab.waitForEvent('crash');
    kill.send('Page.crash').catch(() => undefined);
    await gone;
    tab = await context.newPage();
    await tab.goto(url);
    await expect(title(tab)).toHaveValue(`Killed ${i === 5 ? 4 : i}`);
  }
  // The list knows it as well.
  await tab.goto('/');
  await expect(tab.getByRole('heading', { name: 'Killed 4' })).toBeVisible();
});
