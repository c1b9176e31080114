import * as z from 'zod/mini';
import type { Point } from '../../geometry/frame';
import { STONE_CLEARANCE_MM, wholePlace, type NailContext, type Standing } from '../context';
import { held, HOLDINGS, type HoldingName } from '../holdings';
import { HAND_S } from '../handwork';
import type { Draft, Place } from '../operation';
import type { PlacedPiece } from '../matter';
import { countWords } from '../pieces';
import { STONE_SIZES, STONE_SIZES_MM, type StoneSize } from '../stoneSizes';
import type { Field } from '../technique';
import { mostOf } from '../../model/extent';

/** Of the diameter, for flat-backed stones (common practice). */
const STONE_HEIGHT_SHARE = 0.45;

/** How stones are held: as the artist works, in the wet top, or bedded with the top taken around them. */
export const STONE_BEDDING = z.enum([
  'practice',
  'wet-top',
  'wet-colour',
  'bedded',
  'stone-gel',
  'glue',
  'acrylic',
]);
export type StoneBedding = z.infer<typeof STONE_BEDDING>;
export const BEDDING_FIELD: Field = {
  kind: 'choice',
  path: 'bedding',
  words: 'Set',
  choices: [
    { value: 'practice', words: 'As I work' },
    { value: 'wet-top', words: 'In wet top' },
    { value: 'wet-colour', words: 'In wet colour' },
    { value: 'bedded', words: 'Bedded, top around' },
    { value: 'stone-gel', words: 'In thick gel, cured with the top' },
    { value: 'glue', words: 'In glue, one at a time' },
    { value: 'acrylic', words: 'In acrylic' },
  ],
};

/** Of both techniques of stones: they sit on the finished nail. */
export const STONE_SIZE = z.enum(STONE_SIZES as [StoneSize, ...StoneSize[]]);
export const STONE_SEAT = z.enum(['usual', 'surface', 'over']);
/** Set in the wet top they stand on it; bedded they come first and the top is taken around them. */
export function stoneSeat({ bedding }: { bedding: StoneBedding }, context: NailContext): 'over' | 'surface' {
  return HOLDINGS[holdingOf(bedding, context)].seat;
}
export function sizeField(path: string): Field {
  return {
    kind: 'choice',
    path,
    words: 'Size',
    choices: STONE_SIZES.map((size) => ({ value: size, words: `${size} · ${STONE_SIZES_MM[size]} mm` })),
  };
}

/** What a file calls a way of holding stones. */
const HELD_AS = {
  'wet-top': 'wet-top',
  'wet-colour': 'wet-colour',
  bedded: 'gel',
  'stone-gel': 'stone-gel',
  glue: 'glue',
  acrylic: 'acrylic',
} as const satisfies Record<Exclude<StoneBedding, 'practice'>, HoldingName>;

function holdingOf(bedding: StoneBedding, { practice }: NailContext): HoldingName {
  return HELD_AS[bedding === 'practice' ? practice.stones : bedding];
}

/** Stones do not shrink: a smaller nail takes the largest stock size that is no larger than asked. */
export function stockSize_mm(wanted_mm: number): number {
  const sizes = Object.values(STONE_SIZES_MM);
  return Math.max(sizes[0]!, mostOf(sizes.filter((size) => size <= wanted_mm + 1e-9)));
}

/** A stone where it lies on the nail. */
export function stonePiece(at: Point, size_mm: number, colour: string): PlacedPiece {
  return {
    kind: 'stone',
    words: 'stone',
    shape: 'oval',
    x_mm: at.x,
    y_mm: at.y,
    width_mm: size_mm,
    length_mm: size_mm,
    height_mm: size_mm * STONE_HEIGHT_SHARE,
    turn_deg: 0,
    stiffness: 1,
    colour,
    metallic: false,
  };
}

/** "SS9", where a stone is of a stock size. */
function stoneSize({ width_mm }: PlacedPiece): string {
  return STONE_SIZES.find((size) => Math.abs(STONE_SIZES_MM[size] - width_mm) < 0.01) ?? '';
}

/** Stones with the gap that a fine brush leaves around each, or topped over with the rest. */
export function standing(stones: readonly PlacedPiece[], { practice }: NailContext): Standing[] {
  return stones.map((stone) => ({
    x: stone.x_mm,
    y: stone.y_mm,
    r_mm: stone.width_mm / 2 + STONE_CLEARANCE_MM,
    what: 'stones',
    ...(practice.stone_top === 'over' ? { topped: true } : {}),
  }));
}

/** Stones in whichever way they are held; `where`: what is said of their place. */
export function setStones(
  stones: PlacedPiece[],
  bedding: StoneBedding,
  context: NailContext,
  where = '',
): Draft[] {
  return held(
    holdingOf(bedding, context),
    {
      pieces: stones,
      place: discsPlace(stones),
      setWords: (some) => `Set ${countWords(some, stoneSize)}${where}`,
      bead_s: HAND_S.bead * stones.length,
      set_s: HAND_S['set-in-top'] * stones.length,
      more: 1,
    },
    context,
  );
}

/** The place of stones: their own discs, so that areas are theirs and not the whole nail's. */
function discsPlace(stones: readonly PlacedPiece[]): Place {
  return {
    ...wholePlace(),
    around: stones.map((stone) => ({ x: stone.x_mm, y: stone.y_mm, r_mm: stone.width_mm / 2 })),
  };
}
