import { expect, test, type Page, type Locator } from '@playwright/test';
import { readFileSync } from 'node:fs';
import type { SetDocument } from '../src/core/document/document';
import {
  drag,
  drawnAnew,
  EACH,
  exported,
  middleOf,
  noViolations,
  openDemo,
  pixels,
  planned,
} from './helpers';

const says = (page: Page) => page.getByTestId('handle-says');
const handle = (page: Page, id: string) => page.getByTestId(`handle-${id}`);
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' });

/** Where something lies once nothing moves it any more: what was just added may still find its place. */
async function steady(what: Locator) {
  let box = await what.boundingBox();
  await expect
    .poll(async () => {
      const before = box;
      box = await what.boundingBox();
      return box !== null && JSON.stringify(box) === JSON.stringify(before);
    })
    .toBe(true);
  return box!;
}

/** Drags a handle by so many mm on the nail, right and towards the tip, in the small steps of a hand. */
async function dragBy(page: Page, id: string, right_mm: number, up_mm: number) {
  const scale = Number(await page.getByTestId('plot').getAttribute('data-px-per-mm'));
  const box = await steady(handle(page, id));
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + right_mm * scale, y - up_mm * scale, { steps: 12 });
  return () => page.mouse.up();
}

test('a piece is put exactly where it belongs: dragged, then nudged by arrows; each is one step of undo', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  const before = (await exported(page)).text;
  const look = await pixels(page, 'left-ring');
  const drop = await dragBy(page, 'piece-0', -1.2, 2);
  await drop();
  await drawnAnew(page, 'left-ring', look);
  await expect(undo(page)).toBeEnabled();
  await noViolations(page);
  // 2.5 mm left of the centre line, 4 mm past the cuticle, by keyboard alone.
  await handle(page, 'piece-0').focus();
  const at = async () => {
    const [, off, side, up] = /([\d.]+)? ?(?:mm )?(left|right|middle), ([\d.]+) mm/.exec(
      (await says(page).textContent())!.replace(/^Piece 1/, '').trim(),
    )!;
    return { x: (side === 'left' ? -1 : 1) * Number(off ?? 0), y: Number(up) };
  };
  for (let i = 0; i < 200; i += 1) {
    const { x, y } = await at();
    if (Math.abs(x + 2.5) < 0.06 && Math.abs(y - 4) < 0.06) break;
    const far = Math.max(Math.abs(x + 2.5), Math.abs(y - 4));
    const sideways = Math.abs(x + 2.5) >= Math.abs(y - 4);
    const key = sideways ? (x > -2.5 ? 'ArrowLeft' : 'ArrowRight') : y > 4 ? 'ArrowDown' : 'ArrowUp';
    const told = await says(page).textContent();
    await page.keyboard.press(far > 1.2 ? `Shift+${key}` : key);
    await expect(says(page)).not.toHaveText(told!);
  }
  await expect(says(page)).toContainText('2.5 mm left, 4.0 mm from the cuticle');
  // The drag was one step, the nudging another.
  await undo(page).click();
  await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
});

test(
  'a smile line follows the hand, says its figures meanwhile, and goes back at Escape',
  EACH,
  async ({ page }) => {
    await openDemo(page, 'Curtain Up');
    await page.getByRole('button', { name: 'Keep this look open' }).click();
    await page.keyboard.press('4');
    // What is pinned stays open; the nail wears something else, and says so.
    await expect(page.getByText('Wears Proscenium; Ticket stubs is open.')).toBeVisible();
    await expect(handle(page, 'piece-0')).toHaveCount(0);
    await page.getByRole('button', { name: 'Keep this look open' }).click();
    const rise = page.getByRole('textbox', { name: 'Rise, mm' });
    await expect(rise).toHaveValue('0.6');
    const drop = await dragBy(page, 'smile-middle', 0, 1.5);
    await expect(says(page)).toContainText(/rise 2\.\d, depth 2\.6/);
    await page.keyboard.press('Escape');
    await drop();
    await expect(rise).toHaveValue('0.6');
    const again = await dragBy(page, 'smile-middle', 3, 1.5);
    await again();
    await expect(rise).not.toHaveValue('0.6');
    const look = await pixels(page, 'left-index');
    // A drag that ends far outside leaves a smile line within what one can be.
    const out = await dragBy(page, 'smile-left', -30, 60);
    await out();
    await drawnAnew(page, 'left-index', look);
    await expect(page.getByRole('textbox', { name: 'Depth, mm' })).toHaveValue('0');
  },
);

