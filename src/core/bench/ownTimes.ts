import { handOf, HANDS, type Hand, type NailName } from '../model/names';
import type { OwnTime } from '../model/ownTime';
import type { ProductFamily } from '../model/product';
import { rounded } from '../model/rounded';
import { nailIn, nailsIn, standing } from './events';
import type { Bench, BenchEvent } from './log';

/** One round of hand work beside its guide. */
export interface TimedRound {
  set: string;
  /** Its event's place in that set's log. */
  event: number;
  at_ms: number;
  words: string;
  nails: NailName[];
  took_s: number;
  /** How long it took as a share of the guide. */
  share: number;
  /** Whether it lies far off all others of its kind. */
  outlier: boolean;
  /** Whether it counts, where the artist has said so. */
  chosen?: boolean;
  /** Whether it counts: what lies far off does not, unless the artist says so. */
  counts: boolean;
}

/** The artist's own hands, as their records show them. */
export interface OwnHands {
  times: OwnTime[];
  rounds: TimedRound[];
  /** How many sittings they were seen in. */
  sittings: number;
}

/** Fewer times say too little; on one hand alone it takes more to tell it from the other. */
const LEAST_TIMES = 3;
const LEAST_ON_HAND = 8;
/** A round that took so many times its guide was broken off by something else. */
const MOST_SHARE = 4;
/** Tukey's outer fence: three times the middle half beyond it is far out (Tukey 1977). Fewer times have no fence. */
const FENCE = 3;
const LEAST_FENCED = 8;
/** Of a round of several kinds of work, one is told only where it is this much of it. */
const MOST_OF_IT = 0.25;

interface Kind {
  verb: string;
  family: ProductFamily | undefined;
}
interface Share extends Kind {
  hand: Hand;
  round: TimedRound;
}
interface Mixed {
  round: TimedRound;
  hand: Hand;
  /** Seconds of hand work that no guide is known of are not in it. */
  took_s: number;
  kinds: Map<string, Kind & { guide_s: number }>;
}

const keyOf = ({ verb, family }: Kind) => `${verb} ${family ?? ''}`;

/**
 * How long each kind of work took these hands beside the guide, over many records: the middle, and the middle half about it. A round of
 * several kinds tells one of them once the others are known. The guide is the same whatever the plan went by, so that own times
 * never feed on themselves. `since_ms`: what is older is not looked at. Pure.
 */
export function ownHands(benches: readonly Pick<Bench, 'set' | 'events'>[], since_ms = 0): OwnHands {
  const all = benches.flatMap((bench) => mixedOf(bench, since_ms));
  const shares: Share[] = [];
  const middles = new Map<string, number>();
  let left = all;
  for (let grows = true; grows;) {
    grows = false;
    const later: Mixed[] = [];
    for (const one of left) {
      const [first, ...others] = [...one.kinds].filter(([key]) => !middles.has(key));
      if (!first || others.length > 0) {
        later.push(one);
        continue;
      }
      const share = shareOf(one, first[0], middles);
      if (share !== undefined)
        shares.push({ ...first[1], hand: one.hand, round: { ...one.round, share: rounded(share, 3) } });
    }
    const known = middles.size;
    for (const [key, own] of grouped(shares, keyOf))
      if (!middles.has(key) && own.length >= LEAST_TIMES)
        middles.set(key, median(own.map(({ round }) => round.share)));
    // The first pass tells the pure ones; what is mixed with them is told in the next.
    grows = middles.size > known && later.length > 0;
    left = later;
  }
  const judged = [...grouped(shares, keyOf).values()].flatMap(withOutliers);
  const good = judged.filter(({ round }) => round.counts);
  return {
    times: timesOf(good),
    rounds: judged.map(({ round }) => round).sort((a, b) => a.at_ms - b.at_ms),
    sittings: new Set(judged.map(({ round }) => round.set)).size,
  };
}

function mixedOf({ set, events }: Pick<Bench, 'set' | 'events'>, since_ms: number): Mixed[] {
  const counts = new Map(
    events.flatMap((one) => (one.what === 'counted' ? [[one.of, one.counts] as const] : [])),
  );
  return standing(events).flatMap((one, event): Mixed[] => {
    if (one?.what !== 'done' || one.at_ms <= since_ms) return [];
    const mixed = measured(one);
    if (!mixed) return [];
    const chosen = counts.get(event);
    const round: TimedRound = {
      set,
      event,
      at_ms: one.at_ms,
      words: one.words,
      nails: nailsIn(one.pieces),
      took_s: rounded((one.at_ms - one.from_ms) / 1000, 1),
      share: 0,
      outlier: false,
      counts: true,
      ...(chosen === undefined ? {} : { chosen }),
    };
    return [{ ...mixed, round }];
  });
}

