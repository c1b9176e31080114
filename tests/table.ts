import { expect, type Page } from '@playwright/test';
import { parseSetText } from '../src/core/document/parse';
import { begunOf } from '../src/core/bench/begun';
import type { Bench } from '../src/core/bench/log';
import { planSet } from '../src/core/plan/planSet';
import { factsOf, ofWornNails } from '../src/core/testing/facts';
import { checkSitting } from '../src/core/testing/sittingChecker';
import { exported } from './helpers';

/** What a press brings is there at once. */
const OFTEN = { intervals: [30] };

/** A table worked at by a clock that is set forward: the page's own timers go on as they are. */
export class TableClock {
  private ahead_ms = 0;
  /** When each press was made, by the page's clock. */
  readonly presses_ms: number[] = [];

  constructor(private readonly page: Page) {}

  now_ms(): number {
    return Date.now() + this.ahead_ms;
  }

  async pass(ms: number): Promise<void> {
    this.ahead_ms += ms;
    await this.page.clock.setSystemTime(this.now_ms());
  }

  /** What is shown as to be done now. */
  async shown(): Promise<string> {
    return (await this.page.getByTestId('bench-now').textContent()) ?? '';
  }

  /** One press by some means, once what has to be waited for is over. Whether anything came of it is seen by the count of what is done. */
  async press(by: (page: Page) => Promise<void>, takes_ms = 12_000): Promise<void> {
    await this.pass(takes_ms);
    const button = this.page.locator('section[aria-label="Now"] > button');
    const [, min = 0, s = 0] =
      /Wait(?:(\d+) min)? ?(?:(\d+) s)? to go/.exec((await button.textContent()) ?? '') ?? [];
    const wait_s = Number(min) * 60 + Number(s);
    if (wait_s > 0) {
      await this.pass((wait_s + 1) * 1000);
      await expect.poll(() => button.getAttribute('data-waits'), OFTEN).toBe(null);
    }
    this.presses_ms.push(this.now_ms());
    await by(this.page);
  }

  /** Pressed by the space bar until something stands there, or nothing does any more. */
  async until(words: RegExp, by = (page: Page) => page.keyboard.press('Space')): Promise<boolean> {
    for (let i = 0; i < 250; i += 1) {
      const shown = await this.shown();
      if (words.test(shown)) return true;
      if (/^(All is done|Done\. The sitting)/.test(shown)) return false;
      const count = await this.page.getByTestId('bench-clock').textContent();
      await this.press(by);
      await expect
        .poll(async () => {
          const next = await this.page.getByTestId('bench-clock').textContent();
          return next?.replace(/^[\d:]+/, '') !== count?.replace(/^[\d:]+/, '');
        }, OFTEN)
        .toBe(true);
    }
    throw new Error(`never came to ${String(words)}`);
  }
}

/** What is kept of the tables in this browser. */
export async function benches(page: Page): Promise<Bench[]> {
  return page.evaluate(
    () =>
      new Promise<Bench[]>((resolve, reject) => {
        const open = indexedDB.open('merry-lacquer');
        open.onerror = () => reject(open.error ?? new Error('not opened'));
        open.onsuccess = () => {
          const asked = open.result.transaction('benches').objectStore('benches').getAll();
          asked.onsuccess = () => {
            open.result.close();
            resolve(asked.result as Bench[]);
          };
        };
      }),
  );
}

/** What an artist who is slow or away has made too late: no order mends it, and the plan has to tell it. */
const TOO_LATE = ['open-too-long', 'primed-too-long', 'gone-dull'];

/** The plan of the rest as the table now follows it: what was done fixed, everything else by the rules of a checker of its own. */
export async function expectRestIsRight(page: Page): Promise<void> {
  const set = parseSetText((await exported(page)).text);
  if (!set.ok) throw new Error(set.faults[0]!.message);
  const [bench] = (await benches(page)).filter((one) => one.set === set.value.id);
  const at_ms = bench!.events.findLast(({ what }) => what === 'replanned')!.at_ms;
  const begun = begunOf(bench!, at_ms)!;
  const plan = planSet(set.value, { effort: { iterations: 400 }, fixes: false, begun });
  // What the page has taken up is all that this plan holds, no more and no less.
  const done = new Set([
    ...begun.strokes.map(({ operation }) => operation),
    ...begun.loads.flatMap(({ operations }) => operations),
  ]);
  const ids = (all: readonly string[]) => [...new Set(all)].filter((id) => !/wipe-hand/.test(id)).sort();
  const course = bench!.course.flatMap(({ operations }) => operations);
  const planned = plan.rounds.flatMap(({ operations }) => operations);
  expect(ids(course)).toEqual(ids(planned));
  expect(
    plan.sitting.strokes
      .slice(0, begun.strokes.length + begun.wipes.length)
      .map(({ operation }) => operation),
  ).toEqual(
    [...begun.strokes, ...begun.wipes]
      .sort((a, b) => a.start_s - b.start_s)
      .map(({ operation }) => operation),
  );
  expect(plan.sitting.missing).toEqual([]);
  const broken = plan.sitting.broken.map(({ kind }) => kind);
  for (const kind of broken) expect(TOO_LATE).toContain(kind);
  const untold = checkSitting(ofWornNails(factsOf(set.value, plan))).filter(({ id }) => !done.has(id));
  expect(untold.length).toBeLessThanOrEqual(broken.length);
}
