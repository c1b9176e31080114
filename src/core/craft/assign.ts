/**
 * The cheapest choice of a column for every row, no column twice: the Hungarian method with potentials
 * (Kuhn 1955; Munkres 1957), O(rows² · columns). `Infinity` forbids a pair; with more rows than can be served the
 * forbidden pairs are used, so each row wants a column of its own that is always allowed. There must be at least as
 * many columns as rows. Returns the column of each row.
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  const rowPrice = new Float64Array(rows + 1);
  const columnPrice = new Float64Array(columns + 1);
  /** The row at each column, counted from 1; 0 where it is free. */
  const rowAt = new Int32Array(columns + 1);
  const cameFrom = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row += 1) {
    rowAt[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Infinity);
    const seen = new Uint8Array(columns + 1);
    do {
      seen[column] = 1;
      const at = rowAt[column]!;
      let step = Infinity;
      let next = 0;
      for (let j = 1; j <= columns; j += 1) {
        if (seen[j]) continue;
        const reduced = costs[at - 1]![j - 1]! - rowPrice[at]! - columnPrice[j]!;
        if (reduced < least[j]!) {
          least[j] = reduced;
          cameFrom[j] = column;
        }
        if (least[j]! < step || next === 0) {
          step = least[j]!;
          next = j;
        }
      }
      if (!Number.isFinite(step)) throw new Error('a row has no column that is allowed');
      for (let j = 0; j <= columns; j += 1) {
        if (seen[j]) {
          rowPrice[rowAt[j]!]! += step;
          columnPrice[j]! -= step;
        } else least[j]! -= step;
      }
      column = next;
    } while (rowAt[column] !== 0);
    // The path back: each column takes the row of the one before.
    for (; column !== 0; column = cameFrom[column]!) rowAt[column] = rowAt[cameFrom[column]!]!;
  }
  const chosen = new Array<number>(rows).fill(-1);
  for (let j = 1; j <= columns; j += 1) if (rowAt[j]! > 0) chosen[rowAt[j]! - 1] = j - 1;
  return chosen;
}
