import { mostOf } from '../../model/extent';
import { nailWords } from '../../model/names';
import type { SetRule } from '../rule';

/** Oil creeps from a finger to its neighbours: it waits until the last nail of both hands is sealed. */
export const oilEarly: SetRule = {
  codes: ['oil-early'],
  asks: 'Is every nail sealed before the oil?',
  check: ({ sitting, operations }) => {
    const byId = new Map(operations.map((one) => [one.id, one]));
    const ends = (ids: readonly string[], end_s: number) =>
      ids.some((id) => byId.has(id) && byId.get(id)!.stage !== 'care') ? end_s : 0;
    const sealed_s = Math.max(
      0,
      mostOf(sitting.strokes.map((stroke) => ends([stroke.operation], stroke.end_s))),
      mostOf(sitting.loads.map((load) => ends(load.operations, load.end_s))),
    );
    return sitting.strokes.flatMap((stroke) => {
      const oil = byId.get(stroke.operation);
      if (oil?.verb !== 'oil' || stroke.start_s >= sealed_s - 1e-6) return [];
      return [
        {
          severity: 'warn' as const,
          nail: oil.nail,
          operation: oil.id,
          element: oil.element,
          message: `The ${nailWords(oil.nail)} is oiled while other nails are still worked on.`,
          reason:
            'Oil creeps from finger to finger, and under any layer it ruins adhesion. Oil all ten at the end.',
        },
      ];
    });
  },
};
