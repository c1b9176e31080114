import { leastOf } from '../model/extent';
import { studentTail } from './studentTail';

/** How long something held: until it failed, or for as long as it was seen to hold. */
export interface Held {
  days: number;
  /** It failed on that day; otherwise it still held when it was last seen. */
  failed: boolean;
}

/** A step of a product-limit estimate. */
export interface SurvivalStep {
  days: number;
  at_risk: number;
  failed: number;
  /** Share that holds beyond that day, and its interval. */
  holds: number;
  low: number;
  high: number;
}

/** 0.975 quantile of the standard normal (NIST/SEMATECH e-Handbook 1.3.6.7.1). */
const Z975 = 1.959963984540054;

/**
 * The share that holds, day by day (Kaplan & Meier 1958), with Greenwood's variance and an interval of 95 % on the scale of
 * log(−log), which stays within 0 and 1 (Kalbfleisch & Prentice). Those still worn count as seen until then. One step a
 * day on which something failed; none where nothing did.
 */
export function productLimit(held: readonly Held[]): SurvivalStep[] {
  const steps: SurvivalStep[] = [];
  let holds = 1;
  let greenwood = 0;
  for (const { days, at_risk, failed } of failures(held)) {
    holds *= 1 - failed / at_risk;
    greenwood += failed / (at_risk * (at_risk - failed));
    steps.push({ days, at_risk, failed, holds, ...interval(holds, greenwood) });
  }
  return steps;
}

/** Where nothing is left the variance has no value, and neither has the interval: all or nothing. */
function interval(holds: number, greenwood: number): { low: number; high: number } {
  if (holds <= 0 || holds >= 1 || !Number.isFinite(greenwood))
    return { low: holds <= 0 ? 0 : holds, high: holds >= 1 ? 1 : holds };
  const logLog = Math.log(-Math.log(holds));
  const spread = (Z975 * Math.sqrt(greenwood)) / Math.abs(Math.log(holds));
  return { low: Math.exp(-Math.exp(logLog + spread)), high: Math.exp(-Math.exp(logLog - spread)) };
}

/** Days on which something failed, each with how many were still seen the day it came. */
function failures(held: readonly Held[]): { days: number; at_risk: number; failed: number }[] {
  const days = [...new Set(held.filter(({ failed }) => failed).map((one) => one.days))].sort((a, b) => a - b);
  return days.map((day) => ({
    days: day,
    at_risk: held.filter((one) => one.days >= day).length,
    failed: held.filter((one) => one.failed && one.days === day).length,
  }));
}

/** The first day on which half or less still hold; undefined where more than half held to the end. */
export function medianDays(steps: readonly SurvivalStep[]): number | undefined {
  // A share that is a half but for rounding is a half.
  return steps.find(({ holds }) => holds <= 0.5 + 1e-9)?.days;
}

/** Two groups compared: the statistic, with one degree of freedom, and how often as much would come by chance alone. */
export interface LogRank {
  chi_squared: number;
  p: number;
  /** Failures that were seen and that would be expected if both held alike. */
  seen: [number, number];
  expected: [number, number];
}

/**
 * Whether two groups hold alike: the log-rank test (Mantel 1966), with the hypergeometric variance. Undefined where nothing failed
 * in either, or one is empty.
 */
export function logRank(a: readonly Held[], b: readonly Held[]): LogRank | undefined {
  return logRankOf(twoGroups(a, b));
}

/** A day on which something failed in either of two groups, with how much of it was in the first. */
interface TwoGroups {
  days: number;
  at_risk: number;
  failed: number;
  first_at_risk: number;
  first_failed: number;
}

function twoGroups(a: readonly Held[], b: readonly Held[]): TwoGroups[] {
  return failures([...a, ...b]).map((one) => ({
    ...one,
    first_at_risk: a.filter(({ days }) => days >= one.days).length,
    first_failed: a.filter(({ failed, days }) => failed && days === one.days).length,
  }));
}

function logRankOf(table: readonly TwoGroups[]): LogRank | undefined {
  let seen = 0;
  let expected = 0;
  let variance = 0;
  let all = 0;
  for (const { at_risk: n, failed: d, first_at_risk: n1, first_failed: d1 } of table) {
    seen += d1;
    all += d;
    expected += (d * n1) / n;
    if (n > 1) variance += (d * n1 * (n - n1) * (n - d)) / (n * n * (n - 1));
  }
  if (variance <= 0) return undefined;
  const chi_squared = (seen - expected) ** 2 / variance;
  return {
    chi_squared,
    p: chiSquaredTail(chi_squared),
    seen: [seen, all - seen],
    expected: [expected, all - expected],
  };
}

