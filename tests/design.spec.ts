import { crc32 } from 'node:zlib';
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
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-stones').click();
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
  const order = async () => (await elementsOf(page, 'Mask')).map((one) => one.id);
  expect(await order()).toEqual(['velvet', 'hush', 'mask', 'spotlight']);
  // The mask stands on the top wherever it is listed: below the gloss on the screen lies the matte.
  await page.getByTestId('element-spotlight').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(order).toEqual(['velvet', 'spotlight', 'hush', 'mask']);
  // The list stands as it is laid, which the plan says.
  await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-planning', 'fresh');
  await drag(page, await middleOf(page, 'element-spotlight'), await middleOf(page, 'element-hush'));
  await expect.poll(order).toEqual(['velvet', 'hush', 'spotlight', 'mask']);
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
  const add = async (kind: string) => {
    await act(page.getByRole('button', { name: 'Add', exact: true }).click());
    await act(page.getByTestId(`add-${kind}`).click());
  };
  const colours = ['Ivory 02', 'Night blue', 'Sage 03'];
  const arts = ['ombre', 'french', 'crystals'];
  for (const [i, colour] of colours.entries()) {
    await act(page.getByRole('button', { name: 'New look', exact: true }).click());
    await act(page.getByRole('combobox', { name: 'Colour' }).selectOption(colour));
    await add(arts[i]!);
  }
  await act(page.getByRole('button', { name: 'Who wears what' }).click());
  const dialog = page.getByRole('dialog', { name: 'Who wears what' });
  for (const box of await dialog.getByRole('checkbox', { name: /Ivory|Night|Sage/ }).all())
    if (!(await box.isChecked())) await act(box.click());
  const proposals = dialog.getByRole('list', { name: /Proposals/ }).getByRole('button');
  await act(dialog.getByText('3', { exact: true }).click());
  await expect(proposals).toHaveCount(8);
  await noViolations(page);
  await act(proposals.first().click());
  await expect(dialog).toBeHidden();
  const { nails, looks } = await saved(page);
  expect(looks).toHaveLength(4);
  const worn = Object.values(nails).map((nail) => nail.look);
  expect(worn.every((look) => look !== null)).toBe(true);
  expect(new Set(worn).size).toBeGreaterThanOrEqual(3);
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
  await changed('left-index', [() => nudge('smile-middle')]);
  await page.keyboard.press('3');
  await changed('left-middle', [() => page.getByTestId('element-stones').click(), () => nudge('stone-1')]);
  await changed('left-middle', [
    () => page.getByTestId('element-velvet').click(),
    () => page.getByRole('combobox', { name: 'Colour' }).selectOption({ label: 'Night blue' }),
  ]);
});

test('a line is drawn on the nail by hand, or read from an SVG; what is none is told', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-colour').click();
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
  await expect(page.getByText(/Line 3: is no colour/)).toBeVisible();
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

test('a cat-eye is drawn to where it is wanted, and its card says how', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const undressed = await pixels(page, 'left-middle');
  await page.getByTestId('nail-left-middle').click();
  await page.keyboard.press('a');
  const before = await drawnAnew(page, 'left-middle', undressed);
  await page.getByTestId('look-velvet').click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-magnetic').click();
  const plain = await drawnAnew(page, 'left-middle', before);
  // Turned by its end, which shows once its middle is taken hold of.
  await handle(page, 'shimmer').focus();
  await expect(page.getByTestId('handle-says')).toContainText('mm from the cuticle');
  const end = await middleOf(page, 'handle-shimmer-turn');
  await drag(page, end, { x: end.x + 60, y: end.y + 40 });
  await drawnAnew(page, 'left-middle', plain);
  const cat = (await elementsOf(page, 'House velvet')).find((one) => one.kind === 'magnetic')!;
  expect(cat.turn_deg).toBeLessThan(-10);
  // Its light follows the pointer.
  const plot = page.getByTestId('plot');
  const lit = (side: string) =>
    plot.locator(`[data-side="${side}"]`).evaluate((one) => Number(getComputedStyle(one).opacity));
  const box = (await plot.boundingBox())!;
  // A hand that has just let go of something moves on, and the light with it.
  const pointed = async (share: number, side: string) => {
    await page.mouse.move(box.x + box.width * share, box.y + box.height / 2, { steps: 3 });
    await page.mouse.move(box.x + box.width * share, box.y + box.height / 2 + 9, { steps: 3 });
    return lit(side);
  };
  await expect.poll(() => pointed(0.1, 'left')).toBeGreaterThan(0.5);
  expect(await lit('right')).toBe(0);
  await expect.poll(() => pointed(0.9, 'right')).toBeGreaterThan(0.5);
  await page.getByRole('combobox', { name: 'Shimmer' }).selectOption({ label: 'Out to the sides' });
  await page.getByRole('link', { name: 'Card' }).click();
  await expect(
    page.getByText(/bar magnet held beside one sidewall, then the other, 4 mm off/).first(),
  ).toBeVisible();
  await expect(page.getByText(/pacemakers/).first()).toBeVisible();
});

