import { areBeads, clearOver_um } from '../beads';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Past this share of their height in clear, beads lie in it as in a window and throw no light of their own (common practice). */
const DROWNED = 0.6;

/** Beads that are laid to stand out, and lie under so much clear that they do not. */
export const beadsDrowned: NailRule = {
  codes: ['beads-drowned'],
  asks: 'Do beads stand out of what is laid over them?',
  check: (nail) =>
    nail.field.films.flatMap((film, at): FindingDraft[] => {
      if (!film.grains || !areBeads(film.grains)) return [];
      const operation = nail.operations.find((one) => one.id === film.operation);
      if (!operation) return [];
      const over_um = clearOver_um(film, nail.field.films.slice(at + 1));
      const limit_um = Math.round(DROWNED * film.grains.thickness_um);
      if (over_um <= limit_um) return [];
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `The ${film.grains.words} are drowned: so much lies over them that they do not stand out.`,
          reason:
            'Beads live by their round tops: a thin film holds them at their feet, and a thick one makes a flat, grey layer.',
          figure: {
            words: 'lies over them',
            value: Math.round(over_um),
            limit: limit_um,
            is: 'at most',
            unit: 'µm',
          },
          tries: granted(nail, operation.element, 'less-clear', {}),
        },
      ];
    }),
};
