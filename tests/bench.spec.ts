import { expect, test, type Page } from '@playwright/test';
import { EACH, goTo, noViolations, openDemo, planned } from './helpers';
import { benches, expectRestIsRight, TableClock } from './table';

const CLOCK = 'bench-clock';

/** The bench of a demo set, not begun. */
async function toBench(page: Page, title = 'Matinée'): Promise<TableClock> {
  await openDemo(page, title, 'Card');
  await planned(page);
  await goTo(page, 'Bench');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  return new TableClock(page);
}

async function begun(page: Page, title?: string): Promise<TableClock> {
  const clock = await toBench(page, title);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId(CLOCK)).toContainText(' of ');
  return clock;
}

async function instead(page: Page, words: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Instead …' }).click();
  await page.getByRole('menuitem', { name: words }).click();
}

async function more(page: Page, words: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: words, exact: true }).click();
}

const rest = (page: Page) => page.getByRole('status', { name: 'The rest, planned from here' });
async function goOnSo(page: Page): Promise<void> {
  await rest(page).getByRole('button', { name: 'Go on so' }).click();
  await expect(rest(page)).toBeHidden();
}

test(
  'all of Matinée: a reload under the lamp, a coat again, a colour that runs out, a nail that breaks, a break; the log is the clock',
  EACH,
  async ({ page }) => {
    test.slow();
    const clock = await begun(page);
    await noViolations(page);
    await clock.until(/Into the lamp/);
    await clock.press((p) => p.keyboard.press('Space'));
    await expect(page.getByTestId('timer-light')).toBeVisible();
    await clock.pass(20_000);
    await page.reload();
    // By the clock: the light goes on over the reload.
    await expect(page.getByTestId('timer-light')).toHaveText(/^0:(3\d|40)$/);

    // A film that was wiped off is laid again.
    await clock.until(/Blush sheer/);
    await clock.press((p) => p.keyboard.press('Space'));
    await instead(page, /On one nail/);
    const nail = page.getByRole('dialog', { name: 'On one nail' });
    const again = nail.getByRole('button', { name: /again: blush sheer|One more coat: blush sheer/i });
    for (const one of await nail.getByRole('button', { name: /^(Left|Right) / }).all()) {
      await one.click();
      if ((await again.count()) > 0) break;
    }
    await again.click();
    await expect(rest(page)).toContainText('Comes in');
    await goOnSo(page);
    await expectRestIsRight(page);

    // A colour that runs out.
    await clock.until(/Ivory 02/);
    await instead(page, /Ivory 02 ran out: take Rose nude/);
    await expect(rest(page).getByRole('button', { name: 'Go on so' })).toBeEnabled();
    await goOnSo(page);
    await expectRestIsRight(page);

    // A nail that breaks.
    await clock.press((p) => p.keyboard.press('ArrowRight'));
    await instead(page, /On one nail/);
    await nail.getByRole('button', { name: 'Right middle finger' }).click();
    await nail.getByRole('button', { name: 'It broke: go on without it' }).click();
    // A press meanwhile skips nothing.
    await page.keyboard.press('Space');
    await expect(page.getByText('First say whether the new plan is taken.')).toBeVisible();
    await goOnSo(page);
    await expectRestIsRight(page);

    // A break of ten minutes, in the middle of what is wet or not.
    await page.getByRole('button', { name: 'Break' }).click();
    await expect(page.getByText(/A break since/)).toBeVisible();
    await clock.pass(600_000);
    await page.keyboard.press('Space');
    await expect(rest(page)).toContainText('After the break');
    await goOnSo(page);
    await expectRestIsRight(page);

    expect(await clock.until(/never/)).toBe(false);
    await clock.press((p) => p.keyboard.press('Space'));
    await expect(page.getByRole('heading', { name: /Done\. The sitting/ })).toBeVisible();

    const [bench] = await benches(page);
    const pressed = bench!.events.filter(({ what }) => ['done', 'lit', 'ended'].includes(what));
    expect(pressed).toHaveLength(clock.presses_ms.length);
    const off_ms = pressed.map(({ at_ms }, i) => Math.abs(at_ms - clock.presses_ms[i]!));
    expect(Math.max(...off_ms)).toBeLessThan(1500);
    const paused = bench!.events.find(({ what }) => what === 'paused')!;
    const resumed = bench!.events.find(({ what }) => what === 'resumed')!;
    expect((resumed.at_ms - paused.at_ms) / 60_000).toBeCloseTo(10, 0);
    // The break is nobody's work.
    const after = bench!.events.find((one) => one.what === 'done' && one.at_ms > resumed.at_ms);
    expect(after?.what === 'done' && after.at_ms - after.from_ms).toBeLessThan(200_000);
  },
);

