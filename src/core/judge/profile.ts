import type { Triple } from '../colour/film';
import { difference } from '../colour/space';
import { techniqueOf, type Element } from '../craft/techniques';
import type { Product } from '../model/product';
import { cellX, cellY, type NailField } from '../simulate/field';
import { pileColours } from '../simulate/pile';

/** What a look is to the eye at arm's length. */
export interface LookProfile {
  look: string;
  name: string;
  /** Mean of what is seen, in linear light. */
  mean: Triple;
  /** 0 a plain quiet nail, 1 as much as one nail carries. */
  weight: number;
}

/** Every so many cells of the nail's grid are looked at. */
const STRIDE = 3;
/** Mean difference (CIEDE2000) to a nail's middle colour that is as much as colour alone can shout (common practice). */
const LOUD = 55;

/** A finished nail as the eye weighs it: contrast within it first, then how much stands on it and lies in it. */
export function seenOf(
  field: NailField,
  elements: readonly Element[],
  product: (id: string) => Product,
): Pick<LookProfile, 'mean' | 'weight'> {
  const colourAt = pileColours(field, product);
  const seen: Triple[] = [];
  for (let cell = 0; cell < field.grid.inside.length; cell += STRIDE)
    if (field.grid.inside[cell]) seen.push(colourAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!));
  const mean = meanOf(seen);
  const contrast = seen.reduce((sum, one) => sum + difference(one, mean), 0) / Math.max(1, seen.length);
  const having = (what: 'stands' | 'inlaid') => elements.filter((one) => techniqueOf(one.kind)[what]).length;
  const weight = Math.min(
    1,
    0.04 + contrast / LOUD + 0.4 * having('stands') + 0.35 * having('inlaid') + 0.03 * elements.length,
  );
  return { mean, weight: Math.round(weight * 100) / 100 };
}

function meanOf(colours: readonly Triple[]): Triple {
  const count = Math.max(1, colours.length);
  return [0, 1, 2].map((c) => colours.reduce((sum, one) => sum + one[c]!, 0) / count) as unknown as Triple;
}