test('one nail has its fade otherwise; as the look has it again in one press', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const before = (await exported(page)).text;
  await page.keyboard.press('1');
  await page.getByRole('switch', { name: 'Both hands' }).click();
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Change it on the left little finger only' }).click();
  const [own, other] = [await pixels(page, 'left-little'), await pixels(page, 'right-little')];
  const drop = await dragBy(page, 'stop-0', 0, 4);
  await drop();
  await drawnAnew(page, 'left-little', own);
  expect(await pixels(page, 'right-little')).toBe(other);
  await expect(page.getByText('On the left little finger only.')).toBeVisible();
  await noViolations(page);
  await page.getByRole('button', { name: 'As the look has it', exact: true }).click();
  await expect.poll(() => pixels(page, 'left-little')).toBe(own);
  await undo(page).click();
  await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
});

test('what is put on one hand goes on both, unless they differ on purpose', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const wears = (nail: string, look: RegExp) =>
    expect(page.getByTestId(`nail-${nail}`)).toHaveAttribute('aria-label', look);
  await drag(page, await middleOf(page, 'look-footlights'), await middleOf(page, 'nail-left-ring'));
  await wears('left-ring', /Footlights/);
  await wears('right-ring', /Footlights/);
  await expect(page.getByText('On the right ring finger too.')).toBeVisible();
  await noViolations(page);
  await page.getByRole('button', { name: 'Left only, on purpose' }).click();
  await wears('left-ring', /Footlights/);
  await wears('right-ring', /Ticket stubs/);
  await expect(page.getByRole('switch', { name: 'Both hands' })).not.toBeChecked();
  await planned(page);
  await expect(page.getByTestId('strip')).toHaveCount(0);
  await page.keyboard.press('4');
  await page.keyboard.press('e');
  await wears('left-index', /Chandelier/);
  await wears('right-index', /Proscenium/);
  for (let i = 0; i < 3; i += 1) await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  await wears('left-ring', /Ticket stubs/);
  // What one finger has otherwise, both have; it goes from both in one press.
  await page.getByRole('switch', { name: 'Both hands' }).click();
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Change it on the little fingers only' }).click();
  const [left, right] = [await pixels(page, 'left-little'), await pixels(page, 'right-little')];
  const drop = await dragBy(page, 'stop-0', 0, 4);
  await drop();
  await drawnAnew(page, 'left-little', left);
  await drawnAnew(page, 'right-little', right);
  await expect(page.getByText('On the little fingers only.')).toBeVisible();
  await page.getByRole('button', { name: 'As the look has it', exact: true }).click();
  await expect.poll(() => pixels(page, 'right-little')).toBe(right);
});

test('a stone let go near a smile line lies on it; with Alt it stays where the hand left it', async ({
  page,
}) => {
  await openDemo(page, 'Curtain Up');
  await page.keyboard.press('4');
  await page.getByTestId('element-arch').click();
  const height = async (id: string) => {
    const box = (await handle(page, id).boundingBox())!;
    return box.y + box.height / 2;
  };
  const smile = await height('smile-middle');
  const scale = Number(await page.getByTestId('plot').getAttribute('data-px-per-mm'));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByTestId('add-stones').click();
  const near_mm = async (off_mm: number) => ((await height('stone-0')) - smile) / scale - off_mm;
  await (
    await dragBy(page, 'stone-0', 0.1, await near_mm(0.15))
  )();
  expect(Math.abs((await height('stone-0')) - smile)).toBeLessThan(0.6);
  await page.keyboard.down('Alt');
  await (
    await dragBy(page, 'stone-0', 0.1, await near_mm(0.18))
  )();
  await page.keyboard.up('Alt');
  expect((await height('stone-0')) - smile).toBeGreaterThan(0.1 * scale);
});

