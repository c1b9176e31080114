import type { Grains } from '../../craft/matter';
import { areBeads, clearOver_um } from '../beads';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** What stands out of the clear by more is felt under a fingertip (common practice). */
const FELT_UM = 20;
/** A flat grain falls at a slant: its rim stands up by so much of its size (by the look of it). */
const SLANT = 0.15;
/** Clear is laid a little thicker than it must be. */
const SPARE_UM = 20;

/** How high grains stand above what they lie on, in µm. */
function stands_um({ shape, size_mm, thickness_um }: Grains): number {
  const ball = shape === 'round' ? Math.min(thickness_um, size_mm * 1000) : thickness_um;
  return ball + SLANT * size_mm * 1000 * (1 - Math.min(1, thickness_um / (size_mm * 1000)));
}

/** Grains that stand out of the films above them: rough to the touch, and worn through first there. */
export const grainsFelt: NailRule = {
  codes: ['grains-felt'],
  asks: 'Is every grain covered until nothing is felt?',
  check: (nail) =>
    nail.field.films.flatMap((film, at): FindingDraft[] => {
      // Beads are there to be felt.
      if (!film.grains || areBeads(film.grains)) return [];
      const operation = nail.operations.find((one) => one.id === film.operation);
      if (!operation) return [];
      const stands = stands_um(film.grains);
      const out = stands - clearOver_um(film, nail.field.films.slice(at + 1));
      const own = nail.operations.filter((one) => one.element === operation.element);
      const cover = own.find((one) => one.verb === 'cap');
      // Left open on purpose, as sugar is.
      if (out <= FELT_UM || !cover?.deposit || !('t_um' in cover.deposit)) return [];
      const cap_um = Math.ceil((cover.deposit.t_um + out - FELT_UM + SPARE_UM) / 10) * 10;
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `The ${film.grains.words} can be felt: they stand out of the clear over them.`,
          reason:
            'A rough surface snags, and is the first to wear through; grains are covered until nothing is felt.',
          figure: {
            words: 'stands out',
            value: Math.round(out),
            limit: FELT_UM,
            is: 'at most',
            unit: 'µm',
          },
          tries: [
            ...granted(nail, operation.element, 'thicker-clear', { cap_um }),
            ...granted(nail, operation.element, 'finer-grains', {}),
          ],
        },
      ];
    }),
};
