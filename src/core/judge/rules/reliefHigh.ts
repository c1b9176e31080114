import { isSelfEdged } from '../../geometry/profiles';
import { mostOf } from '../../model/extent';
import { cellX, cellY, type Film, type NailField } from '../../simulate/field';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** What stands up by more catches in hair and pockets (common practice). */
const MOST_UM = 900;

/** So near a sidewall it is drawn out thin (common practice). */
const WALLS_MM = 0.8;
const MOST_AT_WALLS_UM = 300;

/** How high relief stands near the sidewalls of the bed at most, all its layers together. */
function atWalls_um(raised: readonly Film[], { frame, grid }: NailField): number {
  return mostOf(
    [...grid.inside.keys()].map((cell) => {
      const [x, y] = [grid.x[cellX(cell)]!, grid.y[cellY(cell)]!];
      const near = grid.inside[cell] && y < frame.bed_mm && frame.halfWidth_mm(y) - Math.abs(x) < WALLS_MM;
      return near ? raised.reduce((sum, { t_um }) => sum + t_um[cell]!, 0) : 0;
    }),
  );
}

/** Relief that stands too high for every day. */
export const reliefHigh: NailRule = {
  codes: ['relief-high', 'relief-at-walls'],
  asks: 'Does relief stand no higher than a hand gets by with?',
  check: (nail) => {
    const told = new Set<string>();
    return nail.operations.flatMap(({ id, element }): FindingDraft[] => {
      if (told.has(element)) return [];
      const raised = nail.field.films.filter(
        (film) => film.profile && isSelfEdged(film.profile) && film.operation.includes(`/${element}/`),
      );
      if (raised.length === 0) return [];
      told.add(element);
      const height_um = raised.reduce((sum, film) => sum + (film.full_um ?? 0), 0);
      const tries = granted(nail, element, 'lie-lower', {});
      if (height_um <= MOST_UM) {
        const walls_um = atWalls_um(raised, nail.field);
        return walls_um <= MOST_AT_WALLS_UM
          ? []
          : [
              {
                code: 'relief-at-walls',
                severity: 'warn',
                operation: id,
                element,
                message: 'The relief is heavy at the sidewalls.',
                reason:
                  'Drawn out thin to the sides it looks grown there; as high as in the middle it widens the nail and catches.',
                figure: {
                  words: `relief within ${WALLS_MM} mm of a sidewall`,
                  value: Math.round(walls_um),
                  limit: MOST_AT_WALLS_UM,
                  is: 'at most',
                  unit: 'µm',
                },
                tries: [...granted(nail, element, 'off-the-walls', {}), ...tries],
              },
            ];
      }
      return [
        {
          code: 'relief-high',
          severity: 'warn',
          operation: id,
          element,
          message: 'The relief stands high: it catches.',
          reason: 'What stands up like a ridge is a lever at every pocket and in every hair.',
          figure: {
            words: 'stands up',
            value: Math.round(height_um),
            limit: MOST_UM,
            is: 'at most',
            unit: 'µm',
          },
          tries,
        },
      ];
    });
  },
};
