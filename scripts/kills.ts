import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { chance } from '../src/core/model/chance';
import { interrupted } from './interruptions';

/**
 * Prints JSON: what is lost when the whole browser is killed at a random moment while somebody types, quiet and
 * with both cores busy; and when typing is broken off in every other way, with dead entries, lists and failed saves beside
 * it. `npm run build` first; `npm run kills -- 50` kills fifty times each way,
 * `npm run kills -- 50 loaded` only under load, `npm run kills -- 50 neither` only the other ways.
 */
const PORT = 4321;
const KEY_MS = 20;
const ADDRESS = `http://localhost:${PORT}/set/matinee/design`;
const kills = Number(process.argv[2] ?? 50);
/** One of the two ways alone, where it is named. */
const only = process.argv[3];
const by = chance(7);

interface Loss {
  /** Between the last edit that is still there and the kill, in ms; the edits before it are all there. */
  lost_ms: number;
  edits_lost: number;
}

/** Both cores may be busy: what takes long is no loss. */
const PATIENT_MS = 60_000;

async function browserAt(folder: string): Promise<BrowserContext> {
  const browser = await chromium.launchPersistentContext(folder, {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  browser.setDefaultTimeout(PATIENT_MS);
  return browser;
}

async function opened(browser: BrowserContext): Promise<Page> {
  const page = browser.pages()[0] ?? (await browser.newPage());
  await page.goto(ADDRESS);
  await page.getByRole('textbox', { name: 'Title of this set' }).waitFor();
  return page;
}
const titleOf = (page: Page) => page.getByRole('textbox', { name: 'Title of this set' });

/** Types numbers as fast as a hand could, and hears of each as soon as it stands in the field. */
async function type(page: Page, onEdit: (edit: number, at_ms: number) => void): Promise<void> {
  await page.exposeFunction('edited', onEdit);
  await titleOf(page).focus();
  await page.evaluate((every_ms) => {
    const field = document.activeElement as HTMLInputElement;
    const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    const { edited } = window as unknown as { edited: (edit: number, at_ms: number) => void };
    let edit = 0;
    setInterval(() => {
      edit += 1;
      put.call(field, `Edit ${edit}`);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      edited(edit, Date.now());
    }, every_ms);
  }, KEY_MS);
}

async function killOnce(): Promise<Loss> {
  const folder = mkdtempSync(join(tmpdir(), 'lacquer-kill-'));
  try {
    const browser = await browserAt(folder);
    const page = await opened(browser);
    const made: number[] = [];
    await type(page, (edit, at_ms) => (made[edit] = at_ms));
    await page.waitForTimeout(400 + by.next() * 1500);
    const killed_at = Date.now();
    // Every process of the browser, and none of them warned.
    spawn('pkill', ['-9', '-f', folder]);
    await new Promise((done) => setTimeout(done, 500));
    await browser.close().catch(() => undefined);
    const again = await browserAt(folder);
    const kept = Number((await titleOf(await opened(again)).inputValue()).replace(/\D/g, ''));
    await again.close();
    const before = made.flatMap((at_ms, edit) => (at_ms <= killed_at ? [edit] : []));
    const edits_lost = before.filter((edit) => edit > kept).length;
    const first_lost = made[kept + 1];
    return {
      edits_lost,
      lost_ms: edits_lost > 0 && first_lost !== undefined ? killed_at - first_lost : 0,
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function killing(): Promise<Loss[]> {
  const losses: Loss[] = [];
  for (let i = 0; i < kills; i += 1) losses.push(await killOnce());
  return losses;
}

/** Share of the kills that lost no more than so many ms. */
function curve(losses: readonly Loss[]) {
  const share = (ms: number) => losses.filter((one) => one.lost_ms <= ms).length / losses.length;
  return {
    kills: losses.length,
    worst_lost_ms: Math.max(...losses.map((one) => one.lost_ms)),
    worst_edits_lost: Math.max(...losses.map((one) => one.edits_lost)),
    share_losing_at_most: Object.fromEntries(
      [0, 10, 25, 50, 100, 250].map((ms) => [`${ms}_ms`, Math.round(share(ms) * 1000) / 1000]),
    ),
  };
}

function busyCores(): ChildProcess[] {
  return [1, 2].map(() => spawn(process.execPath, ['-e', 'for (;;) Math.sqrt(Math.random())']));
}

const server = spawn('npx', ['next', 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
  stdio: 'ignore',
  detached: true,
});
try {
  await new Promise((done) => setTimeout(done, 5000));
  const kill = (way: string) => only === undefined || only === way;
  const quiet = kill('quiet') ? curve(await killing()) : undefined;
  const load = kill('loaded') ? busyCores() : [];
  const loaded = kill('loaded') ? curve(await killing()) : undefined;
  for (const one of load) one.kill('SIGKILL');
  const interruptions = await interrupted(kills, browserAt, ADDRESS, by);
  process.stdout.write(`${JSON.stringify({ quiet, loaded, interruptions }, null, 2)}\n`);
} finally {
  if (server.pid) process.kill(-server.pid);
}
