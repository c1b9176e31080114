import { mostOf } from '../model/extent';
import type { Grains } from '../craft/matter';
import { isBall } from '../simulate/grains';
import { NONE, type Film } from '../simulate/field';
import { LAYER_FACTS } from '../simulate/layers';

/** The product that lies over grains where it is laid in full, in µm; `above`: the films over them. */
export function clearOver_um({ phase }: Film, above: readonly Film[]): number {
  const films = above.filter(({ kind }) => LAYER_FACTS[kind].hardens);
  const over = [...phase].flatMap((one, cell) =>
    one === NONE ? [] : [films.reduce((sum, { t_um }) => sum + t_um[cell]!, 0)],
  );
  return Math.max(0, mostOf(over));
}

/** Smaller ones are dust to the eye, as sugar is (common practice). */
const BEAD_MM = 0.3;

/** Beads, laid to stand out and be felt. */
export function areBeads(grains: Grains): boolean {
  return grains.size_mm >= BEAD_MM && isBall(grains);
}
