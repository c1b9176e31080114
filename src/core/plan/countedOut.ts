import { BODY_KINDS } from '../craft/bodies';
import type { PlacedPiece } from '../craft/matter';
import type { Operation } from '../craft/operation';
import type { Supply } from '../model/supply';

/** What is laid of one kind on all ten nails, to be counted out before the client comes. */
export interface CountedOut {
  /** "stones SS5", "slivers 2.4 to 4 × 0.9 mm", "mask". */
  words: string;
  colour: string;
  count: number;
  /** The count as it is said: what has a name of its own stands after a ×. */
  said: string;
  /** How many of just these the shelf has left, where it counts them. */
  left?: number;
}

/** Pieces, stones and charms of a plan by kind and colour, the most first. */
export function countedOut(operations: readonly Operation[], shelf: readonly Supply[]): CountedOut[] {
  const byKind = new Map<string, PlacedPiece[]>();
  for (const { deposit } of operations) {
    if (deposit?.kind !== 'pieces') continue;
    for (const piece of deposit.pieces) {
      const key = [piece.kind, BODY_KINDS[piece.kind].sortOf(piece), piece.colour.toLowerCase()].join('|');
      byKind.set(key, [...(byKind.get(key) ?? []), piece]);
    }
  }
  return [...byKind.values()]
    .map((pieces): CountedOut => {
      const first = pieces[0]!;
      const left = leftOf(first, shelf);
      const { count, words } = BODY_KINDS[first.kind].counted(pieces);
      return {
        words,
        colour: first.colour,
        count: pieces.length,
        said: count,
        ...(left === undefined ? {} : { left }),
      };
    })
    .sort((a, b) => b.count - a.count || (a.words < b.words ? -1 : 1));
}

/** What the shelf counts of just the same. */
function leftOf(piece: PlacedPiece, shelf: readonly Supply[]): number | undefined {
  const counts = shelf.flatMap((one): number[] =>
    'count' in one && one.count !== null && BODY_KINDS[piece.kind].isSupply(piece, one) ? [one.count] : [],
  );
  return counts.length > 0 ? counts.reduce((sum, count) => sum + count, 0) : undefined;
}
