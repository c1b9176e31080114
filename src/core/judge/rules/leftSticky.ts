import type { NailRule } from '../rule';
import { decode } from '../../craft/surface';
import { rounded } from '../../model/rounded';

/** At the end no sticky layer may be left. */
export const leftSticky: NailRule = {
  codes: ['left-sticky'],
  asks: 'Is the finished nail dry to the touch?',
  check: ({ field, operations }) => {
    let area = 0;
    field.surface.forEach((code, cell) => {
      const surface = decode(code);
      // Colour or clear left without top is told as that.
      if (surface.material !== 'top' || surface.phase !== 'cured') return;
      if (field.grid.inside[cell] && surface.finish === 'tacky') area += field.grid.cell_mm2;
    });
    // The strip at the skin is too narrow to hold a sticky layer that matters.
    const rim = field.frame.length_mm * 1.2;
    if (area <= rim) return [];
    const last = operations[operations.length - 1];
    return [
      {
        severity: 'stop',
        ...(last ? { operation: last.id, element: last.element } : {}),
        message: `The finished nail is still sticky on ${rounded(area, 0)} mm².`,
        reason: 'The inhibition layer is uncured gel: it takes lint and dirt and stays on the skin.',
        figure: {
          words: 'sticky area',
          value: rounded(area, 0),
          limit: rounded(rim, 0),
          is: 'at most',
          unit: 'mm²',
        },
      },
    ];
  },
};
