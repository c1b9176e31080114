import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer, type AddressInfo } from 'node:net';
import { copyFileSync, existsSync, mkdtempSync, symlinkSync } from 'node:fs';
import { loadavg, tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { keeping } from './bench-keeping';
import { year } from './bench-year';
import { opening } from './bench-opening';

/**
 * Prints JSON: planning and edits on this machine, in Node (bundled as it ships) and in the browser. All of
 * it is measured in one run; the ratios say more than the milliseconds, which depend on the machine.
 * `npm run bench -- 200` checks two hundred random sittings instead of twenty; `--no-browser` leaves the browser out.
 */
const RUNS = 15;

/** The commit before stages, seats and poured films: what the plan is compared with. */
const BEFORE = '06e95cb';

interface PlanFigures {
  set: string;
  cold_ms: number;
  plan_ms: number;
  with_ways_out_ms: number;
  one_nail_ms: number;
}

interface NodeFigures {
  replan_one_nail_ms: number;
  picture_ms: number;
  compose_six_looks_ms: number;
  palette_ms: number;
}

interface BusyFigures {
  ten_nails_without_search_ms: number;
  one_nail_ms: number;
  picture_with_marble_ms: number;
  picture_with_2000_grains_ms: number;
}

interface TechniqueFigures {
  put_right_median_ms: number;
  put_right_worst_ms: number;
  motif_of_200_strokes_moved_ms: number;
  tray_of_all_offers_ms: number;
}

interface TableFigures {
  events: number;
  table_ms: number;
  replan_ms: number;
  replan_at_length_ms: number;
  forecast_ms: number;
}

interface SuppliesFigures {
  supplies_ms: number;
  week_of_40_sets_ms: number;
  simplifications: number;
  simplifications_ms: number;
  in_less_time_ms: number;
}

/** The measuring code is bundled, as the page's worker is, so that no loader stands in its way. */
function bundled(entry: string, cwd: string): string {
  const out = join(mkdtempSync(join(tmpdir(), 'lacquer-bench-')), 'bench.cjs');
  execFileSync(
    'npx',
    ['esbuild', entry, '--bundle', '--platform=node', `--outfile=${out}`, '--log-level=error'],
    { cwd },
  );
  return out;
}

/** Each demo set in a process of its own, so that the first plan is a cold one. */
function plans(cwd: string): PlanFigures[] {
  const out = bundled('scripts/bench-plan.ts', cwd);
  return ['curtain-up', 'matinee', 'understudy'].map(
    (set) =>
      JSON.parse(
        execFileSync(process.execPath, [out, set, String(RUNS)], { encoding: 'utf8' }),
      ) as PlanFigures,
  );
}

/** The same measuring code in the tree of an older commit; undefined where the history is not there. */
function plansBefore(): PlanFigures[] | undefined {
  try {
    const folder = mkdtempSync(join(tmpdir(), 'lacquer-before-'));
    const tree = execFileSync('git', ['archive', BEFORE, 'src', 'scripts', 'tsconfig.json'], {
      maxBuffer: 1e9,
    });
    execFileSync('tar', ['-x', '-C', folder], { input: tree });
    symlinkSync(join(process.cwd(), 'node_modules'), join(folder, 'node_modules'));
    copyFileSync('scripts/bench-plan.ts', join(folder, 'scripts/bench-plan.ts'));
    return plans(folder);
  } catch {
    return undefined;
  }
}

/** The figures that a measuring script prints. */
function measured(entry: string): unknown {
  const out = bundled(entry, process.cwd());
  return JSON.parse(execFileSync(process.execPath, [out, String(RUNS)], { encoding: 'utf8' }));
}

function sittings(): unknown {
  const out = bundled('scripts/bench-sitting.ts', process.cwd());
  const random = String(process.argv.slice(2).map(Number).find(Number.isInteger) ?? 20);
  return JSON.parse(execFileSync(process.execPath, [out, random], { encoding: 'utf8', maxBuffer: 1e8 }));
}

/** A port that nothing listens on: another server would be measured in the place of this one. */
async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, 'close');
  return port;
}

