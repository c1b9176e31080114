import { FINGERS, handNails, type Hand, type NailName } from '../model/names';
import { handCost, pairCost, spotCost, wholeCost, type HandWorn } from '../judge/balance';
import type { LookProfile } from '../judge/profile';

export interface Wishes {
  /** Looks to choose from, by id. */
  looks: readonly string[];
  /** How many nails of a hand are to stand out. */
  accents: number;
  /** The hands match, finger by finger. */
  alike: boolean;
  /** What some nails keep. */
  keep: Partial<Record<NailName, string>>;
}

export interface Proposal {
  looks: Record<NailName, string>;
  /** Lower is calmer. */
  cost: number;
}

/** Hands of each side that are paired with each other where the two may differ. */
const PAIRED = 160;
/** Two proposals differ on at least so many fingers. */
const APART = 2;
/** A look that only one hand wears (common practice: the other hand answers it). */
const UNANSWERED = 0.25;

/**
 * The looks of a set given to ten fingers: all hands there are, by their cost, the calmest first and each of them
 * different from those before. Exact where the hands match; where they may differ the best of either side are paired.
 */
export function compose(profiles: readonly LookProfile[], wishes: Wishes, count: number): Proposal[] {
  const offered = profiles.filter((one) => wishes.looks.includes(one.look));
  if (offered.length === 0) return [];
  const hands = (hand: Hand) => bestHands(offered, wishes, keptOn(profiles, wishes, hand));
  const most = wishes.alike ? 4000 : PAIRED;
  const left = hands('left').slice(0, most);
  if (wishes.alike)
    return different(
      left.map((one) => proposalOf(one.hand, one.hand, one.cost, wishes)),
      count,
    );
  const right = hands('right').slice(0, most);
  const pairs = left.flatMap((a) =>
    right.map((b) => ({ a: a.hand, b: b.hand, cost: a.cost + b.cost + unanswered(a.hand, b.hand) })),
  );
  pairs.sort((p, q) => p.cost - q.cost);
  return different(
    pairs.slice(0, 4000).map((pair) => proposalOf(pair.a, pair.b, pair.cost, wishes)),
    count,
  );
}

function unanswered(a: HandWorn, b: HandWorn): number {
  const only = (one: HandWorn, other: HandWorn) =>
    new Set(one.map((worn) => worn.look).filter((look) => !other.some((worn) => worn.look === look))).size;
  return UNANSWERED * (only(a, b) + only(b, a));
}

/** What each finger may wear: what it keeps, or anything. Kept looks need not be offered. */
function keptOn(profiles: readonly LookProfile[], { keep, alike }: Wishes, hand: Hand) {
  const nails = handNails(hand);
  const other = handNails(hand === 'left' ? 'right' : 'left');
  return FINGERS.map((finger) => {
    const own = nails.find((nail) => nail.endsWith(finger))!;
    const mirrored = other.find((nail) => nail.endsWith(finger))!;
    const look = keep[own] ?? (alike ? keep[mirrored] : undefined);
    return profiles.find((one) => one.look === look);
  });
}

interface Costed {
  hand: LookProfile[];
  cost: number;
}

/** Every hand the offered looks can make, calmest first. */
function bestHands(
  offered: readonly LookProfile[],
  { looks, accents }: Wishes,
  kept: readonly (LookProfile | undefined)[],
): Costed[] {
  const all: Costed[] = [];
  const hand: LookProfile[] = [];
  // Two looks meet in thousands of hands: what they do to each other is worked out once.
  const known = new Map<LookProfile, Map<LookProfile, number>>();
  const pair = (a: LookProfile, b: LookProfile): number => {
    let row = known.get(a);
    if (!row) known.set(a, (row = new Map()));
    let cost = row.get(b);
    if (cost === undefined) row.set(b, (cost = pairCost(a, b)));
    return cost;
  };
  const lay = (finger: number, cost: number) => {
    if (finger === FINGERS.length) {
      all.push({ hand: [...hand], cost: cost + wholeCost(hand, looks, accents) });
      return;
    }
    for (const worn of kept[finger] ? [kept[finger]] : offered) {
      hand.push(worn);
      lay(finger + 1, cost + spotCost(finger, worn) + (finger > 0 ? pair(hand[finger - 1]!, worn) : 0));
      hand.pop();
    }
  };
  lay(0, 0);
  return all.sort((a, b) => a.cost - b.cost);
}

function proposalOf(left: HandWorn, right: HandWorn, cost: number, { keep }: Wishes): Proposal {
  const looks = {} as Record<NailName, string>;
  FINGERS.forEach((finger, i) => {
    looks[`left-${finger}`] = keep[`left-${finger}`] ?? left[i]!.look;
    looks[`right-${finger}`] = keep[`right-${finger}`] ?? right[i]!.look;
  });
  return { looks, cost: Math.round(cost * 1000) / 1000 };
}

/** The first ones that differ from all taken before them on some fingers; where there are too few, less apart. */
function different(sorted: readonly Proposal[], count: number): Proposal[] {
  const taken: Proposal[] = [];
  for (const apart of [APART * 2, 1]) {
    for (const one of sorted) {
      if (taken.length >= count) return taken.sort((a, b) => a.cost - b.cost);
      const off = (other: Proposal) =>
        Object.entries(one.looks).filter(([nail, look]) => other.looks[nail as NailName] !== look).length;
      if (taken.every((other) => off(other) >= apart)) taken.push(one);
    }
  }
  return taken.sort((a, b) => a.cost - b.cost);
}

/** The cost of a proposal by its hands, for whoever wants to compare. */
export function costOf(
  profiles: readonly LookProfile[],
  looks: Record<NailName, string>,
  wishes: Wishes,
): number {
  const worn = (hand: Hand) =>
    FINGERS.map((finger) => profiles.find((one) => one.look === looks[`${hand}-${finger}`])!);
  const [left, right] = [worn('left'), worn('right')];
  if (wishes.alike) return handCost(left, wishes.looks, wishes.accents);
  return (
    handCost(left, wishes.looks, wishes.accents) +
    handCost(right, wishes.looks, wishes.accents) +
    unanswered(left, right)
  );
}
