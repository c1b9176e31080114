/** One of many marks: how far a point lies inside it, in mm, negative outside; and no more than what its box allows. */
export interface Mark {
  into_mm: (x: number, y: number) => number;
  /** Never less than `into_mm`, and quicker to know. */
  atMost_mm: (x: number, y: number) => number;
}

/** Wide enough that few marks reach into a cell, and small enough that few cells are asked about (by measuring). */
const CELL_MM = 0.8;
const HALF_DIAGONAL_MM = CELL_MM * Math.SQRT1_2;

/**
 * How far inside the nearest of many marks a point lies. A distance changes by no more than the way that is gone: a mark that
 * is further from the middle of a cell than another by more than the cell's diagonal is the nearest nowhere in it. So each cell
 * that is asked about keeps the few that may be.
 */
export function nearestOf(marks: readonly Mark[]): (x: number, y: number) => number {
  const cells = new Map<number, readonly Mark[]>();
  const inCell = (column: number, row: number): readonly Mark[] => {
    const [x, y] = [(column + 0.5) * CELL_MM, (row + 0.5) * CELL_MM];
    const reach: { mark: Mark; into: number }[] = [];
    let best = -Infinity;
    for (const mark of marks) {
      if (mark.atMost_mm(x, y) < best - 2 * HALF_DIAGONAL_MM) continue;
      const into = mark.into_mm(x, y);
      reach.push({ mark, into });
      best = Math.max(best, into);
    }
    return reach.filter(({ into }) => into >= best - 2 * HALF_DIAGONAL_MM).map(({ mark }) => mark);
  };
  return (x, y) => {
    const [column, row] = [Math.floor(x / CELL_MM), Math.floor(y / CELL_MM)];
    const key = column * ROWS + row;
    let near = cells.get(key);
    if (!near) cells.set(key, (near = inCell(column, row)));
    let into = -Infinity;
    for (const mark of near) {
      if (mark.atMost_mm(x, y) <= into) continue;
      into = Math.max(into, mark.into_mm(x, y));
    }
    return into;
  };
}

/** More than any nail has, so that no two cells share a key. */
const ROWS = 4096;
