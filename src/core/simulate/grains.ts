import type { Grains } from '../craft/matter';

/** How much of its square a grain fills, by its shape: a circle, a regular hexagon, a square, a sliver of 1 : 4. */
const FILLS: Record<Grains['shape'], number> = {
  round: Math.PI / 4,
  hexagon: (3 * Math.sqrt(3)) / 8,
  square: 1,
  sliver: 1 / 4,
};

/** Area of one grain, in mm². */
export function grainArea_mm2({ shape, size_mm }: Pick<Grains, 'shape' | 'size_mm'>): number {
  return FILLS[shape] * size_mm * size_mm;
}

/**
 * The share of the ground that grains cover where `share` of the full density is brought: each falls where it falls, and what
 * falls on another does not hold. Covered by chance: 1 − e^(−n·a) (Poisson; Hall, Theory of Coverage Processes, from memory).
 */
export function stuckShare(grains: Pick<Grains, 'shape' | 'size_mm' | 'per_cm2'>, share = 1): number {
  return 1 - Math.exp(-(grains.per_cm2 / 100) * share * grainArea_mm2(grains));
}

/**
 * What passes a layer of grains to a film of depth `depth_um` below it: what falls between them, and under each what comes
 * from its sides, which falls off by the film's own law with the distance from the grain's edge.
 */
export function passes(covered: number, size_mm: number, depth_um: number): number {
  const radius_um = (size_mm * 1000) / 2;
  return 1 - covered + covered * Math.exp(-radius_um / depth_um);
}

/** Of polyester film, and of glass, in mg/mm³ (handbook figures, from memory). */
const FILM_MG_MM3 = 1.38;
const GLASS_MG_MM3 = 2.5;

/** What one grain weighs: cut from film, or a ball of glass where it is about as thick as wide. */
export function grainMass_mg(grains: Pick<Grains, 'shape' | 'size_mm' | 'thickness_um'>): number {
  const thick_mm = grains.thickness_um / 1000;
  const area_mm2 = grainArea_mm2(grains);
  // A ball fills two thirds of the cylinder about it (Archimedes).
  return isBall(grains) ? (2 / 3) * area_mm2 * thick_mm * GLASS_MG_MM3 : area_mm2 * thick_mm * FILM_MG_MM3;
}

/** A bead rather than a disc. */
export function isBall({ shape, size_mm, thickness_um }: Pick<Grains, 'shape' | 'size_mm' | 'thickness_um'>) {
  return shape === 'round' && thickness_um > 500 * size_mm;
}
