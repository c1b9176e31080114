import type { Browser, Page } from '@playwright/test';
import { statSync } from 'node:fs';
import { aYear, type AYear } from '../tests/aYear';

/** What a year at the table costs to open: 400 sets, every other of them worn on ten nails, 800 photos. */
export interface YearFigures {
  worn_nails: number;
  sets_ms: number;
  client_ms: number;
  holds_ms: number;
  other_grouping_ms: number;
  wear_ms: number;
  backup_MB: number;
  backup_ms: number;
  /** The page's own memory at its most while the backup is made, and while it is read again. */
  backup_page_MB: number;
  read_page_MB: number;
  read_ms: number;
}

const SITTINGS = 400;
const PHOTO_BYTES = 190_000;
const STORE = 'merry-lacquer';

export async function year(browser: Browser, address: string): Promise<YearFigures> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    acceptDownloads: true,
  });
  const page = await context.newPage();
  const made = await fillYear(page, address);
  const client = made.clients[0]!.id;
  const set = made.worn.at(-1)!.set;

  const opened = async (path: string, shown: (page: Page) => Promise<unknown>) => {
    const fresh = await context.newPage();
    const took: number[] = [];
    for (let i = 0; i < 3; i += 1) {
      const at = Date.now();
      await fresh.goto(`${address}${path}`);
      await shown(fresh);
      took.push(Date.now() - at);
    }
    return { fresh, ms: took.sort((a, b) => a - b)[1]! };
  };
  const sets = await opened('/', (one) => one.getByRole('region', { name: 'This week' }).waitFor());
  await sets.fresh.close();
  const card = await opened(`/clients/${client}`, (one) =>
    one
      .getByRole('link', { name: /^How it wore/ })
      .first()
      .waitFor(),
  );
  await card.fresh.close();
  const holds = await opened('/holds', (one) => one.locator('.recharts-line').first().waitFor());
  const other_grouping_ms = await holds.fresh.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const select = document.querySelector('select')!;
        const start = performance.now();
        const seen = new MutationObserver(() => {
          seen.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - start));
        });
        seen.observe(document.querySelector('[data-testid="holds"] tbody')!, {
          childList: true,
          subtree: true,
        });
        select.value = 'product';
        select.dispatchEvent(new Event('change', { bubbles: true }));
      }),
  );
  await holds.fresh.close();
  const wear = await opened(`/set/${set}/wear`, (one) =>
    one.getByRole('heading', { name: /^Worn/ }).waitFor(),
  );
  await wear.fresh.close();

  const back = await context.newPage();
  await back.goto(address);
  await back.getByRole('region', { name: 'This week' }).waitFor();
  await back.waitForTimeout(3000);
  const memory = await heap(back);
  const at = Date.now();
  const download = back.waitForEvent('download', { timeout: 120_000 });
  await back.getByRole('button', { name: 'More', exact: true }).click();
  await back.getByRole('menuitem', { name: 'Back up everything' }).click();
  const path = await (await download).path();
  const backup_ms = Date.now() - at;
  const backup_page_MB = memory.most();
  memory.anew();
  const reading = Date.now();
  await back.getByLabel('Set file').setInputFiles(path);
  await back
    .getByRole('dialog')
    .getByText(/photos|Nothing to take in/)
    .first()
    .waitFor({ timeout: 120_000 });
  const read_ms = Date.now() - reading;
  const read_page_MB = memory.most();
  memory.stop();
  const backup_MB = Math.round(statSync(path).size / 1e6);
  await context.close();
  return {
    worn_nails: made.worn.reduce(
      (sum, { nails }) => sum + Object.values(nails).filter((one) => one !== null).length,
      0,
    ),
    sets_ms: sets.ms,
    client_ms: card.ms,
    holds_ms: holds.ms,
    other_grouping_ms: Math.round(other_grouping_ms),
    wear_ms: wear.ms,
    backup_MB,
    backup_ms,
    backup_page_MB,
    read_page_MB,
    read_ms,
  };
}

/** The page's heap and what hangs on it, looked at ten times a second. */
async function heap(page: Page) {
  const devtools = await page.context().newCDPSession(page);
  let most = 0;
  const timer = setInterval(() => {
    devtools
      .send('Runtime.getHeapUsage')
      .then((usage) => {
        const { usedSize, backingStorageSize = 0 } = usage as {
          usedSize: number;
          backingStorageSize?: number;
        };
        most = Math.max(most, (usedSize + backingStorageSize) / 1e6);
      })
      .catch(() => undefined);
  }, 100);
  return {
    most: () => Math.round(most),
    anew: () => {
      most = 0;
    },
    stop: () => clearInterval(timer),
  };
}

/** Puts a year into the store of a page. */
export async function fillYear(page: Page, address: string): Promise<AYear> {
  await page.goto(address);
  await page.getByRole('heading', { name: 'Curtain Up' }).waitFor();
  const made = aYear(SITTINGS);
  // Every other set was noted as worn.
  made.worn = made.worn.filter((_, i) => i % 2 === 0 || i === SITTINGS - 1);
  await page.goto(`${address}/icon.svg`);
  await fill(page, made);
  return made;
}

async function fill(page: Page, made: AYear): Promise<void> {
  const put = (table: string, rows: unknown[]) =>
    page.evaluate(
      ([store, name, all]) =>
        new Promise<void>((resolve, reject) => {
          const asking = indexedDB.open(store as string);
          asking.onerror = () => reject(asking.error!);
          asking.onsuccess = () => {
            const writing = asking.result.transaction(name as string, 'readwrite');
            for (const row of all as unknown[]) writing.objectStore(name as string).put(row);
            writing.oncomplete = () => {
              asking.result.close();
              resolve();
            };
            writing.onabort = () => reject(writing.error!);
          };
        }),
      [STORE, table, rows] as const,
    );
  await put(
    'sets',
    made.sets.map(({ document, changed_at }) => ({
      id: document.id,
      title: document.title,
      changed_at,
      revision: 1,
      document,
    })),
  );
  await put('clients', made.clients);
  await put('worn', made.worn);
  await put('benches', made.benches);
  await put('takings', made.takings);
  await page.evaluate(
    ([store, photos, bytes]) =>
      new Promise<void>((resolve, reject) => {
        const asking = indexedDB.open(store);
        asking.onerror = () => reject(asking.error!);
        asking.onsuccess = () => {
          const writing = asking.result.transaction('photos', 'readwrite');
          for (const [i, one] of photos.entries()) {
            // Noise, as a packed picture is.
            const noise = new Uint8Array(bytes);
            for (let at = 0; at < bytes; at += 65_536)
              crypto.getRandomValues(noise.subarray(at, Math.min(bytes, at + 65_536)));
            noise[0] = i & 255;
            const picture = new Blob([noise], { type: 'image/jpeg' });
            writing.objectStore('photos').put({ ...one, picture, width_px: 1600, height_px: 1200 });
          }
          writing.oncomplete = () => {
            asking.result.close();
            resolve();
          };
          writing.onabort = () => reject(writing.error!);
        };
      }),
    [STORE, made.photos, PHOTO_BYTES] as const,
  );
}
