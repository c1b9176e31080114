import { REACH } from '../craft/handwork';
import type { Verb } from '../craft/surfaces';
import type { Practice } from '../model/practice';
import { chance, type Chance } from '../model/chance';
import { played, type SittingWaits } from './waits';

/** How hand work scatters about what was planned: a factor of the whole evening and one of each piece, both lognormal. */
export interface Scatter {
  /** The middle of it, as a share of what was planned. */
  middle: number;
  /** Spread of the logarithm over evenings, and over the pieces of one evening. */
  evening: number;
  piece: number;
}

/** One piece of hand work as the forecast takes it; light has none. */
export interface ScatteredWork {
  /** What is done, by its verb. */
  work: string;
  scatter: Scatter;
}

export interface Forecast {
  /** Half of such evenings are over by then, and nine of ten. Seconds. */
  half_s: number;
  nine_s: number;
  /** How many end in each stretch of time. */
  bins: { from_s: number; to_s: number; count: number }[];
  /** Which work makes it late or early, most first: its share of all that scatters. */
  by: { work: string; share: number }[];
  runs: number;
}

/** Standard normal quantiles (NIST/SEMATECH e-Handbook 1.3.6.7.1): 0.95, and 0.75. */
const Z95 = 1.6449;
const Z75 = 0.6745;
/** Of an artist whose own times are known, one evening differs from another by so much (common practice, rough). */
const KNOWN_EVENING = 0.05;
/** One coat differs from the next by so much (common practice, rough). */
const PIECE = 0.2;

/** Work that only the guide is known of: nobody knows yet how quick these hands are. One in twenty is quicker, one slower than is said. */
export const BY_GUIDE: Scatter = {
  middle: Math.sqrt(REACH.quick * REACH.slow),
  evening: Math.log(REACH.slow / REACH.quick) / (2 * Z95),
  piece: PIECE,
};

/** New hands are less even from piece to piece, practised ones more (common practice, rough). */
const UNEVEN: Record<Practice['pace'], number> = { new: 1.5, usual: 1, practised: 0.7 };
/** What is drawn, placed or shaped by eye takes another time each time, a coat hardly (common practice, rough). */
const BY_EYE: ReadonlySet<Verb> = new Set<Verb>([
  'draw',
  'place',
  'sculpt',
  'tap',
  'file',
  'stick',
  'stamp',
  'magnet',
  'set-in-top',
  'set-in-colour',
  'set-in-bead',
]);
const BY_EYE_SHARE = 1.5;

/** The same, stated by skill and by work. */
export function byGuide(pace: Practice['pace'], work: Verb): Scatter {
  return { ...BY_GUIDE, piece: PIECE * UNEVEN[pace] * (BY_EYE.has(work) ? BY_EYE_SHARE : 1) };
}

/** Work of which the artist's own times are known, by the hinges of what was seen as shares of its middle. */
export function byOwnTimes({ quick, slow }: { quick: number; slow: number }): Scatter {
  return { middle: 1, evening: KNOWN_EVENING, piece: Math.max(0.01, Math.log(slow / quick) / (2 * Z75)) };
}

const BINS = 24;

/**
 * Many evenings of one sitting, each with other hands, by the waits of its plan. The same seed gives the same. `work`: of each piece,
 * undefined for light.
 */
export function forecast(
  waits: SittingWaits,
  work: readonly (ScatteredWork | undefined)[],
  { runs = 5000, seed = 1 }: { runs?: number; seed?: number } = {},
): Forecast {
  const by = chance(seed);
  const kinds = [...new Set(work.flatMap((one) => one?.work ?? []))];
  const kindOf = work.map((one) => (one ? kinds.indexOf(one.work) : -1));
  const totals = new Float64Array(runs);
  const sums = kinds.map(() => new Float64Array(runs));
  const ends = new Float64Array(waits.pieces.length);
  for (let run = 0; run < runs; run += 1) {
    // One artist: what makes her slow this evening makes her slow in all of it.
    const evening = normal(by);
    totals[run] = played(
      waits,
      (i) => {
        const one = work[i];
        if (!one) return 1;
        const { middle, evening: spread, piece } = one.scatter;
        const share = middle * Math.exp(evening * spread + normal(by) * piece);
        sums[kindOf[i]!]![run]! += waits.pieces[i]!.hand_s * share;
        return share;
      },
      ends,
    );
  }
  const sorted = totals.toSorted();
  const shares = sums.map((sum) => Math.max(0, covariance(totals, sum)));
  const all = shares.reduce((sum, one) => sum + one, 0) || 1;
  return {
    half_s: quantile(sorted, 0.5),
    nine_s: quantile(sorted, 0.9),
    bins: binsOf(sorted),
    by: kinds
      .map((kind, i) => ({ work: kind, share: shares[i]! / all }))
      .filter(({ share }) => share > 0)
      .sort((a, b) => b.share - a.share),
    runs,
  };
}

/** Standard normal (Box & Muller 1958). */
function normal(by: Chance): number {
  return Math.sqrt(-2 * Math.log(1 - by.next())) * Math.cos(2 * Math.PI * by.next());
}

/** Of sorted figures, between the two nearest. */
function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1);
  const low = Math.floor(at);
  return sorted[low]! + (at - low) * ((sorted[low + 1] ?? sorted[low]!) - sorted[low]!);
}

function covariance(a: Float64Array, b: Float64Array): number {
  const mean = (all: Float64Array) => all.reduce((sum, one) => sum + one, 0) / all.length;
  const [ma, mb] = [mean(a), mean(b)];
  return a.reduce((sum, one, i) => sum + (one - ma) * (b[i]! - mb), 0) / a.length;
}

/** Stretches of equal length from the quickest to the slowest; the last few of a thousand are put to the ends. */
function binsOf(sorted: Float64Array): Forecast['bins'] {
  const [first, last] = [quantile(sorted, 0.002), quantile(sorted, 0.998)];
  const width = Math.max(1, (last - first) / BINS);
  const bins = Array.from({ length: BINS }, (_, i) => ({
    from_s: first + i * width,
    to_s: first + (i + 1) * width,
    count: 0,
  }));
  for (const one of sorted)
    bins[Math.max(0, Math.min(BINS - 1, Math.floor((one - first) / width)))]!.count += 1;
  return bins;
}
