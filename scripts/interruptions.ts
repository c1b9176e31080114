import { mkdtempSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from '@playwright/test';
import type { Chance } from '../src/core/model/chance';

/** How a stretch of typing ends. */
const ENDS = ['link', 'reload', 'tab closed', 'page crashed', 'browser killed'] as const;
/** What else is going on meanwhile. */
const BESIDE = ['nothing', 'a dead entry', 'the list opened beside', 'both', 'a save that fails'] as const;

interface Tally {
  tried: number;
  edits_lost: number;
  /** Where edits were lost. */
  lost: string[];
  false_conflicts: number;
  undo_not_whole: string[];
  /** What could not be tried to its end, and why. */
  broken_off: string[];
}

const titleOf = (page: Page) => page.getByRole('textbox', { name: 'Title of this set' });

async function deadEntry(page: Page, set: string): Promise<void> {
  await page.evaluate(
    (id) =>
      new Promise<void>((done) => {
        const asking = indexedDB.open('merry-lacquer');
        asking.onsuccess = () => {
          const writing = asking.result.transaction('journal', 'readwrite');
          writing.objectStore('journal').put({
            key: '000001700000000 dead00 000000001',
            set: id,
            basis: 1,
            step: { change: { kind: 'rename', title: 'Left by another' } },
          });
          writing.oncomplete = () => {
            asking.result.close();
            done();
          };
        };
      }),
    set,
  );
}

async function once(
  browserAt: (folder: string) => Promise<BrowserContext>,
  address: string,
  by: Chance,
  tally: Tally,
): Promise<void> {
  const [end, beside] = [by.pick(ENDS), by.pick(BESIDE)];
  const folder = mkdtempSync(join(tmpdir(), 'lacquer-interrupt-'));
  let browser = await browserAt(folder);
  try {
    let page = browser.pages()[0] ?? (await browser.newPage());
    await page.addInitScript(() => {
      localStorage.setItem('search-iterations', '0');
      const real = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (...args) {
        if (this.name === 'sets' && (window as { full?: boolean }).full)
          throw new DOMException('', 'QuotaExceededError');
        return real.apply(this, args);
      };
    });
    await page.goto(address);
    await titleOf(page).waitFor();
    const before = await titleOf(page).inputValue();
    if (beside === 'a dead entry' || beside === 'both') await deadEntry(page, address.split('/').at(-2)!);
    if (beside === 'a save that fails') await page.evaluate(() => Object.assign(window, { full: true }));
    await titleOf(page).focus();
    await page.keyboard.press('End');
    const list =
      beside === 'the list opened beside' || beside === 'both' ? await browser.newPage() : undefined;
    const typed = 'abcdefghijklmnopqrst'.slice(0, 4 + by.below(16));
    const typing = titleOf(page).pressSequentially(typed, { delay: 15 + by.below(45) });
    if (list) await list.goto(new URL('/', address).href);
    await typing;
    const wanted = `${before}${typed}`;
    if ((await page.getByRole('dialog').count()) > 0) tally.false_conflicts += 1;
    if (beside === 'a save that fails') await page.evaluate(() => Object.assign(window, { full: false }));
    if (end === 'link') await page.getByRole('link', { name: 'Sets' }).click();
    if (end === 'reload') await page.reload();
    if (end === 'tab closed') await page.close({ runBeforeUnload: false });
    if (end === 'page crashed') await page.goto('chrome://crash').catch(() => undefined);
    if (end === 'browser killed') {
      spawn('pkill', ['-9', '-f', folder]);
      await new Promise((done) => setTimeout(done, 500));
      await browser.close().catch(() => undefined);
      browser = await browserAt(folder);
    }
    page = await browser.newPage();
    await page.goto(address);
    await titleOf(page).waitFor();
    // Another tab that still lives may have it on its way.
    let kept = '';
    for (let i = 0; i < 12 && kept !== wanted; i += 1) {
      if (i > 0) await new Promise((done) => setTimeout(done, 500));
      kept = await titleOf(page).inputValue();
    }
    if (kept !== wanted) tally.lost.push(`${end}, ${beside}: “${wanted}” came back as “${kept}”`);
    tally.edits_lost += Math.max(0, wanted.length - kept.length);
    await new Promise((done) => setTimeout(done, 1200));
    if ((await page.getByRole('dialog').count()) > 0) tally.false_conflicts += 1;
    const undo = page.getByRole('button', { name: 'Undo' });
    for (let i = 0; i < 30 && (await undo.isEnabled()); i += 1) await undo.click();
    const first = await titleOf(page).inputValue();
    if (first !== before) tally.undo_not_whole.push(`${end}, ${beside}: “${kept}” back to “${first}”`);
  } catch (error) {
    tally.broken_off.push(`${end}, ${beside}: ${String(error).split('\n', 1)[0]}`);
  } finally {
    await browser.close().catch(() => undefined);
    rmSync(folder, { recursive: true, force: true });
  }
  tally.tried += 1;
}

/** Stretches of typing that end in every way, beside all that may go on: what is lost, falsely asked, or not undone. */
export async function interrupted(
  count: number,
  browserAt: (folder: string) => Promise<BrowserContext>,
  address: string,
  by: Chance,
): Promise<Tally> {
  const tally: Tally = {
    tried: 0,
    edits_lost: 0,
    lost: [],
    false_conflicts: 0,
    undo_not_whole: [],
    broken_off: [],
  };
  for (let i = 0; i < count; i += 1) await once(browserAt, address, by, tally);
  return tally;
}
