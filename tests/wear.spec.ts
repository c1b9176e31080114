import { expect, test } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { EACH, exported, noViolations, noViolationsInEither, openDemo } from './helpers';

const day = (ahead: number) => {
  const at = new Date(Date.now() + ahead * 86_400_000);
  return `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`;
};

test(
  'a set is worn, lifts on two nails, a cause is confirmed, and the infill is planned and due',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Curtain Up', 'Wear');
    await page.getByLabel('Made on').fill(day(1));
    await expect(page.getByText('a day that has come')).toBeVisible();
    await page.getByLabel('Made on').fill(day(-15));
    await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
    await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
    await expect(page.getByText(/15 days\. As planned\. Nothing noted/)).toBeVisible();

    // Six presses for a nail: which, what, where, how much, and kept.
    let presses = 0;
    const press = async (name: string | RegExp) => {
      await page.getByRole('button', { name, exact: true }).click();
      presses += 1;
    };
    for (const nail of ['right ring finger', 'left index finger']) {
      presses = 0;
      await press(new RegExp(`^${nail}`));
      await press('Lifted');
      await press('Where it happened');
      await press('A little');
      await press('Note it');
      expect(presses).toBeLessThanOrEqual(8);
      await expect(page.getByTestId('noted')).toContainText('Lifted, a little');
    }
    await expect(page.getByText('2 noted.')).toBeVisible();
    await noViolationsInEither(page);

    // On a day that cannot be nothing is noted.
    await press('Cracked');
    await page.getByLabel('Seen on').fill(day(-30));
    await expect(page.getByText('That is before the set was made.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Note it' })).toBeDisabled();
    await page.getByLabel('Seen on').fill(day(0));
    // What is felt goes to a doctor, and is no cause of anything here.
    await press('Burning');
    await expect(page.getByText(/have it seen by a doctor/)).toBeVisible();
    await press('Burning');
    await press('Note it');

    // It is told apart in charts, and leads to the set.
    await page.getByRole('link', { name: 'What holds' }).click();
    await expect(page.getByTestId('holds')).toContainText('Almond tips');
    await page.getByLabel('Told apart by').selectOption('hand');
    await expect(page.getByTestId('compared')).toContainText('Too few to say.');
    await noViolationsInEither(page);
    await page.getByRole('link', { name: 'Curtain Up' }).click();

    const due = page.getByTestId('due');
    await expect(due).toContainText('at the usual rate');
    const download = page.waitForEvent('download');
    await due.getByRole('button', { name: 'Calendar file' }).click();
    const text = readFileSync(await (await download).path(), 'utf8');
    const [event] = new ICAL.Component(ICAL.parse(text) as []).getAllSubcomponents('vevent');
    expect(new ICAL.Event(event).summary).toBe('Curtain Up: due');

    await page.getByRole('button', { name: /^right thumb/ }).click();
    await press('Fell off');
    await press('Note it');
    await due.getByRole('button', { name: 'Plan the infill' }).click();
    await expect(page).toHaveURL(/\/set\/curtain-up-2\/hands$/);
    await expect(page.getByRole('textbox', { name: 'Title of this set' })).toHaveValue('Curtain Up (infill)');
    await expect(page.getByLabel('Day of the sitting')).toHaveValue(day(13));
  },
);

test('a cause that speaks from the log is confirmed, and that is kept', async ({ page }) => {
  await openDemo(page, 'Fly Tower', 'Wear');
  await page.getByLabel('Made on').fill(day(-20));
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await page.getByRole('button', { name: /^left middle finger/ }).click();
  await page.getByRole('button', { name: 'Cracked', exact: true }).click();
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(40, 30);
    canvas.getContext('2d')!.fillRect(5, 5, 20, 10);
    const blob = await canvas.convertToBlob({ type: 'image/png' });
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  await page
    .getByLabel('Photo of the nail')
    .setInputFiles({ name: 'nail.png', mimeType: 'image/png', buffer: Buffer.from(picture) });
  await expect(page.getByRole('button', { name: 'Another photo' })).toBeVisible();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('img', { name: 'Cracked, as it was photographed' })).toBeVisible();
  const causes = page.getByRole('list', { name: 'What may stand behind it' });
  const yes = causes.getByRole('button', { name: /^It was so: Long for what these hands do/ });
  await yes.click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await page.getByRole('button', { name: /^left middle finger/ }).click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Take out' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(yes).toHaveAttribute('aria-pressed', 'true');
  // Not done after all: what was noted is not thrown away.
  await page.getByLabel('Came off on').fill(day(-1));
  await expect(page.getByText(/Something was noted on .* still\./)).toBeVisible();
  await page.getByLabel('Came off on').fill(day(0));
  await expect(page.getByRole('heading', { name: 'Worn for 20 days' })).toBeVisible();
});

