import { liesInside } from '../../craft/bodies';
import { areaOf } from '../../craft/area';
import { perFrame } from '../../geometry/perFrame';
import type { Area } from '../../geometry/regions';
import type { NailRule } from '../rule';
import { polygonArea_mm2, uncovered_mm2 } from '../../geometry/polygons';
import type { Operation } from '../../craft/operation';
import type { NailFrame, Point } from '../../geometry/frame';
import { rounded } from '../../model/rounded';
import { pieceOutline } from '../../craft/pieces';

/** A sliver as wide as a hair is not worth a word. */
const OPEN_MM2 = 0.1;
/** So many doubtful pieces are looked at closely on one nail; they tell as much as all of them. */
const MOST_LOOKED_AT = 60;

/** Outlines of what needs a film over all of it: pieces in the clear, and sheets, whose open edge comes off. */
function outlinesOf({ deposit, place }: Operation, frame: NailFrame): Point[][] {
  if (deposit?.kind === 'sheet') return areaOf(frame, place).polygons;
  return deposit?.kind === 'pieces' ? deposit.pieces.filter(liesInside).map(pieceOutline) : [];
}

/** How much of each outline lies open: the same in every light, and asked for anew by every trial of a nail. */
const lyingOpen = perFrame<number[]>();

/** Pieces need a film over the whole of them; judged on their curves, not on the grid. */
export const sealed: NailRule = {
  codes: ['not-sealed'],
  asks: 'Is every inlaid piece covered to its edges?',
  check: ({ operations, context }) => {
    let left = MOST_LOOKED_AT;
    return operations.flatMap((operation, i) => {
      const { deposit, place } = operation;
      const inlaid = outlinesOf(operation, context.frame);
      if (inlaid.length === 0) return [];
      const above = operations
        .slice(i + 1)
        .filter((later) => later.product && later.deposit && later.deposit.kind !== 'pieces');
      const places = new Map(above.map((later) => [JSON.stringify(later.place), later.place]));
      const areas = [...places.values()]
        .map((place) => areaOf(context.frame, place))
        .sort((a, b) => sizeOf(b) - sizeOf(a));
      // Most pieces lie well inside one film; only the others are looked at spot by spot.
      const outside = inlaid.filter(
        (outline) => !areas.some((area) => outline.every((p) => area.distance_mm(p.x, p.y) > 0)),
      );
      if (outside.length === 0) return [];
      const some = outside.slice(0, Math.max(1, left));
      left -= some.length;
      const sheet = deposit?.kind === 'sheet' ? place : null;
      const key = JSON.stringify([some, [...places.keys()], sheet]);
      const open = lyingOpen(context.frame, key, () => {
        const covers = areas.map((area) => area.distance_mm);
        // A curve follows its place closely; what lies open of a sheet lies in both.
        const off = sheet && areaOf(context.frame, sheet).distance_mm;
        return some.map((outline) =>
          uncovered_mm2(outline, off ? [...covers, (x, y) => -off(x, y)] : covers),
        );
      });
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
    });
  },
};

function sizeOf({ polygons }: Area): number {
  return polygons.reduce((sum, polygon) => sum + polygonArea_mm2(polygon), 0);
}
