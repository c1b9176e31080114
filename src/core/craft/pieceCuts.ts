import { PIECE_SHAPES, type PieceShape } from '../model/pieceShapes';
import { upperFirst } from '../model/letters';
import type { BodyShape } from './matter';

/** How a piece is cut: what one and many are called, and how it is formed. */
export interface PieceCut {
  words: string;
  many: string;
  form: BodyShape;
  /** It lies within the oval that fills its width and length. */
  round?: true;
  /** Dry stuff with air in it: soaked through before it lies in the clear. */
  soaked?: true;
}

export const PIECE_CUTS: Record<PieceShape, PieceCut> = {
  sliver: { words: 'sliver', many: 'slivers', form: 'rectangle' },
  leaf: { words: 'leaf', many: 'leaves', form: 'oval', round: true },
  disc: { words: 'disc', many: 'discs', form: 'disc', round: true },
  square: { words: 'square', many: 'squares', form: 'square' },
  triangle: { words: 'triangle', many: 'triangles', form: 'triangle' },
  hexagon: { words: 'hexagon', many: 'hexagons', form: 'hexagon', round: true },
  heart: { words: 'heart', many: 'hearts', form: 'heart' },
  star: { words: 'star', many: 'stars', form: 'star', round: true },
  crescent: { words: 'crescent', many: 'crescents', form: 'crescent' },
  drop: { words: 'drop', many: 'drops', form: 'drop' },
  petal: { words: 'petal', many: 'petals', form: 'petal' },
  flower: { words: 'dried flower', many: 'dried flowers', form: 'flower', soaked: true },
  cloth: { words: 'piece of fabric', many: 'pieces of fabric', form: 'square', soaked: true },
};

/** What an artist chooses from. */
export const PIECE_CHOICES = PIECE_SHAPES.map((value) => ({
  value,
  words: upperFirst(PIECE_CUTS[value].words),
}));

const MANY = new Map(Object.values(PIECE_CUTS).map(({ words, many }) => [words, many]));

/** What several of something that lies on a nail are called. */
export function manyOf(words: string): string {
  return MANY.get(words) ?? `${words}s`;
}

const SOAKED = new Set(Object.values(PIECE_CUTS).flatMap(({ words, soaked }) => (soaked ? [words] : [])));

/** Whether what lies there under these words is soaked through first. */
export function isSoaked(words: string): boolean {
  return SOAKED.has(words);
}
