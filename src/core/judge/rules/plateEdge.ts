import { difference } from '../../colour/space';
import { rounded } from '../../model/rounded';
import { leftOfPlate_mm } from '../../craft/build';
import { CELLS_X, cellX, cellY } from '../../simulate/field';
import { pileColours } from '../../simulate/pile';
import { GROUNDS, grey } from '../../colour/film';
import type { NailRule } from '../rule';

/** Past its own edge by less than this a nail has hardly been made longer. */
const LONGER_MM = 1;
/** A line between two grounds is seen from about this difference (common practice). */
const SEEN = 10;

/** The plate's own edge below what is clear: its outline becomes part of the design, meant or not. */
export const plateEdge: NailRule = {
  codes: ['plate-edge-shows'],
  asks: 'Does the plate’s own squared edge show through the build?',
  check: ({ name, context, field }) => {
    const { plate } = context.nail;
    if (plate.outline !== 'square' || plate.free_edge_mm < 0.3) return [];
    const y = context.frame.bed_mm + leftOfPlate_mm(field.edge, plate);
    if (field.edge === 'plate' || context.frame.length_mm - y < LONGER_MM) return [];
    const colourAt = pileColours(field, context.product);
    const row = field.grid.y.reduce(
      (best, at, j) => (Math.abs(at - y) < Math.abs(field.grid.y[best]! - y) ? j : best),
      0,
    );
    const apart = Array.from({ length: CELLS_X }, (_, i) => row * CELLS_X + i)
      .filter((cell) => field.grid.inside[cell])
      .map((cell) => {
        const seen = (ground: number) =>
          colourAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!, { ground: grey(ground) });
        return difference(seen(GROUNDS.nail.dark), seen(GROUNDS.nail.pale));
      });
    // An edge that shows over a few cells between art is no line.
    const middle = [...apart].sort((a, b) => a - b)[Math.floor(apart.length / 2)] ?? 0;
    if (middle < SEEN) return [];
    return [
      {
        severity: 'note',
        message: 'The plate’s own squared edge shows through what is clear.',
        reason:
          'Below clear product its corners read as a second smile line: file it to the curve the art wants, or lay colour over it.',
        figure: {
          words: 'difference over the edge',
          value: rounded(middle, 1),
          limit: SEEN,
          is: 'at most',
          unit: 'ΔE00',
        },
        fix: {
          words: 'File the plate’s own edge round first',
          change: { kind: 'plate', nail: name, plate: { outline: 'round' } },
        },
      },
    ];
  },
};
