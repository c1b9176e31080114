import { mostOf } from '../model/extent';
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