/** Fewer sets in either group, and nothing is known of how far sets differ by themselves (common practice). */
const FEWEST_SETS = 3;

/**
 * The same where what was seen comes in sets: ten nails of one set share its plate, its day and its hands, and are one witness and not
 * ten. The log-rank numerator is a sum over nails; its variance is taken from how the sets' sums spread (after Lin & Wei 1989),
 * and held against Student's t with m − 2 degrees of freedom. Undefined where nothing failed, or either group is of fewer than three sets.
 */
export function logRankBySet<T extends Held>(
  a: readonly T[],
  b: readonly T[],
  setOf: (one: T) => unknown,
): LogRank | undefined {
  const table = twoGroups(a, b);
  const plain = logRankOf(table);
  if (!plain || [a, b].some((own) => new Set(own.map(setOf)).size < FEWEST_SETS)) return undefined;
  const days = table.map((one) => one.days);
  const share = table.map((one) => one.first_at_risk / one.at_risk);
  /** Up to each of these days: the hazard of all, and that of the first group's share. */
  const hazard: number[] = [0];
  const ofFirst: number[] = [0];
  for (const [i, { at_risk, failed }] of table.entries()) {
    hazard.push(hazard[i]! + failed / at_risk);
    ofFirst.push(ofFirst[i]! + (share[i]! * failed) / at_risk);
  }
  const sums = new Map<unknown, number>();
  const add = (one: T, z: 0 | 1) => {
    const passed = days.findLastIndex((day) => day <= one.days) + 1;
    const own = one.failed ? z - share[days.indexOf(one.days)]! : 0;
    const score = own - (z * hazard[passed]! - ofFirst[passed]!);
    sums.set(setOf(one), (sums.get(setOf(one)) ?? 0) + score);
  };
  for (const one of a) add(one, 1);
  for (const one of b) add(one, 0);
  const [inA, inB] = [new Set(a.map(setOf)), new Set(b.map(setOf))];
  // Of sets that are all of one group, each differs from the others of its group; of sets with nails of both, from all.
  const apart = [...inA].every((set) => !inB.has(set));
  const parts = apart ? [[...inA], [...inB]] : [[...sums.keys()]];
  const variance = parts.reduce((all, part) => all + spreadOf(part.map((set) => sums.get(set)!)), 0);
  const m = sums.size;
  if (variance <= 0) return undefined;
  const chi_squared = (plain.seen[0] - plain.expected[0]) ** 2 / variance;
  return { ...plain, chi_squared, p: studentTail(Math.sqrt(chi_squared), m - 2) };
}

/** The variance of a sum, from how its parts spread. */
function spreadOf(parts: readonly number[]): number {
  const mean = parts.reduce((all, one) => all + one, 0) / parts.length;
  const squares = parts.reduce((all, one) => all + (one - mean) ** 2, 0);
  return (squares * parts.length) / (parts.length - 1);
}

/** P(χ² with one degree of freedom > x) = erfc(√(x/2)). */
function chiSquaredTail(x: number): number {
  return erfc(Math.sqrt(x / 2));
}

/** Complementary error function for x ≥ 0, to 1.2e-7 of its value (Numerical Recipes, 2nd ed., 6.2: erfcc). */
function erfc(x: number): number {
  const t = 1 / (1 + 0.5 * x);
  const series = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587,
    -0.82215223, 0.17087277,
  ];
  const sum = series.reduceRight((all, c) => all * t + c, 0);
  return t * Math.exp(-x * x + sum);
}

/** Fewer failures than this in either group, and no figure says anything (common practice). */
const FEWEST = 5;

/** What the numbers allow to be said of two groups. */
export function comparedWords(test: LogRank | undefined, names: readonly [string, string]): string {
  if (!test || test.seen[0] + test.seen[1] < 2 * FEWEST || leastOf(test.expected) < FEWEST)
    return 'Too few to say.';
  const better = test.seen[0] / test.expected[0] < test.seen[1] / test.expected[1] ? 0 : 1;
  if (test.p < 0.01) return `${names[better]} held longer; so much would hardly come by chance.`;
  if (test.p < 0.05) return `${names[better]} seems to hold longer; one time in twenty chance does as much.`;
  return 'No difference that chance would not make.';
}
