import { expect, test, type Page } from '@playwright/test';
import { drag, drawnAnew, exported, middleOf, noViolations, openDemo, pixels, planned } from './helpers';

const undo = (page: Page) => page.getByRole('button', { name: 'Undo' });
const handle = (page: Page, id: string) => page.getByTestId(`handle-${id}`);

interface Saved {
  nails: Record<string, { look: string | null }>;
  looks: { id: string; name: string; elements: ({ id: string; kind: string } & Record<string, unknown>)[] }[];
}
const saved = async (page: Page) => JSON.parse((await exported(page)).text) as Saved;
const elementsOf = async (page: Page, look: string) =>
  (await saved(page)).looks.find((one) => one.name === look)!.elements;

test('one stone of a row is moved and the others stay; undo leads back to the same file', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  const before = (await exported(page)).text;
  await page.keyboard.press('3');
  await page.getByRole('button', { name: 'Open Chandelier' }).click();
  await page.getByTestId('element-stones').click();
  const look = await pixels(page, 'left-middle');
  const from = await middleOf(page, 'handle-stone-1');
  const still = await middleOf(page, 'handle-stone-2');
  await drag(page, from, { x: from.x + 6, y: from.y - 60 });
  await drawnAnew(page, 'left-middle', look);
  const row = (await elementsOf(page, 'Chandelier')).find((one) => one.kind === 'crystals')!;
  expect(row.moved).toHaveLength(1);
  expect((row.moved as { up_mm: number }[])[0]!.up_mm).toBeGreaterThan(2);
  expect(await middleOf(page, 'handle-stone-2')).toEqual(still);
  await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
});

test('five stones go round a charm in one press, each of them can be moved on', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.keyboard.press('5');
  await page.getByRole('button', { name: 'Open Mask' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Stones/ }).click();
  await page.getByRole('button', { name: 'Round the charm' }).click();
  const elements = await elementsOf(page, 'Mask');
  const charm = elements.find((one) => one.kind === 'charm') as unknown as { across: number; along: number };
  const { stones } = elements.find((one) => one.kind === 'stones') as unknown as {
    stones: { across: number; along: number }[];
  };
  expect(stones).toHaveLength(5);
  // On both sides of it, above it and below it.
  expect(stones.some((stone) => stone.across < charm.across - 0.1)).toBe(true);
  expect(stones.some((stone) => stone.across > charm.across + 0.1)).toBe(true);
  expect(stones.some((stone) => stone.along > charm.along + 0.1)).toBe(true);
  expect(stones.some((stone) => stone.along < charm.along - 0.1)).toBe(true);
  await handle(page, 'stone-2').focus();
  await page.keyboard.press('Shift+ArrowUp');
  const moved = (await elementsOf(page, 'Mask')).find((one) => one.kind === 'stones') as unknown as {
    stones: { along: number }[];
  };
  expect(moved.stones[2]!.along).toBeGreaterThan(stones[2]!.along);
  await noViolations(page);
});

test('the nail taken apart: what lies over what is changed by dragging, and by keys', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.keyboard.press('5');
  await page.getByRole('button', { name: 'Open Mask' }).click();
  const order = async () => (await elementsOf(page, 'Mask')).map((one) => one.id);
  const before = await order();
  const top = before.at(-1)!;
  await page.getByTestId(`element-${top}`).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(order).toEqual([...before.slice(0, -2), top, before.at(-2)]);
  await drag(page, await middleOf(page, `element-${top}`), await middleOf(page, `element-${before.at(-2)}`));
  await expect.poll(order).toEqual(before);
});

