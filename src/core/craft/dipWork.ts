import type { Product } from '../model/product';
import { wholePlace, type NailContext } from './context';
import { coatOf } from './cure';
import { HAND_S } from './handwork';
import type { Deposit, Paint } from './matter';
import type { Draft, Place } from './operation';

/** Powder off a layer, and the time that it takes to dry (common practice). */
const BRUSH_S = 6;
const LAYER_DRY_S = 30;

/** Layers of dip: base and powder, each brushed off and left to dry before the next. */
export interface DipLayers {
  step: string;
  product: Product;
  count: number;
  place: Place;
  /** What it is called: the product, and where. */
  words: string;
  paint?: Paint | undefined;
  deposit?: Deposit;
  /** Said of the first layer besides. */
  first?: string;
}

export function dipLayers(
  context: NailContext,
  { step, product, count, place, words, paint, deposit, first = '' }: DipLayers,
): Draft[] {
  const base = context.role('dip_base');
  return Array.from({ length: count }, (_, i): Draft[] => [
    {
      step,
      pass: i + 1,
      verb: 'dip',
      words: `${words}, layer ${i + 1} of ${count}: ${base.name}, into the powder, tap off`,
      product: product.id,
      liquid: base.id,
      place,
      ...(paint ? { paint } : {}),
      deposit: deposit ?? { kind: 'conformal', t_um: coatOf(product) },
      hand_s: HAND_S.dip,
      reason:
        i === 0
          ? `Within seconds the base is too dry to take powder; short of the skin.${first}`
          : 'Short of the skin, and as even as the layer before.',
    },
    {
      step: `${step}-brush`,
      pass: i + 1,
      verb: 'dust-off',
      words: 'Brush the loose powder off well, and let the layer dry',
      place,
      hand_s: BRUSH_S,
      wait_s: LAYER_DRY_S,
      reason: 'What is left goes into the bottle with the next brush, and lumps there.',
    },
  ]).flat();
}

/** Activator over all layers of a part. */
export function activated(step: string, context: NailContext, place = wholePlace()): Draft {
  const activator = context.role('activator');
  return {
    step,
    verb: 'activate',
    words: `Brush ${activator.name} over it`,
    product: activator.id,
    place,
    hand_s: HAND_S.activate,
    wait_s: activator.dry_s,
    reason: 'Activator hardens all layers at once; before it the file only smears them.',
  };
}
