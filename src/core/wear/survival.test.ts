import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chance, type Chance } from '../model/chance';
import { runs } from '../testing/runs';
import { studentTail } from './studentTail';
import { comparedWords, logRank, logRankBySet, medianDays, productLimit, type Held } from './survival';

/**
 * Weeks in remission of 42 children with leukaemia, 6-mercaptopurine and placebo: Freireich et al. 1963, Blood 21:699, as worked in
 * Kleinbaum & Klein, Survival Analysis, chapter 2: the estimate at each failure, and a log-rank statistic of 16.79.
 */
const held = (failed: number[], seen: number[]): Held[] => [
  ...failed.map((days) => ({ days, failed: true })),
  ...seen.map((days) => ({ days, failed: false })),
];
const TREATED = held([6, 6, 6, 7, 10, 13, 16, 22, 23], [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35]);
const PLACEBO = held([1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23], []);

describe('how long it holds', () => {
  it('is the published product-limit estimate', () => {
    const steps = productLimit(TREATED);
    expect(steps.map(({ days, at_risk }) => [days, at_risk])).toEqual([
      [6, 21],
      [7, 17],
      [10, 15],
      [13, 12],
      [16, 11],
      [22, 7],
      [23, 6],
    ]);
    const published = [0.8571, 0.8067, 0.7529, 0.6902, 0.6275, 0.5378, 0.4482];
    steps.forEach(({ holds }, i) => expect(holds).toBeCloseTo(published[i]!, 4));
    expect(medianDays(steps)).toBe(23);
    expect(medianDays(productLimit(PLACEBO))).toBe(8);
  });

  it('is compared with the published log-rank statistic, and its chance', () => {
    const test = logRank(TREATED, PLACEBO)!;
    expect(test.chi_squared).toBeCloseTo(16.79, 2);
    expect(test.seen).toEqual([9, 21]);
    // Kleinbaum & Klein, table 2.4: 19.26 and 10.74 expected.
    expect(test.expected[0]).toBeCloseTo(19.25, 1);
    expect(test.expected[1]).toBeCloseTo(10.75, 1);
    expect(test.p).toBeCloseTo(4.17e-5, 6);
    expect(comparedWords(test, ['A', 'B'])).toMatch(/^A held longer/);
    // The chance of χ² tables: 3.841 is one in twenty, 6.635 one in a hundred (NIST e-Handbook 1.3.6.7.4).
  });

  it('is what another library finds, on 200 random tables', () => {
    /*
     * By R 4.2.2 with its package survival 3.5-3: `survfit(Surv(days, failed) ~ 1, conf.type = "log-log")` of the first group, and
     * `survdiff(Surv(days, failed) ~ group)$chisq` of both. Kept in tests/tables, to seven digits.
     */
    const tables = JSON.parse(readFileSync(join(process.cwd(), 'tests/tables/survival.json'), 'utf8')) as {
      days: number[];
      failed: number[];
      of_a: number;
      at: number[];
      holds: number[];
      low: (number | null)[];
      high: (number | null)[];
      chi: [number | null];
    }[];
    expect(tables).toHaveLength(200);
    let compared = 0;
    for (const { days, failed, of_a, at, holds, low, high, chi } of tables) {
      const all = days.map((one, i): Held => ({ days: one, failed: failed[i] === 1 }));
      const [a, b] = [all.slice(0, of_a), all.slice(of_a)];
      const steps = productLimit(a);
      expect(steps.map((step) => step.days)).toEqual(at);
      steps.forEach((step, i) => {
        expect(step.holds).toBeCloseTo(holds[i]!, 5);
        // Where nothing holds any more it has no interval.
        if (low[i] === null || holds[i] === 0) return;
        expect(step.low).toBeCloseTo(low[i]!, 5);
        expect(step.high).toBeCloseTo(high[i]!, 5);
      });
      const test = logRank(a, b);
      if (!test || chi[0] === null) continue;
      compared += 1;
      expect(test.chi_squared).toBeCloseTo(chi[0], 4);
    }
    expect(compared).toBeGreaterThan(180);
  });

  it('says nothing where there is too little to say', () => {
    expect(productLimit([])).toEqual([]);
    expect(productLimit(held([], [3, 9]))).toEqual([]);
    expect(logRank(held([], [3]), held([], [5]))).toBeUndefined();
    expect(logRank([], TREATED)).toBeUndefined();
    expect(comparedWords(logRank(held([2], []), held([4], [])), ['A', 'B'])).toBe('Too few to say.');
    // The last that was seen fails: nothing holds beyond it.
    expect(productLimit(held([4], []))).toEqual([
      { days: 4, at_risk: 1, failed: 1, holds: 0, low: 0, high: 0 },
    ]);
  });
});

