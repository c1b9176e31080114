import { areaOf } from '../../craft/context';
import type { NailRule } from '../rule';
import { uncovered_mm2 } from '../../geometry/polygons';
import { rounded } from '../../model/rounded';
import { pieceOutline } from '../../craft/pieces';

/** A sliver as wide as a hair is not worth a word. */
const OPEN_MM2 = 0.1;

/** Pieces need a film over the whole of them; judged on their curves, not on the grid. */
export const sealed: NailRule = {
  codes: ['not-sealed'],
  asks: 'Is every inlaid piece covered to its edges?',
  check: ({ operations, context }) =>
    operations.flatMap((operation, i) => {
      const pieces = operation.deposit?.kind === 'pieces' ? operation.deposit.pieces : [];
      const inlaid = pieces.filter((piece) => piece.kind === 'inlay');
      if (inlaid.length === 0) return [];
      const above = operations
        .slice(i + 1)
        .filter((later) => later.deposit && later.deposit.kind !== 'pieces')
        .map((later) => areaOf(context.frame, later.place));
      const open = inlaid.map((piece) => uncovered_mm2(pieceOutline(piece), above));
      const total = open.reduce((sum, one) => sum + one, 0);
      const count = open.filter((one) => one > OPEN_MM2).length;
      if (count === 0) return [];
      return [
        {
          severity: 'stop' as const,
          operation: operation.id,
          element: operation.element,
          message: `${count} of ${inlaid.length} pieces ${count === 1 ? 'is' : 'are'} not sealed: ${rounded(total, 1)} mm² lie open.`,
          reason: 'An open edge takes up water and dirt, catches, and lifts.',
          figure: {
            words: 'open area',
            value: rounded(total, 2),
            limit: OPEN_MM2,
            is: 'at most' as const,
            unit: 'mm²',
          },
        },
      ];
    }),
};