test('two presses at once are one; a wrong press is taken back, a forgotten one made good, another round done first', async ({
  page,
}) => {
  const clock = await begun(page);
  await clock.press((p) => p.keyboard.press('Space'));
  await page.keyboard.press('Space');
  await expect(page.getByText('Pressed twice')).toBeVisible();
  await expect(page.getByTestId(CLOCK)).toContainText('1 of');
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByTestId(CLOCK)).toContainText('0 of');
  await clock.pass(100_000);
  await instead(page, /This was done before/);
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^60 s ago|^1 min ago/ })
    .click();
  await expect(page.getByTestId(CLOCK)).toContainText('1 of');
  const [bench] = await benches(page);
  const done = bench!.events.findLast(({ what }) => what === 'done')!;
  expect(clock.now_ms() - done.at_ms).toBeGreaterThan(58_000);
  const before = await clock.shown();
  await instead(page, /Another first/);
  await page.getByRole('dialog').getByRole('button').nth(1).click();
  await clock.press((p) => p.keyboard.press('Space'));
  await expect(rest(page)).toContainText('Done before its turn');
  await goOnSo(page);
  expect(await clock.shown()).toBe(before);
  await page.reload();
  await expect(page.getByTestId(CLOCK)).toContainText('2 of');
});

test('a lamp whose door opens is told with what it gave, and the light is given again', async ({ page }) => {
  const clock = await begun(page);
  await clock.until(/Into the lamp/);
  await clock.press((p) => p.keyboard.press('Space'));
  await expect(page.getByTestId('timer-light')).toHaveText(/0:5\d|1:00/);
  await more(page, 'Devices');
  await page.getByRole('button', { name: 'Let it talk nonsense' }).click();
  await expect(page.getByText('goes by its own clock')).toBeVisible();
  await page.getByRole('button', { name: 'Open its door' }).click();
  const short = page.getByRole('alert').filter({ hasText: 'Still soft' });
  await expect(short).toContainText(/had \d+ s of 60 s/);
  await short.getByRole('button', { name: 'Again now' }).click();
  await expect(short).toBeHidden();
  await expect(page.getByTestId('timer-light')).toBeVisible();
});

test('by the pedal alone, typed and simulated, with the sound off and offline, twenty steps', async ({
  page,
  context,
}) => {
  const clock = await begun(page);
  await more(page, 'Sound off');
  await more(page, 'Devices');
  await context.setOffline(true);
  for (let i = 1; i <= 10; i += 1) {
    await clock.press((p) => p.keyboard.press('PageDown'));
    await expect(page.getByTestId(CLOCK)).toContainText(`${2 * i - 1} of`);
    await clock.press((p) => p.getByRole('button', { name: 'Press the pedal' }).click());
    await expect(page.getByTestId(CLOCK)).toContainText(`${2 * i} of`);
  }
  expect((await benches(page))[0]!.events.filter(({ what }) => what === 'done').length).toBeGreaterThan(10);
  // What follows in this browser is not offline.
  await context.setOffline(false);
});

test('by the keyboard alone: what happens instead is asked for, planned and taken, and the work goes on', async ({
  page,
}) => {
  const clock = await toBench(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId(CLOCK)).toContainText('0 of');
  await clock.press((p) => p.keyboard.press('ArrowRight'));
  const goTo = async (name: string) => {
    const button = page.getByRole('button', { name });
    for (let i = 0; i < 60; i += 1) {
      if (await button.evaluate((one) => one === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`never came to ${name}`);
  };
  await goTo('Instead …');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: /On one nail/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await goTo('It broke: go on without it');
  await page.keyboard.press('Enter');
  await expect(rest(page).getByRole('button', { name: 'Go on so' })).toBeEnabled();
  await goTo('Go on so');
  await page.keyboard.press('Enter');
  await expect(rest(page)).toBeHidden();
  await clock.press((p) => p.keyboard.press('ArrowRight'));
  await expect(page.getByTestId(CLOCK)).toContainText('2 of');
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a tap anywhere on what is to be done says that it is done; nothing is wider than the screen', async ({
    page,
  }) => {
    const clock = await toBench(page);
    await page.getByRole('button', { name: 'Begin' }).tap();
    await expect(page.getByTestId(CLOCK)).toContainText('0 of');
    for (let i = 1; i <= 5; i += 1) {
      await clock.press(async (p) => {
        // Not on a button: on the words themselves.
        const box = (await p.getByTestId('bench-now').boundingBox())!;
        await p.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
      });
      await expect(page.getByTestId(CLOCK)).toContainText(`${i} of`);
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await noViolations(page);
  });
});

