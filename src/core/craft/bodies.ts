import { leastOf, mostOf } from '../model/extent';
import { rounded } from '../model/rounded';
import { CHARM_SHAPES } from '../model/charmShapes';
import { PIECE_SHAPES } from '../model/pieceShapes';
import { STONE_NUMBERS, type Supply } from '../model/supply';
import type { PlacedPiece } from './matter';
import { manyOf, PIECE_CUTS } from './pieceCuts';
import { STONE_SIZES_MM } from './stoneSizes';

/** What the trade knows of one kind of body that is laid on a nail. */
export interface BodyKind {
  /** It stands on the nail; otherwise it lies in the clear and follows the curve. */
  stands: boolean;
  /** What of it is counted out together: "SS5", "sliver". */
  sortOf: (piece: PlacedPiece) => string;
  /** "20 stones SS5", "3 × mask", "7 slivers 4 × 0.9 mm", of pieces of one sort. */
  counted: (pieces: readonly PlacedPiece[]) => { count: string; words: string };
  /** One and many of them, where they are judged against their ground; what is cast has a face of its own. */
  judged?: readonly [string, string];
  /** Whether the shelf's supply is just this. */
  isSupply: (piece: PlacedPiece, supply: Supply) => boolean;
  /** The same as a supply, with nothing of it counted yet. */
  asSupply: (piece: PlacedPiece, own: { id: string; name: string }) => Supply | undefined;
}

export const BODY_KINDS: Record<PlacedPiece['kind'], BodyKind> = {
  piece: {
    stands: false,
    sortOf: (piece) => piece.words,
    counted: (pieces) => {
      const one = pieces[0]!.words;
      const name = pieces.length > 1 ? manyOf(one) : one;
      return {
        count: `${pieces.length}`,
        words: `${name} ${span(pieces, 'length_mm')} × ${span(pieces, 'width_mm')} mm`,
      };
    },
    judged: ['piece', 'pieces'],
    isSupply: (piece, supply) =>
      supply.kind === 'piece' &&
      PIECE_CUTS[supply.shape].words === piece.words &&
      supply.colour.toLowerCase() === piece.colour.toLowerCase(),
    asSupply: ({ words, height_mm, stiffness, ...piece }, own) => ({
      kind: 'piece',
      ...own,
      ...measured(piece),
      shape: PIECE_SHAPES.find((shape) => PIECE_CUTS[shape].words === words) ?? 'sliver',
      thickness_mm: height_mm,
      stiffness,
    }),
  },
  stone: {
    stands: true,
    sortOf: stoneNumber,
    counted: (pieces) => ({
      count: `${pieces.length}`,
      words: `${pieces.length > 1 ? 'stones' : 'stone'} ${stoneNumber(pieces[0]!)}`,
    }),
    judged: ['stone', 'stones'],
    isSupply: (piece, supply) =>
      supply.kind === 'stone' &&
      supply.size === stoneNumber(piece) &&
      supply.colour.toLowerCase() === piece.colour.toLowerCase(),
    asSupply: (piece, own) => {
      const size = STONE_NUMBERS.find((one) => one === stoneNumber(piece));
      return size && { kind: 'stone', ...own, count: null, size, colour: piece.colour };
    },
  },
  charm: {
    stands: true,
    sortOf: (piece) => piece.words,
    counted: (pieces) => ({
      count: pieces.length > 1 ? `${pieces.length} ×` : '1',
      words: pieces[0]!.words,
    }),
    isSupply: (piece, supply) =>
      supply.kind === 'charm' && supply.name.toLowerCase() === piece.words.toLowerCase(),
    asSupply: ({ words, height_mm, ...piece }, { id }) => ({
      kind: 'charm',
      id,
      name: words,
      ...measured(piece),
      shape: CHARM_SHAPES.find((shape) => shape === piece.shape) ?? 'oval',
      height_mm,
    }),
  },
};

/** What every body is as a supply. */
function measured({
  length_mm,
  width_mm,
  colour,
  metallic,
}: Pick<PlacedPiece, 'length_mm' | 'width_mm' | 'colour' | 'metallic'>) {
  return { count: null, length_mm, width_mm, colour, metallic };
}

/** Whether a piece stands on the nail. */
export function isStanding(piece: Pick<PlacedPiece, 'kind'>): boolean {
  return BODY_KINDS[piece.kind].stands;
}

/** Whether it lies in the nail's clear. */
export function liesInside(piece: Pick<PlacedPiece, 'kind'>): boolean {
  return !BODY_KINDS[piece.kind].stands;
}

function stoneNumber({ width_mm }: PlacedPiece): string {
  return Object.entries(STONE_SIZES_MM).find(([, mm]) => Math.abs(mm - width_mm) < 1e-6)?.[0] ?? 'stone';
}

function span(pieces: readonly PlacedPiece[], of: 'length_mm' | 'width_mm'): string {
  const sizes = pieces.map((piece) => rounded(piece[of], 1));
  const [least, most] = [leastOf(sizes), mostOf(sizes)];
  return least === most ? `${least}` : `${least} to ${most}`;
}
