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