test('from an empty set to ten nails in four looks: well under seventy actions', async ({ page }) => {
  let actions = 0;
  const act = async (what: Promise<unknown>) => {
    actions += 1;
    await what;
  };
  await page.goto('/');
  await act(page.getByRole('button', { name: 'New set' }).click());
  await planned(page);
  const add = async (words: RegExp) => {
    await act(page.getByRole('button', { name: 'Add', exact: true }).click());
    await act(page.getByRole('menuitem', { name: words }).click());
  };
  const colours = ['Ivory 02', 'Night blue', 'Sage 03'];
  const arts = [/^Ombre/, /^French/, /^Crystals/];
  for (const [i, colour] of colours.entries()) {
    await act(page.getByRole('button', { name: 'New look', exact: true }).click());
    await act(page.getByRole('combobox', { name: 'Colour' }).selectOption(colour));
    await add(arts[i]!);
  }
  await act(page.getByRole('button', { name: 'Who wears what' }).click());
  const dialog = page.getByRole('dialog', { name: 'Who wears what' });
  for (const box of await dialog.getByRole('checkbox', { name: /New look/ }).all())
    if (!(await box.isChecked())) await act(box.click());
  const proposals = dialog.getByRole('list', { name: /Proposals/ }).getByRole('button');
  await expect(proposals).toHaveCount(6);
  await noViolations(page);
  await act(proposals.first().click());
  await expect(dialog).toBeHidden();
  const { nails, looks } = await saved(page);
  expect(looks).toHaveLength(4);
  const worn = Object.values(nails).map((nail) => nail.look);
  expect(worn.every((look) => look !== null)).toBe(true);
  expect(new Set(worn).size).toBe(4);
  expect(actions).toBeLessThan(70);
});

test('a colour, a smile line, a piece and a stone are each changed by hand in at most three actions', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  const changed = async (nail: string, doing: (() => Promise<unknown>)[]) => {
    const look = await pixels(page, nail);
    for (const one of doing) await one();
    expect(doing.length).toBeLessThanOrEqual(3);
    await drawnAnew(page, nail, look);
  };
  const nudge = async (id: string) => {
    await handle(page, id).focus();
    await page.keyboard.press('Shift+ArrowUp');
  };
  await changed('left-ring', [() => nudge('piece-0')]);
  await page.keyboard.press('4');
  await changed('left-index', [
    () => page.getByRole('button', { name: 'Open Proscenium' }).click(),
    () => nudge('smile-middle'),
  ]);
  await page.keyboard.press('3');
  await changed('left-middle', [
    () => page.getByRole('button', { name: 'Open Chandelier' }).click(),
    () => page.getByTestId('element-stones').click(),
    () => nudge('stone-1'),
  ]);
  await changed('left-middle', [
    () => page.getByTestId('element-velvet').click(),
    () => page.getByRole('combobox', { name: 'Colour' }).selectOption({ label: 'Night blue' }),
  ]);
});

test('a line is drawn on the nail by hand, or read from an SVG; what is none is told', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Colour/ }).click();
  await page.getByRole('combobox', { name: 'Where' }).selectOption({ label: 'A line drawn by hand' });
  const points = async () => {
    const drawn = (await elementsOf(page, 'Ticket stubs')).at(-1) as unknown as {
      region: { kind: string; points: { across: number; along: number }[] };
    };
    expect(drawn.region.kind).toBe('path');
    return drawn.region.points;
  };
  const before = await points();
  await page.getByRole('button', { name: 'Draw it on the nail' }).click();
  const box = (await page.getByTestId('pen').boundingBox())!;
  const at = (x: number, y: number) => ({ x: box.x + box.width * x, y: box.y + box.height * y });
  await drag(page, at(0.4, 0.7), at(0.6, 0.3));
  await expect(page.getByTestId('pen')).toBeHidden();
  const drawn = await points();
  expect(drawn).not.toEqual(before);
  // Drawn from the cuticle towards the tip.
  expect(drawn.at(-1)!.along).toBeGreaterThan(drawn[0]!.along + 0.3);
  const svg = page.getByRole('textbox', { name: 'Or an SVG path' });
  await svg.fill('M 0 0 C 2 8 4 8 6 0');
  await expect.poll(async () => (await points()).length).toBeGreaterThan(4);
  const read = await points();
  await svg.fill('<svg xmlns="http://www.w3.org/2000/svg"><script>window.hurt = 1</script></svg>');
  await expect(page.getByText('has no path in it')).toBeVisible();
  await svg.fill('not a path');
  await expect(page.getByText(/is no path/)).toBeVisible();
  await svg.fill(`M 0 0 ${'L 1 1 '.repeat(50_000)}`);
  await expect(page.getByText(/characters: at most/)).toBeVisible();
  expect(await points()).toEqual(read);
  expect(await page.evaluate(() => 'hurt' in window)).toBe(false);
});

