import * as z from 'zod';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace } from '../context';
import { coatOf } from '../cure';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';
import { filedGround } from '../structures';
import { prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('dip'),
  layers: z.number().int().min(2, 'must be at least 2').max(4, 'must be at most 4'),
});

/** What lies below pieces is kept thin: the strength is poured above them. */
const LAYERS_UNDER_PIECES = 2;
const THIN = ' Two layers only, for pieces come on it.';

/** Base and powder in turns, hardened by an activator and filed: strength without a lamp, a ground for art. */
export const dip = defineBuild({
  kind: 'dip',
  words: 'Dip on the natural nail',
  blurb: 'Base and powder in turns, hardened by an activator, filed smooth.',
  schema,
  fields: [{ kind: 'number', path: 'layers', words: 'Layers', min: 2, max: 4, step: 1 }],
  fresh: (id) => ({ id, kind: 'dip' as const, name: 'Dip', shape: 'squoval' as const, layers: 3 }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (build, context) => {
    const product = context.role('dip');
    const activator = context.role('activator');
    const place = wholePlace();
    const count = context.inlaid ? LAYERS_UNDER_PIECES : build.layers;
    const layers = Array.from({ length: count }, (_, i): Draft => ({
      step: 'layer',
      pass: i + 1,
      verb: 'dip',
      words: `${product.name}, layer ${i + 1} of ${count}: base, into the powder, tap off`,
      product: product.id,
      place,
      deposit: { kind: 'conformal', t_um: coatOf(product) },
      hand_s: HAND_S.dip,
      reason:
        i === 0
          ? `Within seconds the base is too dry to take powder; short of the skin.${context.inlaid ? THIN : ''}`
          : 'Loose powder off first: it spoils the bottle that the brush goes back into.',
    }));
    return {
      ...prepPlate(context, { shapeWords: `File the free edge ${context.frame.shape}` }),
      foundation: [
        ...layers,
        {
          step: 'activate',
          verb: 'activate',
          words: `Brush ${activator.name} over it`,
          product: activator.id,
          place,
          hand_s: HAND_S.activate,
          wait_s: activator.dry_s,
          reason: 'Activator hardens all layers at once; before it the file only smears them.',
        },
        ...filedGround(context, 'File the dip even', count * coatOf(product)),
      ],
    };
  },
});