test('a recipe is asked for where it would be lost, and kept by one tap or as it really was', async ({
  page,
}) => {
  test.slow();
  const clock = await begun(page, 'Fly Tower');
  await clock.until(/magnet held/);
  await clock.press((p) => p.keyboard.press('Space'));
  const asked = page.getByRole('region', { name: 'What it really was' });
  await expect(asked).toContainText('Cat-eye');
  await expect(asked).toContainText('Held 8 s');
  await asked.getByRole('button', { name: 'It was otherwise …' }).click();
  await page.getByRole('dialog').getByLabel('Held, s').fill('11');
  await page.getByRole('button', { name: 'Note it so' }).click();
  const recipes = async () =>
    (await benches(page))[0]!.events.flatMap((one) => (one.what === 'recipe' ? [one] : []));
  expect((await recipes())[0]).toMatchObject({ kept: false });
  expect((await recipes())[0]!.figures.find(({ path }) => path === 'hold_s')?.value).toBe(11);
});

test('a photo is kept here, small and without its place; a caliper’s figure goes into the record', async ({
  page,
}) => {
  await begun(page);
  const marked = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(3000, 2000);
    const context = canvas.getContext('2d')!;
    for (let i = 0; i < 4000; i += 1) {
      context.fillStyle = `hsl(${(i * 37) % 360} 60% 50%)`;
      context.fillRect((i * 97) % 3000, (i * 61) % 2000, 40, 40);
    }
    const jpeg = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer());
    // A comment segment right after the start of the image, as cameras write what they know.
    const said = new TextEncoder().encode('GPS 48.2082 N 16.3738 E');
    const segment = [0xff, 0xfe, 0, said.length + 2, ...said];
    return [...jpeg.slice(0, 2), ...segment, ...jpeg.slice(2)];
  });
  const buffer = Buffer.from(marked);
  expect(buffer.includes('48.2082')).toBe(true);
  await page.getByLabel('A photo').setInputFiles({ name: 'ring.jpg', mimeType: 'image/jpeg', buffer });
  await expect
    .poll(async () => (await benches(page))[0]!.events.some(({ what }) => what === 'pictured'))
    .toBe(true);
  const kept = await page.evaluate(
    () =>
      new Promise<{ size: number; text: string; width_px: number }>((resolve) => {
        const open = indexedDB.open('merry-lacquer');
        open.onsuccess = () => {
          const asked = open.result.transaction('photos').objectStore('photos').getAll();
          asked.onsuccess = async () => {
            const [{ picture, width_px }] = asked.result as [{ picture: Blob; width_px: number }];
            resolve({ size: picture.size, text: await picture.text(), width_px });
          };
        };
      }),
  );
  expect(kept.size).toBeLessThanOrEqual(200_000);
  expect(kept.width_px).toBeLessThanOrEqual(1600);
  expect(kept.text).not.toContain('48.2082');
  await page.getByLabel('A photo').setInputFiles({
    name: '<script>.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(page.getByText('No photo was kept')).toBeVisible();
  // A caliper that types.
  await page.keyboard.type('11.46');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Measured 11.46 mm')).toBeVisible();
  await expect(page.getByTestId(CLOCK)).toContainText('0 of');
  await more(page, 'Record');
  const record = page.getByRole('dialog');
  await expect(record.getByRole('img', { name: /^Photo at/ })).toBeVisible();
  await expect(record.getByText('Measured 11.46 mm')).toBeVisible();
  await record.getByRole('button', { name: /Throw the photo/ }).click();
  await expect(record.getByRole('img', { name: /^Photo at/ })).toBeHidden();
});