describe('sets as witnesses', () => {
  interface OfSet extends Held {
    set: string;
  }
  const setOf = ({ set }: OfSet) => set;

  /** Sets of ten nails that fail by chance; what a set is like is drawn for all its nails, `hazards` per day by group. */
  function worn(
    random: Chance,
    sets: number,
    spread: number,
    hazards: readonly [number, number],
    within = false,
  ) {
    const groups: [OfSet[], OfSet[]] = [[], []];
    const share = () => (random.below(1 << 20) + 0.5) / (1 << 20);
    for (let set = 0; set < sets; set += 1) {
      // Log-normal, by Box and Muller.
      const own = Math.exp(spread * Math.sqrt(-2 * Math.log(share())) * Math.cos(2 * Math.PI * share()));
      const off = 14 + random.below(14);
      for (let k = 0; k < 10; k += 1) {
        const g = within ? Number(k < 5) : set % 2;
        const fails = Math.max(1, Math.ceil(-Math.log(share()) / (own * hazards[g]!)));
        groups[g]!.push({ days: Math.min(fails, off), failed: fails <= off, set: String(set) });
      }
    }
    return groups;
  }

  it.each([
    ['sets of one group each', 1, false, 24],
    ['few of them', 1, false, 7],
    ['nails of both groups on each set', 1, true, 12],
    ['sets that are all alike', 0, false, 20],
  ])(
    '%s: where nothing differs, chance is said to do it nineteen times in twenty',
    (_what, spread, within, sets) => {
      const random = chance(4_404);
      const many = runs(1000, 6000);
      let bySet = 0;
      let byNail = 0;
      for (let i = 0; i < many; i += 1) {
        const [a, b] = worn(random, sets, spread, [1 / 60, 1 / 60], within);
        if ((logRankBySet(a, b, setOf)?.p ?? 1) < 0.05) bySet += 1;
        if ((logRank(a, b)?.p ?? 1) < 0.05) byNail += 1;
      }
      // Two standard errors of so many runs above one in twenty at most.
      expect(bySet / many).toBeLessThan(0.05 + 2 * Math.sqrt(0.0475 / many));
      expect(bySet / many).toBeGreaterThan(0.02);
      if (spread > 0 && !within) expect(byNail / many).toBeGreaterThan(0.2);
    },
  );

  it('what differs is found all the same', () => {
    const random = chance(4_405);
    let found = 0;
    for (let i = 0; i < 100; i += 1) {
      const [a, b] = worn(random, 30, 0.4, [1 / 30, 1 / 90]);
      if ((logRankBySet(a, b, setOf)?.p ?? 1) < 0.05) found += 1;
    }
    expect(found).toBeGreaterThan(90);
  });

  it('two sets are too few to say anything', () => {
    const [a, b] = worn(chance(1), 4, 0, [1 / 20, 1 / 60]);
    expect(logRankBySet(a, b, setOf)).toBeUndefined();
    expect(comparedWords(logRankBySet(a, b, setOf), ['A', 'B'])).toBe('Too few to say.');
  });

  it.each([
    // NIST/SEMATECH e-Handbook 1.3.6.7.2, critical values of Student's t.
    [12.706, 1, 0.05],
    [2.228, 10, 0.05],
    [2.845, 20, 0.01],
    [1.984, 100, 0.05],
    [0, 7, 1],
  ])('t of %s with %s degrees of freedom comes by chance %s of the times', (t, df, p) => {
    expect(studentTail(t, df)).toBeCloseTo(p, 3);
  });
});
