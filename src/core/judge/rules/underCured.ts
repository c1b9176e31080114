import { gelDepth, neededDose } from '../../craft/cure';
import type { NailRule } from '../rule';
import { CURED, NONE } from '../../simulate/field';
import { rounded } from '../../model/rounded';
import { MIN_FAULT_MM2 } from '../../simulate/simulate';

/** Every film that a lamp hardens must have had its dose at the bottom by the end. */
export const underCured: NailRule = {
  codes: ['under-cured'],
  asks: 'Is every film cured through by the end?',
  check: ({ field, context, operations }) =>
    field.films.flatMap((film) => {
      const product = film.product ? context.product(film.product) : undefined;
      const need = film.kind === 'film' && product ? neededDose(product) : undefined;
      if (!need || !product) return [];
      let area = 0;
      let least = Infinity;
      let thickest = 0;
      film.phase.forEach((phase, cell) => {
        if (phase === NONE || phase === CURED) return;
        area += field.grid.cell_mm2;
        least = Math.min(least, film.dose[cell]!);
        thickest = Math.max(thickest, film.t_um[cell]!);
      });
      if (area < MIN_FAULT_MM2) return [];
      const operation = operations.find((one) => one.id === film.operation)!;
      const depth_um = product.lamp!.depth_um;
      const hard_um = gelDepth(depth_um, least * Math.exp(thickest / depth_um), need.cured);
      const share = rounded((least / need.cured) * 100, 0);
      return [
        {
          severity: 'stop' as const,
          operation: operation.id,
          element: operation.element,
          message:
            share === 0
              ? `${operation.words} never sees the lamp.`
              : `${operation.words} is not cured through: of ${Math.round(thickest)} µm only ${Math.round(hard_um)} harden.`,
          reason: 'Under-cured gel is soft and lumpy, lifts early, and is the main road to allergy.',
          figure: {
            words: 'light at the bottom',
            value: share,
            limit: 100,
            is: 'at least' as const,
            unit: '%',
          },
        },
      ];
    }),
};
