import { FINE_PIECE_MM, type PlacedPiece } from '../craft/matter';
import { liesInside } from '../craft/bodies';
import { pieceDistance, pieceLift_mm } from '../craft/pieces';
import { cellsNear, type Cover } from './cover';
import { cellX, cellY, type NailField } from './field';

/** Pieces laid on a nail: what they are thick, the gap below them, and how far in from their edge metal shades. */
export interface LaidPieces {
  t_um: Float32Array;
  gap_um: Float32Array;
  shade_mm: Float32Array | undefined;
}

export function layOnNail(
  field: NailField,
  cover: Cover,
  pieces: readonly PlacedPiece[],
  pressed: boolean,
): LaidPieces {
  const { grid } = field;
  const t_um = new Float32Array(grid.inside.length);
  const gap_um = new Float32Array(grid.inside.length);
  // Leaf is thin enough to let light by; solid metal is not.
  const shades = (piece: PlacedPiece) => piece.metallic && piece.height_mm > FINE_PIECE_MM;
  const shade_mm = pieces.some(shades) ? new Float32Array(grid.inside.length) : undefined;
  for (const piece of pieces) {
    const distance_mm = pieceDistance(piece);
    const reach_mm = Math.hypot(piece.width_mm, piece.length_mm) / 2;
    const lift_um = liesInside(piece) ? pieceLift_mm(field.frame, piece, pressed) * 1000 : 0;
    const height_um = piece.height_mm * 1000;
    for (const cell of cellsNear(field, piece, reach_mm + grid.pitch_mm)) {
      // An inlay's edge runs out within a cell's width; stones and charms stand on the cells they fill.
      const share = liesInside(piece) ? cover.share[cell]! : cover.share[cell]! >= 0.5 ? 1 : 0;
      if (share === 0) continue;
      const x = grid.x[cellX(cell)]!;
      const y = grid.y[cellY(cell)]!;
      const away = Math.hypot(x - piece.x_mm, y - piece.y_mm);
      if (away > reach_mm + grid.pitch_mm) continue;
      const inside_mm = distance_mm(x, y);
      if (inside_mm < -grid.pitch_mm / 2) continue;
      // The lift grows with the square of the distance from the piece's middle.
      const gap = lift_um * Math.min(1, away / reach_mm) ** 2;
      if ((height_um + gap) * share > t_um[cell]! + gap_um[cell]!) {
        t_um[cell] = height_um * share;
        gap_um[cell] = gap * share;
      }
      if (shade_mm && shades(piece)) shade_mm[cell] = Math.max(shade_mm[cell]!, inside_mm);
    }
  }
  return { t_um, gap_um, shade_mm };
}
