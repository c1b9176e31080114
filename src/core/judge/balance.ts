import { difference } from '../colour/space';
import { upperFirst } from '../model/letters';
import { FINGERS, HANDS, type Finger, type Hand } from '../model/names';
import type { LookProfile } from './profile';

/** From here on a nail asks to be looked at (common practice: one or two of a hand do). */
export const HEAVY = 0.45;

/** A hand from little finger to thumb, by the profile of what each finger wears. */
export type HandWorn = readonly LookProfile[];

/** Where an accent sits well on a hand, little finger to thumb; 0 best (common practice: the ring finger carries it). */
const ACCENT_COST = [0.55, 0, 0.2, 0.35, 0.12] as const;
/** Colours this far apart are neither one nor two (common practice). */
export const NEAR_MISS = { from: 2, to: 9 } as const;

function isNearMiss(apart: number): boolean {
  return apart > NEAR_MISS.from && apart < NEAR_MISS.to;
}

/** What two neighbours do to each other; 0 where nothing. */
export function pairCost(a: LookProfile, b: LookProfile): number {
  if (a.look === b.look) return a.weight >= HEAVY ? 0.7 : 0;
  const fight = a.weight >= HEAVY && b.weight >= HEAVY ? 0.6 + a.weight * b.weight : 0;
  const nearMiss = isNearMiss(difference(a.mean, b.mean)) ? 0.35 : 0;
  return fight + nearMiss;
}

/** What a finger costs by what it wears. */
export function spotCost(finger: number, worn: LookProfile): number {
  return worn.weight >= HEAVY ? ACCENT_COST[finger]! : 0;
}

/** What the hand as a whole costs: accents against how many are wished, looks left out, no ground to rest on. */
export function wholeCost(hand: HandWorn, wanted: readonly string[], accents: number): number {
  const heavy = hand.filter((one) => one.weight >= HEAVY).length;
  const missing = wanted.filter((look) => !hand.some((one) => one.look === look)).length;
  const grounded = hand.some(
    (one, i) => one.weight < HEAVY && hand.some((other, j) => j !== i && other.look === one.look),
  );
  return Math.abs(heavy - accents) * 0.8 + missing * 0.6 + (grounded ? 0 : 0.3);
}

/** The cost of a hand, all told. Lower is calmer. */
export function handCost(hand: HandWorn, wanted: readonly string[], accents: number): number {
  return (
    hand.reduce((sum, worn, i) => sum + spotCost(i, worn) + (i > 0 ? pairCost(hand[i - 1]!, worn) : 0), 0) +
    wholeCost(hand, wanted, accents)
  );
}

/** As a hand is counted here, little finger to thumb. */
export const FINGER_WORDS = [
  'little finger',
  'ring finger',
  'middle finger',
  'index finger',
  'thumb',
] as const;

/** What the eye finds between the fingers of a hand; each with the fingers it is about, by place from the little one. */
export interface Seen {
  kind: 'two-ask' | 'nearly-one' | 'none-leads';
  fingers: readonly number[];
  /** Of `nearly-one`: how far apart the two are (CIEDE2000); of `none-leads`: how many stand out. */
  value: number;
}

export function seenOn(hand: readonly (LookProfile | undefined)[]): Seen[] {
  const stands = hand.flatMap((one, i) => (one && one.weight >= HEAVY ? [i] : []));
  const found: Seen[] = [];
  hand.forEach((one, i) => {
    const next = hand[i + 1];
    if (!one || !next || one.look === next.look) return;
    if (stands.length <= MOST_ACCENTS && one.weight >= HEAVY && next.weight >= HEAVY)
      found.push({ kind: 'two-ask', fingers: [i, i + 1], value: 2 });
    const apart = difference(one.mean, next.mean);
    if (isNearMiss(apart)) found.push({ kind: 'nearly-one', fingers: [i, i + 1], value: apart });
  });
  if (stands.length > MOST_ACCENTS) found.push({ kind: 'none-leads', fingers: stands, value: stands.length });
  return found;
}

/** What the eye finds on a hand, in words; the fingers from little finger to thumb, `whose`: "left", "each". */
export function balanceWords(hand: readonly (LookProfile | undefined)[], whose: string): string[] {
  const says = hand.flatMap((one, i) => (one ? [] : [`The ${FINGER_WORDS[i]} of ${whose} hand is empty.`]));
  for (const seen of seenOn(hand)) {
    const [a, b] = seen.fingers;
    const pair = `${upperFirst(FINGER_WORDS[a!]!)} and ${FINGER_WORDS[b!]} of ${whose} hand`;
    if (seen.kind === 'two-ask') says.push(`${pair} ask for the eye at once.`);
    else if (seen.kind === 'nearly-one')
      says.push(`${pair} are nearly one colour, and not quite (ΔE ${seen.value.toFixed(1)}).`);
    else says.push(`${seen.value} fingers of ${whose} hand stand out: none of them leads.`);
  }
  if (hand.every((one) => one && one.weight < HEAVY)) says.push(`No finger of ${whose} hand stands out.`);
  return says;
}

/** More of a hand than this, and no nail leads (common practice). */
const MOST_ACCENTS = 2;

/** The same for a whole set: once where both hands wear the same. */
export function balanceOf(worn: (finger: Finger, hand: Hand) => LookProfile | undefined): string[] {
  const [left, right] = HANDS.map((hand) => FINGERS.map((finger) => worn(finger, hand)));
  if (left!.every((one, i) => one?.look === right![i]?.look)) return balanceWords(left!, 'each');
  return [
    ...balanceWords(left!, 'the left'),
    ...balanceWords(right!, 'the right'),
    ...onceWords([...left!, ...right!]),
  ];
}

/** Looks that one nail alone wears: they look lost, or lead. */
function onceWords(all: readonly (LookProfile | undefined)[]): string[] {
  const count = (look: string) => all.filter((one) => one?.look === look).length;
  const once = all.filter((one): one is LookProfile => one !== undefined && count(one.look) === 1);
  return once.map((one) => `${one.name} is worn once.`);
}
