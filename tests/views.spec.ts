import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { EACH, goTo, noViolationsInEither, openDemo, pixels, planned, WAYS_OUT } from './helpers';

test('axe finds nothing on any view, in light colours and in dark', EACH, async ({ page }) => {
  await openDemo(page, 'Understudy');
  for (const view of ['Design', 'Plate to top', 'Timing', 'Card', 'Sets']) {
    if (view === 'Sets') {
      await page.getByRole('link', { name: 'Sets', exact: true }).click();
      await expect(page.getByRole('heading', { name: 'Understudy' })).toBeVisible();
    } else await goTo(page, view);
    await page.waitForTimeout(600);
    await noViolationsInEither(page);
  }
});

test('nothing scrolls the frame at 1280 × 800; zoomed to 150 % nothing goes sideways or lies over another view', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  for (const view of ['Design', 'Plate to top', 'Timing', 'Card']) {
    await goTo(page, view);
    const size = await page.evaluate(() => [
      document.documentElement.scrollWidth,
      document.documentElement.scrollHeight,
    ]);
    expect([view, ...size]).toEqual([view, 1280, 800]);
  }
  await page.setViewportSize({ width: 853, height: 533 });
  for (const view of ['Design', 'Hands', 'Timing', 'Card', 'Plate to top']) {
    await goTo(page, view);
    const wide = await page
      .getByRole('main')
      .evaluate((main) => [main.scrollWidth - main.clientWidth, document.documentElement.scrollWidth]);
    expect([view, ...wide]).toEqual([view, 0, 853]);
  }
  const cut = (await page
    .getByRole('img', { name: /^Cuticle to tip/ })
    .first()
    .boundingBox())!;
  const nail = (await page.getByRole('img', { name: /after step/ }).boundingBox())!;
  expect(nail.y).toBeGreaterThanOrEqual(cut.y + cut.height - 1);
});

test('a newcomer sees ten nails at once in a new set', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New set' }).click();
  await planned(page);
  for (const nail of ['left-little', 'left-thumb', 'right-thumb', 'right-little']) {
    await expect.poll(async () => (await pixels(page, nail)).length).toBeGreaterThan(1000);
  }
  await expect(page.getByTestId('plan-sum')).toContainText('Nothing stops it');
});

test('a whole task by the keyboard alone', EACH, async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Curtain Up/ })).toBeVisible();
  await page.getByRole('link', { name: /Curtain Up/ }).focus();
  await page.keyboard.press('Enter');
  await planned(page);
  // Both ring fingers in velvet by one of them; an index finger alone, then the left hand mirrored.
  await page.keyboard.press('2');
  await page.keyboard.press('a');
  await expect(page.getByTestId('nail-left-ring')).toHaveAttribute('aria-label', /House velvet/);
  await expect(page.getByTestId('nail-right-ring')).toHaveAttribute('aria-label', /House velvet/);
  await page.getByRole('switch', { name: 'Both hands' }).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('4');
  await page.keyboard.press('b');
  await expect(page.getByTestId('nail-left-index')).toHaveAttribute('aria-label', /Footlights/);
  await expect(page.getByTestId('nail-right-index')).toHaveAttribute('aria-label', /Proscenium/);
  await page.keyboard.press('m');
  await expect(page.getByTestId('nail-right-index')).toHaveAttribute('aria-label', /Footlights/);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('nail-right-index')).toHaveAttribute('aria-label', /Proscenium/);
  await page.keyboard.press('Control+y');
  await expect(page.getByTestId('nail-right-index')).toHaveAttribute('aria-label', /Footlights/);
  // Over to Plate to top; a step moved with Alt and an arrow.
  await page.getByRole('link', { name: 'Plate to top' }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/layers$/);
  await page.keyboard.press('3');
  await page.getByTestId('step-stones-set-1').focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.locator('[data-code="needs-wet"]')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-code="needs-wet"]')).toBeHidden();
});

