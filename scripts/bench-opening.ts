import type { Browser, Page } from '@playwright/test';

/** What opening a set takes, and what a page weighs; every visit with nothing kept by the browser but the store. */
export interface OpeningFigures {
  cold_ten_nails_ms: number;
  cold_first_plan_ms: number;
  from_the_list_ten_nails_ms: number;
  from_the_list_first_plan_ms: number;
  drag_to_picture_ms: number;
  drag_to_picture_95th_ms: number;
  js_kB: number;
  css_kB: number;
}

const NAILS = 10;
const VISITS = 5;
const MOVES = 60;
const MOVE_EVERY_MS = 33;

export async function opening(browser: Browser, address: string): Promise<OpeningFigures> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const open = `${address}/set/curtain-up/design`;
  // The store is seeded, and the server warm.
  await page.goto(open);
  await page.getByTestId('plan-sum').waitFor();

  const cold: Seen[] = [];
  const listed: Seen[] = [];
  let weight = { js_kB: 0, css_kB: 0 };
  for (let i = 0; i < VISITS; i += 1) {
    // A page of its own has its own workers.
    const fresh = await context.newPage();
    const weighed = await weigh(fresh);
    await fresh.goto(open);
    cold.push(await seen(fresh, 0));
    weight = weighed();
    await fresh.goto(address);
    await fresh.getByRole('heading', { name: 'Curtain Up' }).waitFor();
    await fresh.waitForTimeout(3000);
    const link = fresh.getByRole('link', { name: /Curtain Up/ }).first();
    const pressed = await link.evaluate((one) => {
      performance.clearMarks();
      const at = performance.now();
      (one as HTMLElement).click();
      return at;
    });
    listed.push(await seen(fresh, pressed));
    await fresh.close();
    // What a closed page still had at hand is done by then: the next visit is alone.
    await page.waitForTimeout(2000);
  }
  const drags = await dragged(page);
  await context.close();
  return {
    cold_ten_nails_ms: middle(cold.map((one) => one.nails_ms)),
    cold_first_plan_ms: middle(cold.map((one) => one.plan_ms)),
    from_the_list_ten_nails_ms: middle(listed.map((one) => one.nails_ms)),
    from_the_list_first_plan_ms: middle(listed.map((one) => one.plan_ms)),
    drag_to_picture_ms: middle(drags),
    drag_to_picture_95th_ms: at(drags, 0.95),
    ...weight,
  };
}

interface Seen {
  nails_ms: number;
  plan_ms: number;
}

/** From `since` on the page's clock until ten nails are drawn, and until the bar has a plan. */
async function seen(page: Page, since: number): Promise<Seen> {
  const found = await page.waitForFunction(
    (count) => {
      const times = performance.getEntriesByName('nail-drawn').map((one) => one.startTime);
      const plan = document.querySelector('[data-testid="plan-sum"][data-planning="fresh"]');
      const kept = window as unknown as { planned_ms?: number };
      if (plan) kept.planned_ms ??= performance.now();
      return times.length >= count && kept.planned_ms ? [times[count - 1]!, kept.planned_ms] : undefined;
    },
    NAILS,
    { polling: 'raf' },
  );
  const [nails, plan] = (await found.jsonValue())!;
  return { nails_ms: nails! - since, plan_ms: plan! - since };
}

/** What goes over the wire for scripts and styles of a page itself; workers are targets of their own. */
async function weigh(page: Page): Promise<() => { js_kB: number; css_kB: number }> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Network.enable');
  await devtools.send('Network.setCacheDisabled', { cacheDisabled: true });
  const kinds = new Map<string, string>();
  const bytes = { Script: 0, Stylesheet: 0 } as Record<string, number>;
  devtools.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kinds.get(requestId);
    if (kind && kind in bytes) bytes[kind]! += encodedDataLength;
  });
  const kB = (kind: string) => Math.round(bytes[kind]! / 100) / 10;
  return () => ({ js_kB: kB('Script'), css_kB: kB('Stylesheet') });
}

/** The stone of a nail moved thirty times a second: from each move to the next picture that is drawn. */
async function dragged(page: Page): Promise<number[]> {
  await page.getByTestId('nail-left-middle').click();
  await page.getByTestId('element-stones').click();
  // The search at length is over by then.
  await page.waitForTimeout(8000);
  const handle = page.locator('[data-testid^="handle-"]').first();
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate(() => {
    performance.clearMarks();
    window.addEventListener('pointermove', () => performance.mark('moved'), { capture: true });
  });
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < MOVES; i += 1) {
    // A small round: where a stone meets its neighbour nothing moves, and no picture comes.
    await page.mouse.move(x + 6 * Math.sin(i / 6), y + 6 * (1 - Math.cos(i / 6)));
    await page.waitForTimeout(MOVE_EVERY_MS);
  }
  await page.mouse.up();
  await page.waitForTimeout(500);
  const [moves, drawn] = await page.evaluate(() =>
    ['moved', 'nail-drawn'].map((name) => performance.getEntriesByName(name).map((one) => one.startTime)),
  );
  return moves!
    .map((one) => drawn!.find((later) => later > one)! - one)
    .filter((one) => Number.isFinite(one));
}

function middle(values: readonly number[]): number {
  return at(values, 0.5);
}

function at(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.round(sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN);
}
