import { isSelfEdged } from '../../geometry/profiles';
import { CELLS_X, CELLS_Y, cellX, cellY, type Grid } from '../../simulate/field';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Of its height, so much may be levelled over before relief is a picture of itself (common practice). */
const DROWNED = 0.5;

/** Relief that lies under clear which levels over it. */
export const reliefDrowned: NailRule = {
  codes: ['relief-drowned'],
  asks: 'Does relief stand out of what is laid over it?',
  check: (nail) => {
    const { films, grid } = nail.field;
    const told = new Set<string>();
    return films.flatMap((film, at): FindingDraft[] => {
      const operation = nail.operations.find((one) => one.id === film.operation);
      if (!operation || told.has(operation.element) || !film.profile || !isSelfEdged(film.profile)) return [];
      const full_um = film.full_um ?? 0;
      const above = films.slice(at + 1).filter((one) => one.level_um !== undefined);
      const over_um = (cell: number) => above.reduce((all, one) => all + one.t_um[cell]!, 0);
      const steps = ridgesBeside(film.t_um, grid, full_um).map(([top, foot]) => over_um(foot) - over_um(top));
      if (above.length === 0 || steps.length === 0) return [];
      const levelled_um = steps.reduce((sum, one) => sum + one, 0) / steps.length;
      if (levelled_um <= DROWNED * full_um) return [];
      told.add(operation.element);
      const over = nail.operations.find((one) => one.id === above[0]!.operation);
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `The relief is drowned: what is laid over it levels it${over ? ` (${over.words})` : ''}.`,
          reason: 'Relief lives by its shadow; a film that levels itself fills what lies beside it.',
          figure: {
            words: 'levelled beside it',
            value: Math.round(levelled_um),
            limit: Math.round(DROWNED * full_um),
            is: 'at most',
            unit: 'µm',
          },
          tries: over ? granted(nail, over.element, 'less-clear', {}) : [],
        },
      ];
    });
  },
};

/** How far from a ridge its foot is looked for, in cells. */
const REACH = 4;

/** Cells on a ridge, each with one beside it where there is next to nothing of it. */
function ridgesBeside(t_um: Float32Array, { inside }: Grid, full_um: number): [number, number][] {
  return [...inside.keys()].flatMap((cell): [number, number][] => {
    if (!inside[cell] || t_um[cell]! < full_um * 0.5) return [];
    const [x, y] = [cellX(cell), cellY(cell)];
    for (let off = 1; off <= REACH; off += 1)
      for (const [dx, dy] of [
        [off, 0],
        [-off, 0],
        [0, off],
        [0, -off],
      ] as const) {
        const [i, j] = [x + dx, y + dy];
        const foot = j * CELLS_X + i;
        if (i >= 0 && j >= 0 && i < CELLS_X && j < CELLS_Y && inside[foot] && t_um[foot]! < full_um * 0.1)
          return [[cell, foot]];
      }
    return [];
  });
}