test('a nail leaves an element off, a look is made, and both survive a reload', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByTestId('nail-left-ring').click();
  const before = await pixels(page, 'left-ring');
  await page.getByRole('button', { name: 'Wears its inlay' }).click();
  await expect.poll(() => pixels(page, 'left-ring')).not.toBe(before);
  await page.getByTestId('nail-left-thumb').click();
  await page.getByRole('button', { name: 'New look' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-crystals').click();
  await expect(page.getByTestId('element-crystals')).toBeVisible();
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await planned(page);
  await expect(page.getByTestId('look-look')).toBeVisible();
  await page.getByTestId('nail-left-ring').click();
  await expect(page.getByRole('button', { name: 'Wears its inlay' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
});

test('the slider plays the nail up', async ({ page }) => {
  await openDemo(page, 'Curtain Up', 'Plate to top');
  const canvas = page.getByRole('img', { name: /after step/ });
  await expect(canvas).toBeVisible();
  const finished = await canvas.evaluate((one) => (one as HTMLCanvasElement).toDataURL());
  await page.getByRole('slider').focus();
  await page.keyboard.press('Home');
  await expect(page.getByText(/After step 1 of/)).toBeVisible();
  await expect
    .poll(() => canvas.evaluate((one) => (one as HTMLCanvasElement).toDataURL()))
    .not.toBe(finished);
});

test.describe('where the sitting is searched', () => {
  test.use(WAYS_OUT);

  test('the bench card prints its lines on two sheets', async ({ page }) => {
    await openDemo(page, 'Curtain Up', 'Plate to top');
    await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-searched', '1');
    await page.getByRole('link', { name: 'Card' }).click();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Views of this set' })).toBeHidden();
    const lines = page
      .getByRole('region', { name: 'Bench card' })
      .getByRole('list', { name: 'In order' })
      .getByRole('listitem');
    await expect(lines.nth(1)).toBeVisible();
    expect(await lines.count()).toBeGreaterThan(40);
    // Two sheets of A4, as it leaves the printer.
    const printed = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(printed.match(/\/Type\s*\/Page[^s]/g)!.length).toBeLessThanOrEqual(2);
  });

  test('Understudy is mended to quiet with fifteen presses at most', async ({ page }) => {
    await openDemo(page, 'Understudy');
    const sum = page.getByTestId('plan-sum');
    await sum.click();
    const drawer = page.getByRole('dialog', { name: 'What is found' });
    // Most of it in one go, then what only the whole set tells.
    await drawer.getByRole('button', { name: 'Put the set right' }).click();
    await page.getByRole('button', { name: /^Make these \d+ changes$/ }).click({ timeout: 60_000 });
    let presses = 3;
    const settled = () => expect(sum).toHaveAttribute('data-searched', '1');
    for (await settled(); !(await sum.textContent())!.includes('Nothing stops it'); await settled()) {
      const ways = drawer.locator('article button');
      await expect(ways.first()).toBeVisible();
      const all = drawer.getByRole('button', { name: /^Mend (all|both)/ });
      const way = (await all.count()) > 0 ? all.first() : ways.first();
      await expect(way).toBeVisible();
      const before = await drawer.textContent();
      await way.click();
      presses += 1;
      expect(presses).toBeLessThanOrEqual(15);
      await expect(drawer).not.toHaveText(before!);
    }
    test.info().annotations.push({ type: 'presses', description: String(presses) });
    await expect(drawer.getByText(/Stop|Look/)).toHaveCount(0);
  });
});

test('Timing says when the client may leave and what happens at a moment', async ({ page }) => {
  await openDemo(page, 'Curtain Up', 'Timing');
  await expect(page.getByTestId('total')).toContainText(/^\d h( \d+ min)?$/);
  const moment = page.getByTestId('moment');
  await expect(page.getByRole('region', { name: 'On the table at 40:00' })).toBeVisible();
  await page.getByRole('slider', { name: 'Moment of the sitting' }).focus();
  await page.keyboard.press('Home');
  await expect(moment).toContainText(/All ten: sanitise/);
  // What comes next stands below it, light among it.
  const next = page.getByRole('region', { name: 'From 0:00 on' }).getByRole('listitem');
  await expect(next.first()).toContainText('Sanitise');
  await page.keyboard.press('End');
  await expect(page.getByRole('region', { name: /^From 1:\d+:\d+ on$/ }).getByRole('listitem')).toHaveText([
    /Cuticle oil/,
  ]);
  // What is too narrow to read is drawn larger, and the moment stays in sight.
  await page.getByRole('button', { name: 'Lanes larger' }).click();
  await page.getByRole('button', { name: 'Lanes larger' }).click();
  await expect(page.getByRole('slider', { name: 'Moment of the sitting' })).toBeInViewport();
  // What is taken up says what it has brought, beside what it was said to bring.
  const asked = page.getByRole('radiogroup', { name: 'What is asked of it' });
  await asked.getByText('When it is over', { exact: true }).click();
  // When it will be over: nine of ten evenings later than half of them, drawn and said alike.
  const over = page.getByRole('region', { name: 'When it will be over' });
  await expect(over.getByTestId('forecast')).toContainText(
    /half are over in [12] h.*, nine of ten in [12] h/,
  );
  await expect(
    over.getByRole('img', { name: /^Evenings by when they are over: half in [12] h/ }),
  ).toBeVisible();
  await asked.getByText('I have less time', { exact: true }).click();
  const shorter = page.getByRole('region', { name: 'What would shorten it' });
  await shorter.getByRole('button', { name: 'Do it' }).first().click();
  await expect(shorter.getByRole('status')).toHaveText(/^(Done: it saves|It was to save) /);
});

test('with a day and a time it is over by the clock, past midnight too, and goes into a calendar', async ({
  page,
}) => {
  await openDemo(page, 'Matinée', 'Hands');
  await page.getByLabel('Day of the sitting').fill('2026-12-04');
  await page.getByLabel('Time of the sitting').fill('23:10');
  await goTo(page, 'Timing');
  await page.getByRole('radiogroup').getByText('When it is over', { exact: true }).click();
  await expect(page.getByTestId('appointed')).toContainText(
    /23:10: half are over by 00:\d\d, nine of ten by 00:\d\d/,
  );
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Matinée.ics');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toContain('DTSTART:20261204T231000');
  expect(text).toMatch(/DTEND:20261205T00\d{4}/);
});
