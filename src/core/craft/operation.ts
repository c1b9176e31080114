import type { NailName } from '../model/names';
import type { Region } from '../regions';
import type { Profile } from '../geometry/profiles';
import type { Disc } from '../geometry/regions';
import type { Product } from '../model/product';
import { isStanding } from './bodies';
import { FAMILIES, type Laid } from './families';
import { FINE_PIECE_MM, type Deposit, type Paint } from './matter';
import type { Verb } from './surfaces';

/**
 * The stages of a nail's work, in their fixed order: art inside a tip that nobody wears yet; removal and sanitising; preparing the plate; base, tip or
 * form; the build's own material with the art under and inside it; filing it; art on the finished build; top;
 * what stands on the top; care.
 */
export const STAGES = [
  'ahead',
  'arrive',
  'prepare',
  'foundation',
  'body',
  'shape',
  'surface',
  'seal',
  'over',
  'care',
] as const;
export type Stage = (typeof STAGES)[number];

/** Where an element sits: on the plate before form or tip, below the body, encapsulated in it, on the finished build, or on its top. */
export const SEATS = ['plate', 'under', 'inside', 'surface', 'over'] as const;
export type Seat = (typeof SEATS)[number];

/** Where an operation works: a region as laid on this nail. Plain data; `areaOf` gives it its curve. */
/** Said after the words of work inside a tip. */
export const IN_TIP = ', inside the tip';

export interface Place {
  region: Region;
  mirror: boolean;
  scale: number;
  /** Keeps the size it was drawn in. */
  keep?: boolean;
  /** Kept off the skin at the cuticle and sidewalls. */
  margin_mm: number;
  /** Discs left free, with their clearance already in the radius. */
  free?: Disc[];
  /** Only these discs: the beads under stones and charms. */
  around?: Disc[];
  /** Only inside other places, or only outside them. */
  within?: { place: Place; outside: boolean }[];
  /** A line of this width along the region's edge instead of all of it; so far off it, where it is a second one. */
  along_edge?: { width_mm: number; off_mm?: number };
}

/** Whether something lies on the whole of its nail, and not on a part of it. */
export function liesAllOver({ region, within, around, along_edge }: Place): boolean {
  return region.kind === 'whole' && !within && !around && !along_edge;
}

export interface Removal {
  /** How much the file takes off the surface. */
  allowance_um: number;
  /** Less where what is filed was laid thinner: the file follows its rise. */
  profile?: Profile;
  /** The free edge is thinned to this, plate or tip included. */
  edge_um: number;
  /** The seam of a half tip is filed to nothing over this stretch along the nail, and nothing else is. */
  seam_mm?: { from: number; to: number };
  /** Elements that stand in the build as islands: over them it goes down until their tops lie bare. */
  bares?: readonly string[];
}

/**
 * One thing done to one nail. Plain data. `id` is `nail/element/step#pass`, stable across replanning.
 */
export interface Operation {
  id: string;
  nail: NailName;
  element: string;
  stage: Stage;
  step: string;
  pass: number;
  verb: Verb;
  words: string;
  /** Products and tools that need a clean brush or a new grip when they change. */
  class: string;
  product?: string;
  /** The liquid that its powder is taken up with. */
  liquid?: string;
  place: Place;
  paint?: Paint;
  deposit?: Deposit;
  removal?: Removal;
  hand_s: number;
  /** What hands of the usual pace take for what they can hasten. */
  guide_s: number;
  /** Of work that the artist's own times are known of: how far they reach, as shares of `hand_s`. */
  own?: { quick: number; slow: number; times: number };
  /** How much of it no hand hastens or slows: a hold until something has set or gathered. */
  fixed_s?: number;
  lamp?: { mode: 'cure' | 'flash'; seconds: number };
  wait_s?: number;
  /** How long the wet film should wait for its light at most; a runny one has run by then. */
  open_s?: number;
  /** Of what sets by itself: laid in so many portions one after another, each worked while it is wet. */
  portions?: number;
  /** A rest until what sets by itself has gone dull or is hard, counted from the first touch of its last portion. */
  until?: 'dull' | 'hard';
  /** Done for a whole hand, or for both, in one go. */
  scope?: 'hand' | 'set';
  /** Done inside a ready tip before it is put on, face down: what is laid first lies nearest the eye. */
  in_tip?: true;
  /** One piece of work with the operation before it: the nail is held, and nothing else happens meanwhile. */
  held?: true;
  reason: string;
  /** How far colour gets past its place, as from a sponge or in mist. */
  spills_mm?: number;
  /** How many pieces lie under one press, where all are pressed at once. */
  presses_at_once?: number;
  /** Of a magnet: how far off the nail it is held, and how far it draws. */
  pulls?: { from_mm: number; reach_mm: number };
  caution?: string;
  /** Why a nail is worse for leaving just this step out, where its verb alone does not say. */
  missed?: { words: string; grave?: boolean };
}

/** What techniques and builds write; the compiler adds id, nail, element, stage, class and the caution of its verb. */
export type Draft = Omit<
  Operation,
  'id' | 'nail' | 'element' | 'stage' | 'pass' | 'class' | 'guide_s' | 'own'
> & {
  pass?: number;
  /** Where it lies, as it is said, instead of its region's own words. */
  where?: string;
  /** Ends a body of what sets by itself: put off where more of the same is laid on it; false: never, whatever comes. */
  ends?: boolean;
};

/** What is laid where that is not its product. */
const LAYS: { [K in Deposit['kind']]?: (what: Extract<Deposit, { kind: K }>) => Laid } = {
  pieces: ({ pieces }) => {
    if (pieces.some(isStanding)) return 'stone';
    return pieces.every((piece) => piece.height_mm <= FINE_PIECE_MM) ? 'fine-piece' : 'piece';
  },
  grains: () => 'grains',
  sheet: () => 'sheet',
};

/** What an operation lays, as far as grip goes. */
export function laidBy(
  operation: Pick<Operation, 'deposit' | 'product'>,
  product: (id: string) => Product,
): Laid {
  const { deposit, product: made } = operation;
  if (!deposit) return 'nothing';
  const lays = LAYS[deposit.kind] as ((what: Deposit) => Laid) | undefined;
  return lays ? lays(deposit) : made ? FAMILIES[product(made).family].laid : 'nothing';
}

/** Whether an operation is one piece of work with what stands before it on its nail. */
export function isHeldAfter(before: Operation | undefined, operation: Operation): boolean {
  if (!operation.held || !before) return false;
  // What the artist put in is held with whatever it follows.
  return before.element === operation.element || operation.element === 'own';
}

export function operationId(nail: NailName, element: string, step: string, pass: number): string {
  return `${nail}/${element}/${step}#${pass}`;
}

/** The elements every nail has besides its art. */
export const RESERVED_ELEMENTS = ['prep', 'build', 'body', 'top', 'care', 'own'] as const;

/** The parts of an operation id; undefined where it is none. */
export function parseOperationId(
  id: string,
): { nail: string; element: string; step: string; pass: number } | undefined {
  const match = /^([a-z]+-[a-z]+)\/([a-z0-9-]+)\/([a-z0-9-]+)#(\d+)$/.exec(id);
  return match ? { nail: match[1]!, element: match[2]!, step: match[3]!, pass: Number(match[4]) } : undefined;
}