test('letters are written, waves swung, and two things on a nail told apart', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-colour').click();
  const region = async () =>
    ((await elementsOf(page, 'Ticket stubs')).at(-1) as unknown as { region: Record<string, unknown> })
      .region;
  const where = page.getByRole('combobox', { name: 'Where' });
  await where.selectOption({ label: 'Letters' });
  const text = page.getByRole('textbox', { name: 'Letters' });
  await text.fill('Foyer');
  expect(await region()).toMatchObject({ kind: 'letters', text: 'Foyer' });
  await text.fill('Foyér');
  await expect(page.getByText('A to Z, figures, and & . ! ? + - only')).toBeVisible();
  expect(await region()).toMatchObject({ text: 'Foyer' });
  await text.fill('9');
  await handle(page, 'letters').focus();
  await handle(page, 'letters').press('Shift+ArrowUp');
  await expect(page.getByTestId('handle-says')).toContainText('mm from the cuticle');
  await where.selectOption({ label: 'Lines, stripes, checks, waves' });
  await expect(handle(page, 'lines-wave')).toHaveCount(0);
  await page.getByRole('switch', { name: 'Wavy' }).check({ force: true });
  await handle(page, 'lines').focus();
  const crest = await middleOf(page, 'handle-lines-wave');
  await drag(page, crest, { x: crest.x + 20, y: crest.y });
  const { wave } = (await region()) as { wave: { rise_mm: number } };
  expect(wave.rise_mm).toBeGreaterThan(0.9);
  const { turn_deg } = (await region()) as unknown as { turn_deg: number };
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Cross it in another colour: a plaid' }).click();
  expect(Math.abs(((await region()) as unknown as { turn_deg: number }).turn_deg - turn_deg)).toBe(90);
  await page.getByRole('combobox', { name: 'Told from' }).selectOption({ label: 'Colour, Velvet 04' });
  await expect(page.getByText(/ΔE \d+/).last()).toBeVisible();
  await noViolations(page);
});

test('what mirroring would overwrite is shown before; one finger can be mirrored alone', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  await page.getByRole('switch', { name: 'Both hands' }).click();
  for (const [nail, look] of [
    ['right-ring', 'tickets'],
    ['right-thumb', 'velvet'],
  ] as const) {
    await page.getByTestId(`nail-${nail}`).click();
    const key = (await saved(page)).looks.find((one) => one.id.includes(look))?.id;
    await page.getByTestId(`look-${key}`).click();
    const put = page.getByRole('button', { name: /^Put on/ });
    if ((await put.count()) > 0) await put.click();
  }
  const looks = async () =>
    Object.fromEntries(Object.entries((await saved(page)).nails).map(([k, v]) => [k, v.look]));
  const before = await looks();
  await page.getByTestId('nail-left-thumb').click();
  await page.getByRole('button', { name: 'Mirror to the right hand' }).click();
  const asked = page.getByRole('dialog', { name: 'Mirror to the right hand' });
  await expect(asked.getByRole('listitem').filter({ hasText: 'right thumb' })).toContainText('becomes');
  await expect(page.getByTestId('nail-right-thumb')).toHaveAttribute('aria-label', /House velvet/);
  await asked.getByRole('button', { name: /Only the right thumb|Change this nail/ }).click();
  const after = await looks();
  expect(after['right-thumb']).toBe(before['left-thumb']);
  expect(after['right-ring']).toBe(before['right-ring']);
});

