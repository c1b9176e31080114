import { upperFirst } from '../model/letters';
import { tidyWords } from '../model/primitives';
import { STONE_NUMBERS, type Supply } from '../model/supply';
import type { ShelfItem } from '../model/shelf';
import { CHARM_SHAPES } from '../model/charmShapes';
import { PIECE_SHAPES } from '../model/pieceShapes';
import { PIECE_CUTS } from '../craft/pieceCuts';
import type { Need } from './needs';

/** A thing that is missing as the shelf would hold it, with nothing counted yet; undefined for what stands on no shelf. */
export type NewEntry = { shelf: ShelfItem } | { supply: Supply };

/** `freeId`: an id that nothing on the shelf has, made of the wanted one. */
export function newEntryOf(
  { of, words }: Pick<Need, 'of' | 'words'>,
  freeId: (wanted: string) => string,
): NewEntry | undefined {
  const name = tidyWords(upperFirst(words)) ?? 'Supply';
  const id = () =>
    freeId(
      words
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '')
        .slice(0, 34) || 'supply',
    );
  switch (of.kind) {
    case 'product':
      return { shelf: { product: of.product, count: null, price: null, opened_on: null } };
    case 'grain':
    case 'sheet':
      return { supply: { kind: of.kind, id: id(), name, count: null, colour: of.colour } };
    case 'sundry':
      return { supply: { kind: 'sundry', id: id(), name, use: of.use, count: null } };
    case 'body':
      return bodyEntry(of.piece, id(), name, words);
    case 'tip':
    case 'other':
      return undefined;
  }
}

function bodyEntry(
  piece: Extract<Need['of'], { kind: 'body' }>['piece'],
  id: string,
  name: string,
  words: string,
): NewEntry | undefined {
  const { colour, metallic, length_mm, width_mm, height_mm, stiffness } = piece;
  if (piece.kind === 'stone') {
    const size = STONE_NUMBERS.find((one) => words.endsWith(one));
    return size && { supply: { kind: 'stone', id, name, count: null, size, colour } };
  }
  const body = { id, name, count: null, colour, metallic, length_mm, width_mm };
  if (piece.kind === 'charm') {
    const shape = CHARM_SHAPES.find((one) => one === piece.shape) ?? 'oval';
    return { supply: { kind: 'charm', ...body, name: piece.words, shape, height_mm } };
  }
  const shape = PIECE_SHAPES.find((one) => PIECE_CUTS[one].words === piece.words) ?? 'sliver';
  return { supply: { kind: 'piece', ...body, shape, thickness_mm: height_mm, stiffness } };
}
