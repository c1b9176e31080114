import { sideOf, spotOn_mm, type Fitting, type NailContext } from './context';
import type { PlacedPiece } from './matter';

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
  const at = spotOn_mm(piece, context, element);
  return {
    ...made,
    x_mm: at.x,
    y_mm: at.y,
    turn_deg: sideOf(context, element) * piece.turn_deg,
  };
}