test('pictures that are too wide, move or lie on their side; a mix that becomes a product', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  await page.getByTestId('element-velvet').click();
  const input = page.getByLabel('Reference picture or palette');
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    check.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, check]);
  };
  const drawn = async (type: string, width: number, height: number, colour: string) =>
    Buffer.from(
      await page.evaluate(
        ([mime, w, h, fill]) => {
          const canvas = document.createElement('canvas');
          [canvas.width, canvas.height] = [w, h];
          const context = canvas.getContext('2d')!;
          context.fillStyle = fill;
          context.fillRect(0, 0, w, h);
          return canvas.toDataURL(mime).split(',')[1]!;
        },
        [type, width, height, colour] as const,
      ),
      'base64',
    );
  const png = await drawn('image/png', 60, 40, '#c98a70');
  const head = png.subarray(0, 33);
  const wide = Buffer.from(png);
  wide.writeUInt32BE(20_000, 16);
  await input.setInputFiles({ name: 'wide.png', mimeType: 'image/png', buffer: wide });
  await expect(page.getByText(/is 20000 × 40 px: at most 12000 a side/)).toBeVisible();
  const [frames, frame] = [Buffer.alloc(8), Buffer.alloc(26)];
  frames.writeUInt32BE(1);
  frame.writeUInt32BE(60, 4);
  frame.writeUInt32BE(40, 8);
  frame.writeUInt16BE(1, 20);
  frame.writeUInt16BE(10, 22);
  const moving = Buffer.concat([head, chunk('acTL', frames), chunk('fcTL', frame), png.subarray(33)]);
  await input.setInputFiles({ name: 'moving.png', mimeType: 'image/png', buffer: moving });
  await expect(page.getByText('It moves: its first picture was taken.')).toBeVisible();
  await expect(page.getByText(/at most 12000/)).toBeHidden();
  // A camera that was held upright says so in the picture's head.
  const jpeg = await drawn('image/jpeg', 80, 40, '#c98a70');
  const tiff = Buffer.from('4d4d002a00000008000101120003000000010006000000000000', 'hex');
  const exif = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const size = Buffer.alloc(2);
  size.writeUInt16BE(exif.length + 2);
  const turned = Buffer.concat([
    jpeg.subarray(0, 2),
    Buffer.from([0xff, 0xe1]),
    size,
    exif,
    jpeg.subarray(2),
  ]);
  await page.getByRole('button', { name: 'More for the palette' }).click();
  await page.getByRole('menuitem', { name: 'Take it away' }).click();
  await input.setInputFiles({ name: 'turned.jpg', mimeType: 'image/jpeg', buffer: turned });
  const thumb = page.getByRole('img', { name: 'Reference: turned.jpg' });
  await expect(thumb).toBeVisible();
  await expect.poll(() => thumb.evaluate((one) => (one as HTMLImageElement).naturalHeight)).toBe(80);
  await expect(page.getByText('It moves')).toBeHidden();
  // Its colour lies between two of the shelf: the mix is taken as a product of its own.
  await page
    .getByRole('group', { name: 'Palette' })
    .getByRole('button', { name: /^Colour #/ })
    .first()
    .click();
  await expect(page.getByText(/^Mixed: /)).toBeVisible();
  await page.getByRole('button', { name: 'Use the mix' }).click();
  await expect(page.getByRole('combobox', { name: 'Colour' }).locator('option:checked')).toHaveText(
    /^\d .+ \+ \d .+/,
  );
});

test('stones are laid along a line that is drawn, dots set in rows; the card counts them out', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-stones').click();
  await page.getByRole('button', { name: 'Along a line' }).click();
  const box = (await page.getByTestId('pen').boundingBox())!;
  const at = (x: number, y: number) => ({ x: box.x + box.width * x, y: box.y + box.height * y });
  await drag(page, at(0.5, 0.75), at(0.55, 0.3));
  await expect(page.getByTestId('pen')).toBeHidden();
  const stones = async () =>
    (
      (await elementsOf(page, 'Ticket stubs')).find((one) => one.kind === 'stones') as unknown as {
        stones: unknown[];
      }
    ).stones.length;
  const count = await stones();
  expect(count).toBeGreaterThan(3);
  await expect(handle(page, `stone-${count - 1}`)).toBeVisible();
  await undo(page).click();
  expect(await stones()).toBe(1);
  await handle(page, 'stone-0').focus();
  await page.keyboard.press('Control+d');
  await expect.poll(stones).toBe(2);
  await undo(page).click();
  await expect.poll(stones).toBe(1);
  await page.getByRole('button', { name: 'Grid' }).click();
  await expect.poll(stones).toBe(9);
  await page.getByRole('link', { name: 'Card' }).click();
  await expect(page.getByRole('heading', { name: 'Counted out' })).toBeVisible();
  await expect(page.getByText(/^\d+ stones SS5/).first()).toBeVisible();
  // An old card is greyed until the new one is there.
  await expect(page.getByTestId('plan-sum')).toHaveAttribute('data-planning', 'fresh');
  await noViolations(page);
});
