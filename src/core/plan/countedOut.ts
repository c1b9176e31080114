import { STONE_SIZES_MM } from '../craft/techniques/stones';
import type { Operation, PlacedPiece } from '../craft/operation';
import { leastOf, mostOf } from '../model/extent';
import type { Supply } from '../model/supply';
import { rounded } from '../model/rounded';

/** What is laid of one kind on all ten nails, to be counted out before the client comes. */
export interface CountedOut {
  kind: PlacedPiece['kind'];
  /** "stones SS5", "slivers 2.4 to 4 × 0.9 mm", "mask". */
  words: string;
  colour: string;
  count: number;
  /** How many of just these the shelf has left, where it counts them. */
  left?: number;
}

/** Pieces, stones and charms of a plan by kind and colour, the most first. */
export function countedOut(operations: readonly Operation[], shelf: readonly Supply[]): CountedOut[] {
  const byKind = new Map<string, PlacedPiece[]>();
  for (const { deposit } of operations) {
    if (deposit?.kind !== 'pieces') continue;
    for (const piece of deposit.pieces) {
      const key = [piece.kind, nameOf(piece), piece.colour.toLowerCase()].join('|');
      byKind.set(key, [...(byKind.get(key) ?? []), piece]);
    }
  }
  return [...byKind.values()]
    .map((pieces): CountedOut => {
      const first = pieces[0]!;
      const left = leftOf(first, shelf);
      return {
        kind: first.kind,
        words: wordsOf(pieces),
        colour: first.colour,
        count: pieces.length,
        ...(left === undefined ? {} : { left }),
      };
    })
    .sort((a, b) => b.count - a.count || (a.words < b.words ? -1 : 1));
}

/** Stones go by their number; all else by what it is called, in whatever size a nail takes it. */
function nameOf(piece: PlacedPiece): string {
  return piece.kind === 'stone' ? (stoneNumber(piece.width_mm) ?? 'stone') : piece.words;
}

function stoneNumber(width_mm: number): string | undefined {
  return Object.entries(STONE_SIZES_MM).find(([, mm]) => Math.abs(mm - width_mm) < 1e-6)?.[0];
}

function wordsOf(pieces: readonly PlacedPiece[]): string {
  const first = pieces[0]!;
  const many = pieces.length > 1;
  if (first.kind === 'stone') return `${many ? 'stones' : 'stone'} ${nameOf(first)}`;
  if (first.kind === 'charm') return first.words;
  const name = many ? (PLURAL[first.words] ?? first.words) : first.words;
  return `${name} ${span(pieces, 'length_mm')} × ${span(pieces, 'width_mm')} mm`;
}

const PLURAL: Readonly<Record<string, string>> = { sliver: 'slivers', leaf: 'leaves' };

function span(pieces: readonly PlacedPiece[], of: 'length_mm' | 'width_mm'): string {
  const sizes = pieces.map((piece) => rounded(piece[of], 1));
  const [least, most] = [leastOf(sizes), mostOf(sizes)];
  return least === most ? `${least}` : `${least} to ${most}`;
}

/** What the shelf counts of the same stone in the same colour, or of a charm by its name. */
function leftOf(piece: PlacedPiece, shelf: readonly Supply[]): number | undefined {
  const counts = shelf.flatMap((one): number[] => {
    if (piece.kind === 'stone' && one.kind === 'stone') {
      const alike = one.size === nameOf(piece) && one.colour.toLowerCase() === piece.colour.toLowerCase();
      return alike && one.count !== null ? [one.count] : [];
    }
    if (piece.kind === 'charm' && one.kind === 'charm')
      return one.name === piece.words && one.count !== null ? [one.count] : [];
    return [];
  });
  return counts.length > 0 ? counts.reduce((sum, count) => sum + count, 0) : undefined;
}