test('a client’s card goes out whole, is deleted for good, and comes back as it was', async ({ page }) => {
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Robin Vale');
  await page.getByRole('textbox', { name: 'Not on these hands' }).fill('HEMA');
  await page.getByRole('button', { name: 'New set', exact: true }).click();
  await expect(page).toHaveURL(/\/set\/.*\/hands$/);
  const set = new URL(page.url()).pathname.split('/')[2]!;
  await page
    .getByRole('navigation', { name: 'Views of this set' })
    .getByRole('link', { name: 'Wear' })
    .click();
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('link', { name: /Robin Vale/ }).click();
  await expect(page.getByRole('link', { name: 'How it wore: nothing noted' })).toBeVisible();
  const more = page.getByRole('button', { name: 'More for Robin Vale' });
  const download = page.waitForEvent('download');
  await more.click();
  await page.getByRole('menuitem', { name: 'Export the card whole' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Robin Vale, whole.zip');
  const path = await file.path();
  await more.click();
  await page.getByRole('menuitem', { name: 'Delete the card and all that was made' }).click();
  await noViolationsInEither(page);
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.getByText('Nobody yet.')).toBeVisible();
  await page.goto(`/set/${set}/wear`);
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toHaveCount(0);

  await page.goto('/');
  await page.getByLabel('Set file').setInputFiles(path);
  await page
    .getByRole('button', { name: /^Take in/ })
    .first()
    .click();
  // Gone from the page before that, it would not be stored.
  await expect(page.getByText(/^Taken in/)).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('link', { name: /Robin Vale/ }).click();
  await expect(page.getByRole('textbox', { name: 'Not on these hands' })).toHaveValue('HEMA');
  await expect(page.getByRole('link', { name: /^How it wore/ })).toBeVisible();
});

/** A calendar as another program writes it. */
const calendar = (...events: [uid: string, title: string, day: string, time: string][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//another//EN',
    ...events.flatMap(([uid, title, on, time]) => [
      'BEGIN:VEVENT',
      `UID:${uid}`,
      `SUMMARY:${title}`,
      `DTSTART:${on.replaceAll('-', '')}T${time}00`,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
    '',
  ].join('\r\n');

test('what broke is mended or made new; what was to be done after stands in the week; a calendar brings what was moved there', async ({
  page,
}) => {
  await openDemo(page, 'Matinée', 'Wear');
  await page.getByLabel('Made on').fill(day(-20));
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  const press = (name: string | RegExp) => page.getByRole('button', { name, exact: true }).click();
  for (const [nail, what, much] of [
    [/^right ring/, 'Cracked', 'A little'],
    [/^left thumb/, 'Fell off', undefined],
  ] as const) {
    await press(nail);
    await press(what);
    if (much) await press(much);
    await press('Note it');
    await expect(page.getByTestId('noted')).toContainText(what);
  }
  const due = page.getByTestId('due');
  const becomes = (nail: string) => due.getByRole('radiogroup', { name: `What becomes of the ${nail}` });
  await expect(becomes('right ring finger').getByRole('radio', { name: 'Mended' })).toBeChecked();
  await expect(becomes('left thumb').getByRole('radio', { name: 'Made new' })).toBeChecked();

  await page.getByRole('region', { name: 'To do after' }).getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('checkbox', { name: /^Ask how it holds/ })).toBeVisible();
  await due.getByRole('button', { name: 'Plan the infill' }).click();
  await expect(page).toHaveURL(/\/set\/matinee-2\/hands$/);
  const { text } = await exported(page);
  const { nails } = JSON.parse(text) as { nails: Record<string, { start: object }> };
  expect(nails['right-ring']!.start).toMatchObject({ kind: 'infill', mend: 'crack' });
  expect(nails['left-thumb']!.start).toEqual({ kind: 'bare', dull: false });
  expect(nails['left-ring']!.start).toMatchObject({ kind: 'infill', mend: 'no' });

  // The client of a calendar is known by name.
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Robin Vale');
  await expect(page.getByRole('link', { name: /Robin Vale/ })).toBeVisible();
  await page.goto('/');
  const week = page.getByRole('region', { name: 'This week' });
  await expect(week).toContainText('Ask how it holds');
  const download = page.waitForEvent('download');
  await week.getByRole('button', { name: 'Calendar file' }).click();
  const written = readFileSync(await (await download).path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(written) as []).getAllSubcomponents('vevent');
  expect(events.map((one) => new ICAL.Event(one).summary)).toContain('Matinée: Ask how it holds');
  await week.getByRole('checkbox').click();
  await expect(week.getByRole('checkbox')).toHaveCount(0);

  const take = (content: string) =>
    page
      .getByLabel('Set file')
      .setInputFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from(content) });
  await take('X\n'.repeat(300_000));
  await expect(
    page
      .getByRole('alert')
      .or(page.getByText(/could not be opened/))
      .first(),
  ).toBeVisible();
  await take(
    calendar(
      ['matinee-2@merry-lacquer', 'Matinée', day(5), '1830'],
      ['x1@elsewhere', 'Robin Vale, nails', day(9), '1000'],
      ['x2@elsewhere', 'Dentist', day(10), '0900'],
    ),
  );
  const dialog = page.getByRole('dialog', { name: 'Take in a calendar' });
  await expect(dialog.getByRole('checkbox')).toHaveCount(3);
  await expect(dialog.getByRole('checkbox', { name: /^“Matinée \(infill\)” is/ })).toBeChecked();
  const hers = dialog.getByRole('checkbox', { name: /a new set for Robin Vale/ });
  await expect(hers).not.toBeChecked();
  await hers.check();
  await noViolationsInEither(page);
  await dialog.getByRole('button', { name: 'Take in 2' }).click();
  await expect(page.getByText('2 appointments are taken in.')).toBeVisible();
  await expect(week).toContainText('18:30');
  await page.goto('/set/matinee-2/hands');
  await expect(page.getByLabel('Day of the sitting')).toHaveValue(day(5));
  await page.goto('/clients');
  await expect(page.getByRole('link', { name: /Robin Vale/ })).toContainText('one set');
});

test('a record stays when its set is removed; days that cannot be and a clock that was wrong are told; no photo is kept that is none', async ({
  page,
}) => {
  await openDemo(page, 'Understudy', 'Wear');
  // The device thinks it is three years on.
  await page.clock.setSystemTime(Date.now() + 3 * 365 * 86_400_000);
  await page.getByLabel('Made on').fill(day(3 * 365));
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
  await page.clock.setSystemTime(Date.now());
  await page.reload();
  await expect(page.getByText(/this device’s clock was wrong then, or is now/)).toBeVisible();
  const made = page.getByLabel('Made on');
  await made.fill(day(2));
  await expect(page.getByText('That day has not come. Is the clock of this device right?')).toBeVisible();
  await made.fill(day(-12));
  await expect(page.getByText(/12 days\. As planned/)).toBeVisible();
  await page.getByRole('button', { name: 'Lifted', exact: true }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByTestId('noted')).toBeVisible();
  await page.getByLabel('Came off on').fill(day(-3));
  await expect(page.getByText(/Something was noted on .* still\./)).toBeVisible();
  await expect(page.getByText(/12 days\. As planned/)).toBeVisible();

  const add = (name: string, bytes: readonly number[]) =>
    page
      .getByLabel('Picture of the set')
      .setInputFiles({ name, mimeType: 'image/png', buffer: Buffer.from(bytes) });
  const pictures = page.getByRole('region', { name: 'Pictures, on this device only' });
  await add('<img src=x onerror="document.title=1">.png', [...Buffer.from('no picture at all')]);
  await expect(page.getByText(/cannot be read: a PNG, JPEG or WebP file is wanted/)).toBeVisible();
  // The head of a PNG of 100 megapixels (PNG specification, 11.2.2: width and height of IHDR).
  const wide = [0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52];
  await add('wide.png', [...wide, 0, 0, 0x27, 0x10, 0, 0, 0x27, 0x10, 8, 2, 0, 0, 0, 0, 0, 0, 0]);
  await expect(page.getByText(/is 10000 × 10000 px/)).toBeVisible();
  await expect(pictures.getByRole('img', { name: /^As it was/ })).toHaveCount(0);
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(400, 300);
    canvas.getContext('2d')!.fillRect(5, 5, 200, 100);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await add('<script>alert(1)</script>.png', picture);
  await expect(pictures.getByRole('img', { name: /^As it was/ })).toHaveCount(1);
  await expect(page.getByText('alert(1)')).toHaveCount(0);

  // On a phone nothing is cut off, and it can all be reached by the keyboard.
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await noViolations(page);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto('/');
  await page.getByRole('button', { name: 'More for Understudy' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByText(/How it was worn stays on record/)).toBeVisible();
  await page.goto('/holds');
  await page.getByRole('link', { name: 'Understudy' }).click();
  const record = page.getByRole('region', { name: 'Its record' });
  await expect(record).toContainText('The set itself was removed; its record stays.');
  await expect(record).toContainText('lifted');
});

test('a lifted nail is noted by the keyboard alone, in ten presses of it', async ({ page }) => {
  await openDemo(page, 'Curtain Up', 'Wear');
  await page.getByRole('button', { name: 'Done as planned, on this day' }).click();
  await expect(page.getByRole('heading', { name: /^Worn since/ })).toBeVisible();
  const nail = page.getByRole('button', { name: /^right ring finger/ });
  await nail.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Where it happened' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Lifted', exact: true })).toBeFocused();
  await page.keyboard.press('Space');
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'A little', exact: true })).toBeFocused();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Note it' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('noted')).toContainText('Lifted, a little');
});
