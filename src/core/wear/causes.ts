import { PRIMED } from '../timing/pose';
import type { NailFacts, WearNote, WearWhat } from '../model/wear';

/** How sure the evidence is: never more than it. */
export const STRENGTHS = ['strong', 'some', 'weak'] as const;
export type Strength = (typeof STRENGTHS)[number];

/** A cause that may stand behind something that was seen on a nail, with what speaks for it. */
export interface CauseOffered {
  code: string;
  words: string;
  /** What to do otherwise next time. */
  instead: string;
  strength: Strength;
  evidence: string[];
  score: number;
}

interface Cause {
  code: string;
  words: string;
  instead: string;
  what: readonly WearWhat[];
  /** Where it shows; anywhere where nothing is said. */
  zone?: readonly Zone[];
  /** What speaks for it on this nail, from 0 to 1; undefined where what was done rules it out or nobody knows. */
  judge: (facts: NailFacts) => { score: number; evidence: string } | undefined;
}

/** Parts of a nail that fail each for reasons of their own. */
export type Zone = 'cuticle' | 'side' | 'middle' | 'stress' | 'tip';

/** Within this of a wall, of the cuticle or of the tip it is there and not in the middle (common practice). */
const AT_SIDE = 0.65;
const AT_CUTICLE = 0.25;
const AT_TIP = 0.85;
/** The stress area lies about where the bed ends. */
const STRESS_REACH = 0.12;

/** The part of the nail that a spot lies on; undefined where nobody said where. */
export function zoneOf(
  at: WearNote['at'],
  { bed_mm, length_mm }: Pick<NailFacts, 'bed_mm' | 'length_mm'>,
): Zone | undefined {
  if (!at) return undefined;
  if (at.along >= AT_TIP) return 'tip';
  if (at.along <= AT_CUTICLE) return 'cuticle';
  if (Math.abs(at.across) >= AT_SIDE) return 'side';
  return Math.abs(at.along - bed_mm / Math.max(1, length_mm)) <= STRESS_REACH ? 'stress' : 'middle';
}

const s = (seconds: number) =>
  seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;

const EDGE_THICK_MM = 0.95;
const CUTICLE_THICK_MM = 0.75;
const TIP_TOO_WIDE_MM = 1.3;
const SHORT_LIGHT = 0.9;
/** Below a full bead a tip holds on islands (common practice): per mm² of bed. */
const LEAST_FIXING_UM = 45;