test('pieces are copied from nail to nail, laid beside themselves and taken out', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const before = (await exported(page)).text;
  const pieces = async (look: string) => {
    const { looks } = JSON.parse((await exported(page)).text) as SetDocument;
    const inlay = looks.find((one) => one.id === look)!.elements.find((one) => one.kind === 'inlay');
    return inlay?.kind === 'inlay' ? inlay.pieces : [];
  };
  const [, , , third, fourth] = await pieces('tickets');
  await page.keyboard.press('2');
  await page.getByTestId('handle-piece-3').focus();
  await page.keyboard.press('Control+c');
  await page.keyboard.press('Control+v');
  const laid = await pieces('tickets');
  expect(laid).toHaveLength(8);
  expect(laid[7]).toEqual({ ...third, across: third!.across + 0.12, along: third!.along + 0.06 });
  await expect(page.getByTestId('handle-piece-7')).toHaveAttribute('data-active', 'true');
  // On another nail, whose look has nothing of the kind yet, it is all of a new inlay.
  await page.keyboard.press('3');
  const was = [await pixels(page, 'left-middle'), await pixels(page, 'right-middle')] as const;
  await page.keyboard.press('Control+v');
  expect(await pieces('chandelier')).toEqual([third]);
  await drawnAnew(page, 'left-middle', was[0]);
  await drawnAnew(page, 'right-middle', was[1]);
  // Back on the first one, one that is held goes.
  await page.keyboard.press('2');
  await page.getByTestId('handle-piece-3').focus();
  await page.keyboard.press('Delete');
  expect((await pieces('tickets'))[3]).toEqual(fourth);
  await noViolations(page);
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Lay what was copied' }).click();
  expect(await pieces('tickets')).toHaveLength(8);
  // Two are chosen, and mirrored as two.
  await handle(page, 'piece-0').click();
  await handle(page, 'piece-1').click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'More for this element' }).click();
  await page.getByRole('menuitem', { name: 'Mirror 2 pieces over the centre line' }).click();
  const both = await pieces('tickets');
  expect(both).toHaveLength(10);
  const other = ({ across, turn_deg }: (typeof both)[number]) => [-across, -turn_deg];
  const [a, b, c, d] = [both[0]!, both[1]!, both[8]!, both[9]!];
  expect([other(a), other(b)].sort()).toEqual([c, d].map((one) => [one.across, one.turn_deg]).sort());
  for (let i = 0; i < 5; i += 1) await undo(page).click();
  await expect(undo(page)).toBeDisabled();
  expect((await exported(page)).text).toBe(before);
});

test('what is found is told in words under the nail, and leads to its place', async ({ page }) => {
  await openDemo(page, 'Understudy');
  const strip = page.getByTestId('strip');
  await expect(strip).toContainText('Stop');
  await strip.click();
  await expect(page).toHaveURL(/\/(layers|timing)$/);
});

test('the set goes out as a picture, and as template sheets at true size', async ({ page }) => {
  await openDemo(page, 'Curtain Up');
  const menu = page.getByRole('button', { name: 'Pictures and templates' });
  const take = async (words: RegExp) => {
    const download = page.waitForEvent('download');
    await menu.click();
    await page.getByRole('menuitem', { name: words }).click();
    return readFileSync(await (await download).path());
  };
  const png = await take(/on white/);
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  // Width and height stand in the header (ISO 15948); sixteen pixels a mm.
  expect(png.readUInt32BE(16)).toBeGreaterThan(2000);
  const pdf = await take(/PDF/);
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const svg = (await take(/SVG/)).toString('utf8');
  // Measured by the browser itself: 10 mm are 10 mm, at the 96 px an inch of CSS.
  const measured = await page.evaluate((text) => {
    const frame = document.createElement('div');
    frame.innerHTML = text.slice(text.indexOf('<svg'));
    document.body.append(frame);
    const sheet = frame.querySelector('svg')!;
    const [rule] = [...frame.querySelectorAll<SVGPathElement>('[data-what="rule"]')];
    const per_mm = sheet.getBoundingClientRect().width / 210;
    const out = {
      sheet_mm: (sheet.getBoundingClientRect().width / 96) * 25.4,
      rule_mm: rule!.getBoundingClientRect().width / per_mm,
      outlines: frame.querySelectorAll('[data-what="outline"]').length,
    };
    frame.remove();
    return out;
  }, svg);
  expect(measured.sheet_mm).toBeCloseTo(210, 0);
  expect(measured.rule_mm).toBeCloseTo(50, 0);
  expect(measured.outlines).toBe(10);
});
