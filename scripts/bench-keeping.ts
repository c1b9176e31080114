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

/** Types a hundred titles and looks into the store all the while. */
function edits(page: Page) {
  return page.evaluate(
    async ([count, every_ms]) => {
      const field = document.querySelector<HTMLInputElement>('[aria-label="Title of this set"]')!;
      const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const store = await new Promise<IDBDatabase>((done) => {
        const asking = indexedDB.open('merry-lacquer');
        asking.onsuccess = () => done(asking.result);
      });
      const read = () =>
        new Promise<[string, string]>((done) => {
          const reading = store.transaction(['sets', 'journal']);
          const title = reading.objectStore('sets').get('matinee') as IDBRequest<{ title: string }>;
          const entries = reading.objectStore('journal').getAll() as IDBRequest<
            { step: { change?: { title?: string } } }[]
          >;
          reading.oncomplete = () =>
            done([title.result.title, entries.result.at(-1)?.step.change?.title ?? title.result.title]);
        });
      const numberOf = (title: string) => Number(title.replace(/\D/g, '')) || 0;
      const made: number[] = [performance.now()];
      const seen: { to_disk: number[]; set: number[] } = { to_disk: [], set: [] };
      let inJournal = 0;
      field.focus();
      const typing = setInterval(() => {
        if (made.length > count!) return clearInterval(typing);
        made.push(performance.now());
        put.call(field, `Edit ${made.length - 1}`);
        field.dispatchEvent(new Event('input', { bubbles: true }));
      }, every_ms);
      const end = performance.now() + count! * every_ms! + 600;
      while (performance.now() < end) {
        const asked = performance.now();
        const [folded, journaled] = (await read()).map(numberOf) as [number, number];
        const now = performance.now();
        for (; inJournal < Math.max(folded, journaled); inJournal += 1)
          seen.to_disk.push(now - made[inJournal + 1]!);
        const oldest = made[folded + 1];
        seen.set.push(oldest === undefined || oldest > asked ? 0 : asked - oldest);
        await new Promise((done) => setTimeout(done, 4));
      }
      store.close();
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