test('a picture is kept beside the desk: its colours, what comes near them, and what is no picture', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  await page.getByTestId('element-velvet').click();
  const input = page.getByLabel('Reference picture or palette');
  await input.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/cannot be read: a PNG, JPEG or WebP/)).toBeVisible();
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 200;
    const context = canvas.getContext('2d')!;
    for (const [i, colour] of ['#b5392c', '#1c2a4f', '#f2e7d3', '#8fa08a'].entries()) {
      context.fillStyle = colour;
      context.fillRect(0, i * 50, 200, 50);
    }
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  await input.setInputFiles({ name: 'plush.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(page.getByRole('img', { name: 'Reference: plush.png' })).toBeVisible();
  const palette = page.getByRole('group', { name: 'Palette' });
  await expect(palette.getByRole('button', { name: /^Colour #/ })).toHaveCount(4);
  await noViolations(page);
  const look = await pixels(page, 'left-ring');
  await palette.getByRole('button', { name: 'Colour #b5392c' }).click();
  await expect(page.getByText(/Nearest: Ember 12, ΔE \d/)).toBeVisible();
  await page.getByRole('button', { name: 'Use Ember 12' }).click();
  await drawnAnew(page, 'left-ring', look);
  // It is still there after a reload, and goes when it is taken away.
  await page.reload();
  await expect(page.getByRole('img', { name: 'Reference: plush.png' })).toBeVisible();
  await page.getByRole('button', { name: 'More for the palette' }).click();
  await page.getByRole('menuitem', { name: 'Take it away' }).click();
  await expect(page.getByRole('button', { name: 'Reference picture' })).toBeVisible();
  await input.setInputFiles({
    name: 'bad.gpl',
    mimeType: 'text/plain',
    buffer: Buffer.from('GIMP Palette\n1 2 3 good\n1 2 999 bright\n'),
  });
  await expect(page.getByText(/line 3: is no colour/)).toBeVisible();
  await input.setInputFiles({
    name: 'foyer.gpl',
    mimeType: 'text/plain',
    buffer: Buffer.from('GIMP Palette\nName: Foyer\n74 15 34 Velvet\n28 42 79 Night\n'),
  });
  await expect(palette.getByRole('button', { name: /^Colour #/ })).toHaveCount(2);
});

test('seen by other eyes: what is drawn changes, what is written does not', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const filter = () =>
    page
      .getByTestId('nail-left-ring')
      .locator('canvas')
      .evaluate((canvas) => getComputedStyle(canvas).filter);
  expect(await filter()).toBe('none');
  await page.getByRole('combobox', { name: 'Seen' }).selectOption({ label: 'By eyes without green' });
  expect(await filter()).toContain('#seen-deutan');
  await page.getByRole('combobox', { name: 'Seen' }).selectOption({ label: 'As it is' });
  expect(await filter()).toBe('none');
});

test('on a phone the set is seen whole and its card is read without going sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, 'Curtain Up');
  const fits = () =>
    page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);
  expect(await fits()).toBe(true);
  for (const nail of ['left-little', 'right-little']) {
    const box = (await page.getByTestId(`nail-${nail}`).boundingBox())!;
    expect(box.x).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width).toBeLessThanOrEqual(390);
  }
  await page.getByRole('link', { name: 'Card' }).click();
  await expect(page.getByRole('heading', { name: 'Curtain Up', level: 2 })).toBeVisible();
  const line = (await page.getByText('Sanitise both people’s hands').first().boundingBox())!;
  expect(line.x + line.width).toBeLessThanOrEqual(390);
  expect(await fits()).toBe(true);
});

test('several pieces move as one, by arrows and in one step; an element goes into another look', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  const before = (await exported(page)).text;
  const pieces = async () => {
    const inlay = (await elementsOf(page, 'Ticket stubs')).find((one) => one.kind === 'inlay')!;
    return inlay.pieces as { across: number; along: number }[];
  };
  const at = await pieces();
  await handle(page, 'piece-0').click({ modifiers: ['Shift'] });
  await handle(page, 'piece-3').click({ modifiers: ['Shift'] });
  await handle(page, 'piece-3').focus();
  await page.keyboard.press('Shift+ArrowUp');
  const moved = await pieces();
  for (const [i, piece] of at.entries())
    if (i === 0 || i === 3) expect(moved[i]!.along).toBeGreaterThan(piece.along + 0.02);
    else expect(moved[i]).toEqual(piece);
  await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Copy it into Proscenium' }).click();
  expect((await elementsOf(page, 'Proscenium')).filter((one) => one.kind === 'inlay')).toHaveLength(1);
});
