import { across_mm, along_mm } from '../geometry/frame';
import { isMirrored, type Fitting, type NailContext } from './context';
import type { PlacedPiece } from './operation';

/** A piece as a look holds it: across and along by share and landmark, sizes in mm. */
interface Drawn {
  across: number;
  along: number;
  turn_deg: number;
}

/** A piece laid on this nail and hand: its place in mm, turned over on the right hand where the element asks it. */
export function layPiece(
  piece: Drawn,
  element: Fitting,
  context: NailContext,
  made: Omit<PlacedPiece, 'x_mm' | 'y_mm' | 'turn_deg'>,
): PlacedPiece {
  const side = isMirrored(context.name, element) ? -1 : 1;
  return {
    ...made,
    x_mm: side * across_mm(context.frame, piece.across),
    y_mm: along_mm(context.frame, piece.along),
    turn_deg: side * piece.turn_deg,
  };
}