async function inBrowser() {
  const port = await freePort();
  // A version before has no server of its own.
  const [command, ...args] = existsSync('.next/serve.mjs')
    ? ['node', '.next/serve.mjs']
    : ['npx', 'next', 'start', '-H', '127.0.0.1', '-p', String(port)];
  const server = spawn(command!, args, {
    stdio: 'ignore',
    detached: true,
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port) },
  });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
    ).newPage();
    const address = `http://localhost:${port}/set/curtain-up/design`;
    for (let i = 0; i < 60; i += 1) {
      const up = await page.goto(address).then(
        () => true,
        () => false,
      );
      if (up) break;
      await new Promise((done) => setTimeout(done, 500));
    }
    await page.getByTestId('plan-sum').waitFor();
    await page.waitForTimeout(3000);

    const edits: number[] = [];
    const plans: number[] = [];
    for (let i = 0; i < 40; i += 1) {
      await page.evaluate(() => {
        performance.clearMarks();
        window.addEventListener('keydown', () => performance.mark('key'), { capture: true, once: true });
      });
      await page.keyboard.press('bcde'[i % 4]!);
      await page.waitForFunction(() => performance.getEntriesByName('nail-drawn').length > 0);
      edits.push(
        await page.evaluate(
          () =>
            performance.getEntriesByName('nail-drawn')[0]!.startTime -
            performance.getEntriesByName('key')[0]!.startTime,
        ),
      );
      await page.waitForTimeout(900);
      plans.push(Number(await page.getByTestId('plan-sum').getAttribute('data-planned-ms')));
    }

    const presses = await pressed(page, `http://localhost:${port}`);
    await page.context().close();
    const opened = await opening(browser, `http://localhost:${port}`);
    const table_year = await year(browser, `http://localhost:${port}`);
    const kept = await keeping(await browser.newContext(), `http://localhost:${port}`);
    return {
      load_average: Math.round(loadavg()[0]! * 100) / 100,
      ...opened,
      ...kept,
      year: table_year,
      press_to_next_step_ms: presses,
      edit_to_picture_ms: median(edits),
      edit_to_picture_95th_ms: Math.round(
        [...edits].sort((a, b) => a - b)[Math.ceil(edits.length * 0.95) - 1]!,
      ),
      edit_to_picture_worst_ms: Math.round(Math.max(...edits)),
      replan_in_worker_ms: median(plans),
    };
  } finally {
    await browser.close();
    if (server.pid) process.kill(-server.pid);
  }
}

