import { COLOUR_VIEWS, type Matrix } from '../colour/views';
import type { Triple } from '../colour/film';
import { difference, linearOf } from '../colour/space';
import type { Operation } from '../craft/operation';
import { isStanding } from '../craft/bodies';
import { pieceDistance } from '../craft/pieces';
import type { Product } from '../model/product';
import { cellX, cellY, type NailField } from '../simulate/field';
import { pileColours } from '../simulate/pile';

/** Two things on a nail against each other. */
export interface Contrast {
  /** CIEDE2000 between what is seen of the one and of the other. */
  off: number;
  /** The eyes or the light in which they are hardest to tell apart, and by how much there. */
  worst: { words: string; off: number };
}

/**
 * How far two elements can be told apart where they show on a finished nail; undefined where one of them shows nowhere. Of a
 * thing of many colours its mean is taken.
 */
export function contrastOf(
  field: NailField,
  operations: readonly Operation[],
  product: (id: string) => Product,
  [one, other]: readonly [string, string],
): Contrast | undefined {
  const shows = shownColours(field, operations, product);
  const [a, b] = [shows(one), shows(other)];
  if (!a || !b) return undefined;
  const seen = COLOUR_VIEWS.map(({ words, matrix }) => ({
    words,
    off: matrix ? difference(through(matrix, a), through(matrix, b)) : difference(a, b),
  }));
  return { off: seen[0]!.off, worst: seen.reduce((least, next) => (next.off < least.off ? next : least)) };
}

/** The mean colour of what is seen of an element. */
function shownColours(
  field: NailField,
  operations: readonly Operation[],
  product: (id: string) => Product,
): (element: string) => Triple | undefined {
  const colourAt = pileColours(field, product);
  const { grid, films } = field;
  const elementOf = new Map(operations.map((operation) => [operation.id, operation.element]));
  const standing = films.flatMap((film) =>
    (film.pieces ?? [])
      .filter(isStanding)
      .map((piece) => ({ piece, element: elementOf.get(film.operation), distance_mm: pieceDistance(piece) })),
  );
  /** The element whose colour lies topmost at a cell. */
  const topmost = (cell: number): string | undefined => {
    for (let f = films.length - 1; f >= 0; f -= 1) {
      const film = films[f]!;
      if (film.t_um[cell]! > 0 && (film.paint || film.pieces)) return elementOf.get(film.operation);
    }
    return undefined;
  };
  return (element) => {
    const seen: Triple[] = [];
    for (const one of standing) if (one.element === element) seen.push(linearOf(one.piece.colour));
    for (let cell = 0; cell < grid.inside.length; cell += 1) {
      if (!grid.inside[cell] || topmost(cell) !== element) continue;
      const [x, y] = [grid.x[cellX(cell)]!, grid.y[cellY(cell)]!];
      if (standing.some((one) => one.distance_mm(x, y) > 0)) continue;
      seen.push(colourAt(x, y));
    }
    return seen.length > 0 ? mean(seen) : undefined;
  };
}

function mean(colours: readonly Triple[]): Triple {
  const sum = colours.reduce<Triple>((all, c) => [all[0] + c[0], all[1] + c[1], all[2] + c[2]], [0, 0, 0]);
  return [sum[0] / colours.length, sum[1] / colours.length, sum[2] / colours.length];
}

function through(m: Matrix, [r, g, b]: Triple): Triple {
  const row = (i: 0 | 3 | 6) => Math.max(0, Math.min(1, m[i] * r + m[i + 1]! * g + m[i + 2]! * b));
  return [row(0), row(3), row(6)];
}
