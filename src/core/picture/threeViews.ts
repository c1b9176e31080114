import { sagitta_mm } from '../geometry/curve';
import { outlinePolygon, seenFromAbove_mm, type NailFrame, type Point } from '../geometry/frame';

/** A nail seen from above, from the wearer's left and from its tip, all in mm at one scale. */
export interface ThreeViews {
  /** Closed outline; y from the cuticle to the tip. */
  above: Point[];
  /** The crown from cuticle (x 0) to tip; y is height over the cuticle's crown, down the curve along the nail. */
  side: Point[];
  /** The C-curve from sidewall to sidewall; y is height over the sidewalls. */
  end: Point[];
  /** Where the bed ends, on each view from above and from the side. */
  stress_mm: number;
}

const STEPS = 24;

/** The three views of a nail's shape. An edge shape has a ridge: its end view is a roof of the same arc. */
export function threeViews(frame: NailFrame): ThreeViews {
  const above = outlinePolygon(frame).map(({ x, y }) => ({ x: seenFromAbove_mm(frame, x), y }));
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS);
  const along = frame.radiusAlong_mm > 0 ? frame.radiusAlong_mm : Infinity;
  // The plate rises from the cuticle to the middle of its bed, and falls from there to the tip.
  const crown = frame.bed_mm * 0.5;
  const rise = sagitta_mm(along, crown);
  const side = steps.map((t): Point => {
    const x = t * frame.length_mm;
    return { x, y: rise - sagitta_mm(along, x - crown) };
  });
  const end = frame.shape === 'edge' ? roof(frame) : steps.map((t) => onArc(frame, (t - 0.5) * frame.arc_mm));
  return { above, side, end, stress_mm: frame.bed_mm };
}

function onArc(frame: NailFrame, s_mm: number): Point {
  if (!Number.isFinite(frame.radius_mm)) return { x: s_mm, y: 0 };
  const angle = s_mm / frame.radius_mm;
  return {
    x: frame.radius_mm * Math.sin(angle),
    y: frame.radius_mm * (Math.cos(angle) - Math.cos(frame.half_angle)),
  };
}

function roof(frame: NailFrame): Point[] {
  const half = frame.width_mm / 2;
  const slope = Math.sqrt(Math.max(0, (frame.arc_mm / 2) ** 2 - half ** 2));
  return [
    { x: -half, y: 0 },
    { x: 0, y: slope },
    { x: half, y: 0 },
  ];
}