/** Why a nail fails, each from what was done on it (common practice throughout). */
const CAUSES: readonly Cause[] = [
  {
    code: 'shine-left',
    words: 'The shine was left on the plate',
    instead: 'Take the shine off all over, to the walls.',
    what: ['lifted', 'fell'],
    judge: ({ buffed, build }) =>
      buffed || build === 'natural-lacquer'
        ? undefined
        : { score: 0.9, evidence: 'No step that takes the shine off was done on this nail.' },
  },
  {
    code: 'not-dehydrated',
    words: 'The plate was not dehydrated',
    instead: 'Dehydrate every nail right before the first product.',
    what: ['lifted', 'fell'],
    judge: ({ dehydrated }) =>
      dehydrated ? undefined : { score: 0.8, evidence: 'No dehydrator was used on this nail.' },
  },
  {
    code: 'not-primed',
    words: 'The primer is missing',
    instead: 'Prime the dry plate once, thinly.',
    what: ['lifted', 'fell'],
    judge: ({ primed, left_out }) =>
      primed
        ? undefined
        : left_out.includes('prime')
          ? { score: 0.85, evidence: 'The primer was planned and left out.' }
          : { score: 0.4, evidence: 'No primer was used; some hands hold without.' },
  },
  {
    code: 'waited-long',
    words: 'The prepared plate waited too long',
    instead: 'Prepare one hand at a time, and lay the first film within three minutes.',
    what: ['lifted', 'fell'],
    judge: ({ primed_to_wet_s: waited }) =>
      waited === null || waited <= PRIMED.most_s
        ? undefined
        : {
            score: Math.min(0.8, 0.4 + (waited - PRIMED.most_s) / 600),
            evidence: `${s(waited)} went by from the last preparation to the first film.`,
          },
  },
  {
    code: 'on-skin',
    words: 'Product at the skin, or too thick there',
    instead: 'Keep a hair’s breadth off the skin and thin towards it.',
    what: ['lifted'],
    zone: ['cuticle', 'side'],
    judge: ({ cuticle_mm }) =>
      cuticle_mm === null || cuticle_mm <= CUTICLE_THICK_MM
        ? undefined
        : { score: 0.55, evidence: `It is ${cuticle_mm} mm thick at the cuticle.` },
  },
  {
    code: 'uncapped',
    words: 'The free edge was not capped',
    instead: 'Draw base and top over the rim of the free edge.',
    what: ['lifted', 'chipped'],
    zone: ['tip'],
    judge: ({ capped }) => (capped ? undefined : { score: 0.75, evidence: 'No top closes its free edge.' }),
  },
  {
    code: 'tip-narrow',
    words: 'The tip was too narrow',
    instead: 'Take the next size and file its sides.',
    what: ['lifted', 'cracked', 'fell'],
    zone: ['side', 'stress'],
    judge: ({ tip_spare_mm: spare }) =>
      spare === null || spare >= -0.05
        ? undefined
        : { score: 0.8, evidence: `The tip is ${Math.abs(spare).toFixed(1)} mm narrower than the nail.` },
  },
  {
    code: 'tip-wide',
    words: 'The tip was too wide',
    instead: 'Take a smaller size: what presses on the walls lets go there.',
    what: ['lifted', 'fell'],
    zone: ['side'],
    judge: ({ tip_spare_mm: spare }) =>
      spare === null || spare <= TIP_TOO_WIDE_MM
        ? undefined
        : { score: 0.65, evidence: `The tip was ${spare.toFixed(1)} mm wider than the nail.` },
  },
  {
    code: 'little-fixing',
    words: 'Too little fixing gel under the tip',
    instead: 'Lay a full bead, and press without air.',
    what: ['fell', 'lifted'],
    zone: ['middle', 'stress', 'cuticle'],
    judge: ({ fixing_mm3, bed_mm }) => {
      if (fixing_mm3 === null) return undefined;
      const um = (fixing_mm3 / (bed_mm * WIDTH_MM)) * 1000;
      return um >= LEAST_FIXING_UM
        ? undefined
        : { score: 0.7, evidence: `The fixing film is about ${Math.round(um)} µm thick.` };
    },
  },
  {
    code: 'short-light',
    words: 'A light was short',
    instead: 'Give the whole light again whenever a lamp fails or a door opens.',
    what: ['lifted', 'fell', 'chipped', 'cracked'],
    judge: ({ least_light: share }) =>
      share === null || share >= SHORT_LIGHT
        ? undefined
        : {
            score: Math.min(0.95, 0.5 + (1 - share) * 0.6),
            evidence: `One of its films got ${Math.round(share * 100)} % of its light.`,
          },
  },
  {
    code: 'thick-edge',
    words: 'The free edge is thick',
    instead: 'File the edge thinner: a thick one catches.',
    what: ['chipped', 'lifted'],
    zone: ['tip'],
    judge: ({ edge_mm }) =>
      edge_mm === null || edge_mm <= EDGE_THICK_MM
        ? undefined
        : { score: 0.5, evidence: `Its free edge is ${edge_mm} mm thick.` },
  },
  {
    code: 'weak-stress',
    words: 'The stress area is weak for its length',
    instead: 'More over the stress area, or a shorter nail.',
    what: ['cracked', 'fell'],
    zone: ['stress', 'middle', 'tip'],
    judge: ({ carries }) =>
      carries === null || carries === 0 || carries >= 0.9
        ? undefined
        : {
            score: Math.min(0.85, 0.45 + (0.9 - carries)),
            evidence: `It carries ${carries} of what a usual natural nail does.`,
          },
  },
  {
    code: 'too-long',
    words: 'Long for what these hands do',
    instead: 'A shorter length, or a stronger build.',
    what: ['cracked', 'chipped', 'fell'],
    zone: ['stress', 'tip', 'middle'],
    judge: ({ length_mm, bed_mm }) => {
      const free = length_mm - bed_mm;
      return free <= bed_mm
        ? undefined
        : { score: 0.45, evidence: `${free.toFixed(1)} mm stand free of a bed of ${bed_mm} mm.` };
    },
  },
  {
    code: 'past-date',
    words: 'A product was past its date',
    instead: 'Open a new one.',
    what: ['lifted', 'chipped', 'cracked', 'fell'],
    judge: ({ past_date }) =>
      past_date.length === 0
        ? undefined
        : { score: 0.5, evidence: `Past its date: ${past_date.join(', ')}.` },
  },
  {
    code: 'oily-plate',
    words: 'This plate is oily, or has lifted before',
    instead: 'Dehydrate twice, and look at it after a week.',
    what: ['lifted', 'fell'],
    judge: ({ conditions }) => {
      const told = conditions.filter((one) => one === 'oily' || one === 'lifted-before');
      return told.length === 0
        ? undefined
        : { score: 0.4, evidence: `Noted of it: ${told.join(', ').replaceAll('-', ' ')}.` };
    },
  },
];

/** A nail is about so wide where a tip is fixed (from memory). */
const WIDTH_MM = 11;
/** Where it shows speaks for a cause, or against it. */
const IN_ZONE = 0.12;
const OUT_OF_ZONE = 0.35;

/**
 * Causes that what was done on a nail allows, the likeliest first. What the record rules out is not among them. Burning or itching
 * is no cause of anything here: it is for a doctor.
 */
export function causesOf(facts: NailFacts, note: Pick<WearNote, 'what' | 'at'>): CauseOffered[] {
  const zone = zoneOf(note.at, facts);
  return CAUSES.filter(({ what }) => what.includes(note.what))
    .flatMap((cause): CauseOffered[] => {
      const found = cause.judge(facts);
      if (!found) return [];
      const fits =
        zone === undefined || cause.zone === undefined
          ? 0
          : cause.zone.includes(zone)
            ? IN_ZONE
            : -OUT_OF_ZONE;
      const score = Math.max(0, Math.min(1, found.score + fits));
      if (score < 0.1) return [];
      const { code, words, instead } = cause;
      return [{ code, words, instead, evidence: [found.evidence], score, strength: strengthOf(score) }];
    })
    .sort((a, b) => b.score - a.score || (a.code < b.code ? -1 : 1));
}

function strengthOf(score: number): Strength {
  return score >= 0.7 ? 'strong' : score >= 0.4 ? 'some' : 'weak';
}