/** What of a round the hands took, and its kinds of work with their guide; undefined where its log says no guide. */
function measured({
  pieces,
  at_ms,
  from_ms,
}: Extract<BenchEvent, { what: 'done' }>): Omit<Mixed, 'round'> | undefined {
  const kinds: Mixed['kinds'] = new Map();
  let took_s = (at_ms - from_ms) / 1000;
  for (const { light, work, seconds } of pieces) {
    if (light) took_s -= seconds;
    else if (!work) return undefined;
    else {
      const kind = { verb: work.verb, family: work.family };
      const known = kinds.get(keyOf(kind));
      kinds.set(keyOf(kind), { ...kind, guide_s: (known?.guide_s ?? 0) + work.guide_s });
      took_s -= work.fixed_s;
    }
  }
  for (const [key, { guide_s }] of kinds) if (guide_s === 0) kinds.delete(key);
  return kinds.size > 0 && pieces[0]
    ? { kinds, took_s, hand: handOf(nailIn(pieces[0].operation)) }
    : undefined;
}

/** The share of one kind of work in a round, the others as they are known; undefined where it is too little of it to tell. */
function shareOf(one: Mixed, key: string, middles: ReadonlyMap<string, number>): number | undefined {
  let rest_s = one.took_s;
  let guide_s = 0;
  for (const [other, kind] of one.kinds) {
    guide_s += kind.guide_s;
    if (other !== key) rest_s -= kind.guide_s * middles.get(other)!;
  }
  const own_s = one.kinds.get(key)!.guide_s;
  const share = rest_s / own_s;
  return own_s / guide_s >= MOST_OF_IT && share > 0 ? share : undefined;
}

/** Each with whether it lies far off the others. */
function withOutliers(own: Share[]): Share[] {
  const sorted = own.map(({ round }) => round.share).sort((a, b) => a - b);
  const [from, to] = hinges(sorted);
  const reach = sorted.length < LEAST_FENCED ? Infinity : FENCE * Math.max(to - from, 0.02 * to);
  return own.map((one) => {
    const { share } = one.round;
    const outlier = share > MOST_SHARE || share < from - reach || share > to + reach;
    return { ...one, round: { ...one.round, outlier, counts: one.round.chosen ?? !outlier } };
  });
}

function timesOf(shares: readonly Share[]): OwnTime[] {
  const out: OwnTime[] = [];
  for (const [verb, ofVerb] of grouped(shares, (one) => one.verb)) {
    const families = grouped(ofVerb, (one) => one.family ?? '');
    if (families.size > 1 || families.has('')) put(out, { work: verb }, ofVerb);
    for (const [family, own] of families) {
      if (family) put(out, { work: verb, family: family as ProductFamily }, own);
      const [a, b] = HANDS.map((hand) => own.filter((one) => one.hand === hand));
      if (Math.min(a!.length, b!.length) < LEAST_ON_HAND || !areApart(a!, b!)) continue;
      for (const hand of HANDS)
        put(
          out,
          { work: verb, ...(family ? { family: family as ProductFamily } : {}), hand },
          hand === HANDS[0] ? a! : b!,
        );
    }
  }
  return out.sort((a, b) => nameOf(a).localeCompare(nameOf(b)));
}

function nameOf({ work, family, hand }: OwnTime): string {
  return [work, family, hand].filter(Boolean).join(' ');
}

function put(out: OwnTime[], kind: Pick<OwnTime, 'work' | 'family' | 'hand'>, own: readonly Share[]): void {
  if (own.length < LEAST_TIMES) return;
  const sorted = own.map(({ round }) => round.share).sort((a, b) => a - b);
  const [from, to] = hinges(sorted);
  const [least, most] = [0.05, 20];
  const within = (share: number) => Math.min(most, Math.max(least, rounded(share, 2)));
  out.push({
    ...kind,
    share: within(median(sorted)),
    from: within(from),
    to: within(to),
    times: own.length,
  });
}

/** Two hands are told apart where the middle half of one lies off that of the other. */
function areApart(a: readonly Share[], b: readonly Share[]): boolean {
  const [one, other] = [a, b].map((own) => hinges(own.map(({ round }) => round.share).sort((x, y) => x - y)));
  return one![0] > other![1] || other![0] > one![1];
}

function grouped<T>(all: readonly T[], keyOfOne: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const key = keyOfOne(one);
    const own = groups.get(key);
    if (own) own.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}

/** Tukey's hinges: the middles of the lower and of the upper half, the middle in both. */
function hinges(sorted: readonly number[]): [number, number] {
  const half = Math.ceil(sorted.length / 2);
  return [median(sorted.slice(0, half)), median(sorted.slice(-half))];
}

function median(all: readonly number[]): number {
  const sorted = all.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