test('one tab works at a table: another shows it, and takes it only when it is told to', async ({
  page,
  context,
}) => {
  const clock = await begun(page);
  await clock.press((p) => p.keyboard.press('Space'));
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByText('worked at in another tab')).toBeVisible();
  await expect(other.getByTestId(CLOCK)).toContainText('1 of');
  await other.keyboard.press('Space');
  await expect(other.getByTestId(CLOCK)).toContainText('1 of');
  await clock.press((p) => p.keyboard.press('Space'));
  await expect(other.getByTestId(CLOCK)).toContainText('2 of');
  await other.getByRole('button', { name: 'Work here instead' }).click();
  await expect(other.getByText('worked at in another tab')).toBeHidden();
  await expect(page.getByText('worked at in another tab')).toBeVisible();
  await other.clock.setSystemTime(clock.now_ms() + 30_000);
  await other.keyboard.press('Space');
  await expect(other.getByTestId(CLOCK)).toContainText('3 of');
  await expect(page.getByTestId(CLOCK)).toContainText('3 of');
  // The set is changed there meanwhile: told here, and nothing of what was done is lost.
  await goTo(other, 'How I work');
  await other.getByRole('radio', { name: /^Wipe/ }).first().click();
  await expect(page.getByText('The set was changed since this was planned.')).toBeVisible();
});

test('a full disk is told, and what was pressed meanwhile is written as soon as there is room', async ({
  page,
}) => {
  const clock = await begun(page);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(globalThis, { roomAgain: () => (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = function refused(...args: Parameters<typeof put>) {
      if (this.name !== 'benches') return put.apply(this, args);
      this.transaction.abort();
      return put.apply(this, args);
    };
  });
  await clock.press((p) => p.keyboard.press('Space'));
  await expect(page.getByRole('alert').filter({ hasText: 'Not written down' })).toBeVisible();
  await expect(page.getByTestId(CLOCK)).toContainText('1 of');
  await page.evaluate(() => (globalThis as unknown as { roomAgain: () => void }).roomAgain());
  await clock.press((p) => p.keyboard.press('Space'));
  await expect(page.getByText('Not written down')).toBeHidden();
  await page.reload();
  await expect(page.getByTestId(CLOCK)).toContainText('2 of');
});

test('a practice run is twenty times as quick, and nothing of it is kept', async ({ page }) => {
  await toBench(page);
  await more(page, 'Practice run');
  await page.getByRole('button', { name: 'Begin' }).click();
  const seconds = async () => {
    const [, m, s] = /(\d+):(\d\d)/.exec((await page.getByTestId(CLOCK).textContent())!)!;
    return Number(m) * 60 + Number(s);
  };
  await expect.poll(seconds).toBeGreaterThan(30);
  await page.keyboard.press('Space');
  await expect(page.getByTestId(CLOCK)).toContainText('1 of');
  await more(page, 'End the practice');
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  expect(await benches(page)).toEqual([]);
});

test('own times of the bench are offered to the plan, go into it by one press, and out of it again', async ({
  page,
}) => {
  const clock = await begun(page);
  for (let i = 0; i < 26; i += 1)
    await clock.until(/./, undefined).then(() => clock.press((p) => p.keyboard.press('Space'), 40_000));
  await goTo(page, 'How I work');
  const own = page.getByRole('region', { name: 'My own times' });
  await expect(own).toContainText('This set is planned by the guide');
  await own.getByRole('button', { name: 'Plan this set with them' }).click();
  await expect(own).toContainText('This set is planned with them.');
  await goTo(page, 'Timing');
  await expect(page.getByTestId('timed-by')).toContainText(/your own times for \d+ %/);
  await goTo(page, 'How I work');
  await noViolations(page);
  await own.getByRole('button', { name: 'Back to the guide' }).click();
  await goTo(page, 'Timing');
  await expect(page.getByTestId('timed-by')).toContainText('Timed by the guide');
});

test('a set goes out with its record only when that is asked for, and both come back', async ({ page }) => {
  const clock = await begun(page);
  await clock.press((p) => p.keyboard.press('Space'));
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Matinée' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export with its record' }).click();
  const path = await (await download).path();
  await page.evaluate(() => indexedDB.deleteDatabase('merry-lacquer'));
  await page.reload();
  await expect(page.getByRole('button', { name: 'More for Matinée' })).toBeVisible();
  await page
    .locator('input[type="file"]')
    .first()
    .setInputFiles({
      name: 'one.zip',
      mimeType: 'application/zip',
      buffer: (await import('node:fs')).readFileSync(path),
    });
  await page
    .getByRole('button', { name: /Take|Keep both|Add/ })
    .first()
    .click();
  await expect.poll(async () => (await benches(page)).length).toBe(1);
});
