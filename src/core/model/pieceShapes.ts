/** What pieces that lie in the clear are cut as; how each is formed stands in craft/pieceCuts.ts. */
export const PIECE_SHAPES = [
  'sliver',
  'leaf',
  'disc',
  'square',
  'triangle',
  'hexagon',
  'heart',
  'star',
  'crescent',
  'drop',
  'petal',
  'flower',
  'cloth',
] as const;
export type PieceShape = (typeof PIECE_SHAPES)[number];

/** Forms of flat pieces that no charm is cast in. */
export const FLAT_SHAPES = ['disc', 'square', 'triangle', 'hexagon', 'petal', 'flower'] as const;
