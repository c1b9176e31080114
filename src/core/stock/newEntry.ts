import { BODY_KINDS } from '../craft/bodies';
import { upperFirst } from '../model/letters';
import { tidyWords } from '../model/primitives';
import type { Supply } from '../model/supply';
import type { ShelfItem } from '../model/shelf';
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
    case 'body': {
      const supply = BODY_KINDS[of.piece.kind].asSupply(of.piece, { id: id(), name });
      return supply && { supply };
    }
    case 'tip':
    case 'other':
      return undefined;
  }
}
