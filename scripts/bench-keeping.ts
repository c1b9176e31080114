import type { BrowserContext, Page } from '@playwright/test';
import { writeSetText } from '../src/core/document/parse';
import { setAtEveryLimit } from '../src/core/testing/sets';

/** How fast what is made is kept and shown again, and how the server answers beside heavy work. */
export interface KeepingFigures {
  edit_to_disk_ms: { median: number; worst: number };
  /** A hundred edits at 100 ms: how long the slowest was on its way to the journal, and how far its set was behind. */
  hundred_edits_behind_ms: { journal_worst: number; set_worst: number };
  reload_to_ten_nails_ms: { online: number; offline: number };
  page_beside_four_heavy_plans_ms: { asked: number; median: number; worst: number };
}

const NAILS = 10;
const EDITS = 100;
const EDIT_EVERY_MS = 100;

export async function keeping(context: BrowserContext, address: string): Promise<KeepingFigures> {
  const page = await context.newPage();
  // The loader that runs this marks functions by name; in the page there is nothing to mark them with.
  await page.addInitScript('globalThis.__name = (made) => made');
  await page.goto(`${address}/set/matinee/design`);
  await page.waitForFunction(() => navigator.serviceWorker.controller?.state === 'activated');
  // A first visit fetches every view for later; what is asked here is how work goes on in a page that stands.
  await page.getByTestId('plan-sum').waitFor();
  await page.waitForLoadState('networkidle');
  const { to_disk, set } = await edits(page);
  const online = await tenNails(page);
  await context.setOffline(true);
  const offline = await tenNails(page);
  await context.setOffline(false);
  await page.close();
  return {
    edit_to_disk_ms: { median: middle(to_disk), worst: most(to_disk) },
    hundred_edits_behind_ms: { journal_worst: most(to_disk), set_worst: most(set) },
    reload_to_ten_nails_ms: { online, offline },
    page_beside_four_heavy_plans_ms: await besideHeavyPlans(address),
  };
}

/** Types a hundred titles, and hears of each write of the page's own that is whole: reading beside it would slow it. */
function edits(page: Page) {
  return page.evaluate(
    async ([count, every_ms]) => {
      const field = document.querySelector<HTMLInputElement>('[aria-label="Title of this set"]')!;
      const fill = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const made: number[] = [performance.now()];
      const seen: { to_disk: number[]; set: number[] } = { to_disk: [], set: [] };
      let folded = 0;
      const numberOf = (title: string | undefined) => Number(title?.replace(/\D/g, '')) || 0;
      const { add, put } = IDBObjectStore.prototype;
      IDBObjectStore.prototype.add = function (entry: { step?: { change?: { title?: string } } }, key) {
        const edit = this.name === 'journal' ? numberOf(entry.step?.change?.title) : 0;
        if (edit)
          this.transaction.addEventListener('complete', () =>
            seen.to_disk.push(performance.now() - made[edit]!),
          );
        return add.call(this, entry, key);
      };
      IDBObjectStore.prototype.put = function (record: { title?: string }, key) {
        const edit = this.name === 'sets' ? numberOf(record.title) : 0;
        if (edit)
          this.transaction.addEventListener('complete', () => {
            seen.set.push(performance.now() - made[folded + 1]!);
            folded = edit;
          });
        return put.call(this, record, key);
      };
      field.focus();
      for (let edit = 1; edit <= count!; edit += 1) {
        made.push(performance.now());
        fill.call(field, `Edit ${edit}`);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise((done) => setTimeout(done, every_ms));
      }
      await new Promise((done) => setTimeout(done, 1000));
      if (seen.to_disk.length !== count || folded !== count)
        throw new Error(`${seen.to_disk.length} edits written, the set holds edit ${folded}`);
      return seen;
    },
    [EDITS, EDIT_EVERY_MS],
  );
}

async function tenNails(page: Page): Promise<number> {
  await page.reload();
  const at = await page.waitForFunction(
    (nails) => performance.getEntriesByName('nail-drawn')[nails - 1]?.startTime,
    NAILS,
  );
  return Math.round((await at.jsonValue())!);
}

async function besideHeavyPlans(address: string) {
  const body = writeSetText(setAtEveryLimit());
  const ask = () =>
    fetch(`${address}/api/plan`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  await (await fetch(address)).text();
  // The browser is still closing its page.
  await new Promise((done) => setTimeout(done, 2000));
  let working = true;
  const heavy = Promise.all([1, 2, 3, 4].map(ask)).finally(() => (working = false));
  const took: number[] = [];
  while (working) {
    const start = performance.now();
    await (await fetch(address)).text();
    took.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 50));
  }
  await heavy;
  return { asked: took.length, median: middle(took), worst: most(took) };
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.round(sorted[sorted.length >> 1] ?? 0);
}

function most(values: readonly number[]): number {
  return Math.round(Math.max(0, ...values));
}