/** From a press at the bench to the next step on the screen. */
async function pressed(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/set/curtain-up/bench`);
  await page.getByTestId('plan-sum').waitFor();
  await page.getByRole('button', { name: 'Begin' }).click();
  const took: number[] = [];
  for (let i = 0; i < 10; i += 1) {
    await page.waitForTimeout(600);
    took.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const clock = document.querySelector('[data-testid="bench-clock"] small')!;
            const start = performance.now();
            const seen = new MutationObserver(() => {
              seen.disconnect();
              requestAnimationFrame(() => resolve(performance.now() - start));
            });
            seen.observe(clock, { characterData: true, subtree: true, childList: true });
            document.body.dispatchEvent(
              new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }),
            );
          }),
      ),
    );
  }
  return median(took);
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.round(sorted[Math.floor(sorted.length / 2)]! * 10) / 10;
}

const before = plansBefore();
const now = plans(process.cwd());
const node = measured('scripts/bench-core.ts') as NodeFigures;
const sitting = sittings();
const crowded = measured('scripts/bench-busy.ts') as BusyFigures;
const ways = measured('scripts/bench-techniques.ts') as TechniqueFigures;
const table = measured('scripts/bench-table.ts') as TableFigures;
const supplies = measured('scripts/bench-supplies.ts') as SuppliesFigures;
const browser = process.argv.includes('--no-browser') ? undefined : await inBrowser();
const [main] = now as [PlanFigures];
process.stdout.write(
  `${JSON.stringify(
    {
      plans: now,
      plans_before: before ?? `commit ${BEFORE} is not in this history`,
      node,
      sitting,
      busy: crowded,
      techniques: ways,
      table,
      supplies,
      ...(browser ? { browser } : {}),
      ratios: {
        plan_to_limit_110_ms: round(main.plan_ms / 110),
        cold_plan_to_limit_500_ms: round(main.cold_ms / 500),
        one_nail_to_limit_8_ms: round(main.one_nail_ms / 8),
        ...(before
          ? {
              plan_to_before: Object.fromEntries(
                now.map((one, i) => [one.set, round(one.plan_ms / before[i]!.plan_ms)]),
              ),
              cold_plan_to_before: round(main.cold_ms / before[0]!.cold_ms),
            }
          : {}),
        ten_busy_nails_to_limit_150_ms: round(crowded.ten_nails_without_search_ms / 150),
        busy_nail_to_limit_12_ms: round(crowded.one_nail_ms / 12),
        busy_picture_to_limit_25_ms: round(crowded.picture_with_marble_ms / 25),
        picture_of_2000_grains_to_limit_40_ms: round(crowded.picture_with_2000_grains_ms / 40),
        put_right_worst_to_limit_1000_ms: round(ways.put_right_worst_ms / 1000),
        motif_of_200_strokes_to_limit_33_ms: round(ways.motif_of_200_strokes_moved_ms / 33),
        replan_first_to_limit_1000_ms: round(table.replan_ms / 1000),
        forecast_to_limit_1500_ms: round(table.forecast_ms / 1500),
        supplies_to_limit_10_ms: round(supplies.supplies_ms / 10),
        week_of_40_sets_to_limit_100_ms: round(supplies.week_of_40_sets_ms / 100),
        simplifications_to_limit_2000_ms: round(supplies.simplifications_ms / 2000),
        replan_long_to_limit_3000_ms: round(table.replan_at_length_ms / 3000),
        tray_to_limit_1000_ms: round(ways.tray_of_all_offers_ms / 1000),
        replan_to_plan: round(node.replan_one_nail_ms / main.plan_ms),
        ...(browser
          ? {
              edit_95th_to_limit_120_ms: round(browser.edit_to_picture_95th_ms / 120),
              hundred_edits_to_limit_250_ms: round(browser.hundred_edits_behind_ms.journal_worst / 250),
              page_beside_plans_to_limit_200_ms: round(browser.page_beside_four_heavy_plans_ms.worst / 200),
              first_load_js_to_limit_420_kB: round(browser.js_kB / 420),
              first_load_css_to_limit_25_kB: round(browser.css_kB / 25),
              cold_nails_to_limit_1500_ms: round(browser.cold_ten_nails_ms / 1500),
              listed_nails_to_limit_800_ms: round(browser.from_the_list_ten_nails_ms / 800),
              year_sets_to_limit_1000_ms: round(browser.year.sets_ms / 1000),
              year_holds_to_limit_1000_ms: round(browser.year.holds_ms / 1000),
              year_grouping_to_limit_300_ms: round(browser.year.other_grouping_ms / 300),
              year_backup_page_to_limit_300_MB: round(browser.year.backup_page_MB / 300),
              cold_plan_on_the_bar_to_limit_2000_ms: round(browser.cold_first_plan_ms / 2000),
              press_to_next_step_to_limit_50_ms: round(browser.press_to_next_step_ms / 50),
              drag_to_limit_33_ms: round(browser.drag_to_picture_ms / 33),
            }
          : {}),
      },
    },
    null,
    2,
  )}\n`,
);

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
