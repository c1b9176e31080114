/**
 * One strip of a nail cut across: `x_mm` along the arc from the middle, `dx_mm` wide along it, from `under_mm` below the
 * arc of the plate's upper face to `over_mm` above it.
 */
export interface Strip {
  x_mm: number;
  dx_mm: number;
  under_mm: number;
  over_mm: number;
}

/** A section's second moment of area about its own level axis, in mm⁴, and its modulus I/c, in mm³. */
export interface Section {
  inertia_mm4: number;
  modulus_mm3: number;
}

/**
 * The section of strips along an arc of `radius_mm` (Infinity: flat). Each strip is a sector of a ring, whose area and
 * moments about the circle's centre are (r₂²−r₁²)/2·dθ, cosθ·(r₂³−r₁³)/3·dθ and cos²θ·(r₂⁴−r₁⁴)/4·dθ; by the parallel
 * axis theorem I = I₀ − A·ȳ². Source: annular sectors as in any handbook of strength of materials.
 */
export function sectionOf(strips: readonly Strip[], radius_mm: number): Section {
  let area = 0;
  let first = 0;
  let second = 0;
  let top = -Infinity;
  let bottom = Infinity;
  for (const { x_mm, dx_mm, under_mm, over_mm } of strips) {
    if (under_mm + over_mm <= 0) continue;
    if (!Number.isFinite(radius_mm)) {
      area += dx_mm * (over_mm + under_mm);
      first += (dx_mm * (over_mm ** 2 - under_mm ** 2)) / 2;
      second += (dx_mm * (over_mm ** 3 + under_mm ** 3)) / 3;
      top = Math.max(top, over_mm);
      bottom = Math.min(bottom, -under_mm);
      continue;
    }
    const angle = x_mm / radius_mm;
    const turn = dx_mm / radius_mm;
    const inner = Math.max(0, radius_mm - under_mm);
    const outer = radius_mm + over_mm;
    const cos = Math.cos(angle);
    area += ((outer ** 2 - inner ** 2) / 2) * turn;
    first += ((cos * (outer ** 3 - inner ** 3)) / 3) * turn;
    second += ((cos ** 2 * (outer ** 4 - inner ** 4)) / 4) * turn;
    top = Math.max(top, outer * Math.cos(Math.max(0, Math.abs(angle) - turn / 2)));
    bottom = Math.min(bottom, inner * Math.cos(Math.abs(angle) + turn / 2));
  }
  if (area <= 0) return { inertia_mm4: 0, modulus_mm3: 0 };
  const middle = first / area;
  const inertia_mm4 = Math.max(0, second - first * middle);
  const reach = Math.max(top - middle, middle - bottom);
  return { inertia_mm4, modulus_mm3: reach > 0 ? inertia_mm4 / reach : 0 };
}

/** Strips of one thickness over an arc, for a nail that is the same all across. */
export function evenStrips(arc_mm: number, under_mm: number, over_mm: number, count = 200): Strip[] {
  const dx_mm = arc_mm / count;
  return Array.from({ length: count }, (_, i) => ({
    x_mm: (i + 0.5) * dx_mm - arc_mm / 2,
    dx_mm,
    under_mm,
    over_mm,
  }));
}
