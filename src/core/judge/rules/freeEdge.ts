import { grantedByAny, type NailRule } from '../rule';
import { EDGE_MM, edge_mm } from '../../simulate/strength';
import { rounded } from '../../model/rounded';

export const CARD_MM = EDGE_MM.most;
export const THIN_MM = EDGE_MM.least;
const MEDIUM_MM = EDGE_MM.longFrom;
const LONG_MM = EDGE_MM.mostLong;

/** Thickness of the free edge, plate or tip included, over its last third. */
export const freeEdge: NailRule = {
  codes: ['edge-thick', 'edge-thin'],
  asks: 'Is the free edge neither clumsy nor weak?',
  check: (nail) => {
    const { field } = nail;
    const { frame } = field;
    const free = frame.length_mm - frame.bed_mm;
    if (free < 0.5) return [];
    const mean = edge_mm(field);
    if (mean === 0) return [];
    const limit = free > MEDIUM_MM ? LONG_MM : CARD_MM;
    if (mean > limit) {
      return [
        {
          code: 'edge-thick',
          severity: 'warn' as const,
          message: 'The free edge is thick.',
          reason: `A ${free > MEDIUM_MM ? 'long' : 'medium'} nail looks clumsy past ${limit} mm, and a heavy edge levers the nail off.`,
          figure: { words: 'free edge', value: rounded(mean, 3), limit, is: 'at most' as const, unit: 'mm' },
          tries: grantedByAny(nail, 'without-ground', {}),
        },
      ];
    }
    if (mean < THIN_MM) {
      return [
        {
          code: 'edge-thin',
          severity: 'warn' as const,
          message: 'The free edge is thin.',
          reason: 'A thin edge bends, and product cracks where it bends.',
          figure: {
            words: 'free edge',
            value: rounded(mean, 3),
            limit: THIN_MM,
            is: 'at least' as const,
            unit: 'mm',
          },
        },
      ];
    }
    return [];
  },
};
