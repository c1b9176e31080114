/**
 * The C-curve as an arc of a circle. `width_mm` is the chord between the sidewalls, `height_mm` the height
 * of the arc over it. Source of the formulas: circle geometry (sagitta).
 */
export interface Curve {
  /** Radius of the circle in mm; Infinity for a flat nail. */
  radius_mm: number;
  /** Half the opening angle, in radians. */
  half_angle: number;
  /** Length along the curve from sidewall to sidewall, in mm. */
  arc_mm: number;
}

/** φ = 2·atan(2s/w), R = w²/(8s) + s/2, arc = 2Rφ. The asin form would fail for s > w/2. */
export function curveOf(width_mm: number, height_mm: number): Curve {
  // Less than a ten-thousandth of a millimetre is no curve, and its radius no number.
  if (height_mm < 1e-4) return { radius_mm: Infinity, half_angle: 0, arc_mm: width_mm };
  const half_angle = 2 * Math.atan((2 * height_mm) / width_mm);
  const radius_mm = (width_mm * width_mm) / (8 * height_mm) + height_mm / 2;
  return { radius_mm, half_angle, arc_mm: 2 * radius_mm * half_angle };
}

/** How far the arc drops below its crown at `x_mm` of chord from the middle. */
export function sagitta_mm(radius_mm: number, x_mm: number): number {
  if (!Number.isFinite(radius_mm)) return 0;
  const x = Math.min(Math.abs(x_mm), radius_mm);
  return radius_mm - Math.sqrt(radius_mm * radius_mm - x * x);
}

/**
 * How far the long edges of a stiff flat piece stand off a nail curved across by `radius_mm`, with the share
 * p²/(8R) of the curve along it. A piece wider than the circle stands off by the whole radius.
 */
export function edgeLift_mm(width_mm: number, radius_mm: number, length_mm = 0, radiusAlong_mm = 0): number {
  const across = sagitta_mm(radius_mm, width_mm / 2);
  const along = radiusAlong_mm > 0 ? (length_mm * length_mm) / (8 * radiusAlong_mm) : 0;
  return across + Math.min(along, length_mm / 2);
}

/** Clear needed over the plate to reach the corner of a stiff piece `thickness_mm` thick: √((R+t)² + p²/4) − R. */
export function clearToCover_mm(width_mm: number, thickness_mm: number, radius_mm: number): number {
  if (!Number.isFinite(radius_mm)) return thickness_mm;
  const outer = radius_mm + thickness_mm;
  return Math.sqrt(outer * outer + (width_mm * width_mm) / 4) - radius_mm;
}
