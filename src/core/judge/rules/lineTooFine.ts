import { regionKindOf } from '../../regions';
import type { Operation } from '../../craft/operation';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import type { NailRule } from '../rule';

/** What the finest liner of common practice draws, and the smallest dot of a dotting tool. */
const FINEST_LINE_MM = 0.15;
const SMALLEST_DOT_MM = 0.3;

/** A line or dot smaller than any brush or tool leaves. */
export const lineTooFine: NailRule = {
  codes: ['too-fine'],
  asks: 'Can a brush draw each line as fine as it is planned?',
  check: ({ operations, elements }) => {
    const told = new Set<string>();
    return operations.flatMap((operation): FindingDraft[] => {
      const mark = markOf(operation);
      if (!mark || told.has(operation.element) || !elements.some((one) => one.id === operation.element))
        return [];
      const limit = mark.dot ? SMALLEST_DOT_MM : FINEST_LINE_MM;
      if (mark.mm >= limit - 1e-9) return [];
      told.add(operation.element);
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `${mark.dot ? 'A dot' : 'A line'} of ${rounded(mark.mm, 2)} mm is finer than any ${mark.dot ? 'tool sets' : 'brush draws'}.`,
          reason: mark.dot
            ? 'The smallest dotting tools leave about 0.3 mm: planned finer, they come out larger and closer.'
            : 'The finest liners leave about 0.15 mm: a line planned finer comes out wider, or broken.',
          figure: {
            words: mark.dot ? 'dot' : 'width',
            value: rounded(mark.mm, 2),
            limit,
            is: 'at least',
            unit: 'mm',
          },
        },
      ];
    });
  },
};

function markOf({ place, deposit }: Operation): { mm: number; dot: boolean } | undefined {
  if (!deposit) return undefined;
  const shrunk = place.keep ? 1 : place.scale;
  if (place.along_edge) return { mm: place.along_edge.width_mm, dot: false };
  const { stroke_mm, dotted } = regionKindOf(place.region.kind);
  return stroke_mm ? { mm: stroke_mm(place.region) * shrunk, dot: dotted === true } : undefined;
}
