import * as z from 'zod/mini';
import { placeOf } from '../context';
import { coatOf } from '../cure';
import { hardenOf, wipedTop } from '../drafts';
import { dries_s } from '../families';
import { HAND_S } from '../handwork';
import { partHandles } from '../partHandles';
import {
  defineTechnique,
  fitField,
  FRESH_PAINTED,
  FRESH_REGION,
  HAND_FIELD,
  PAINTED_BASE,
  REGION,
  REGION_FIELD,
  WITHIN_FIELDS,
} from '../technique';

const schema = z.strictObject({
  ...PAINTED_BASE,
  ...REGION,
  kind: z.literal('finish'),
  finish: z.enum(['gloss', 'matte']),
});

/** Gloss or matte, on the whole nail or as an accent on a region of it. */
export const finish = defineTechnique({
  kind: 'finish',
  words: 'Finish',
  blurb: 'Gloss or matte top, all over or as an accent.',
  schema,
  seats: ['surface'],
  usual: () => 'surface',
  around: true,
  ground: true,
  sheen: true,
  fields: [
    {
      kind: 'choice',
      path: 'finish',
      words: 'Finish',
      choices: [
        { value: 'gloss', words: 'Gloss' },
        { value: 'matte', words: 'Matte' },
      ],
    },
    REGION_FIELD,
    ...WITHIN_FIELDS,
    fitField('scale', 'keep', 'drop'),
    HAND_FIELD,
  ],
  fresh: (id) => ({
    id,
    kind: 'finish' as const,
    ...FRESH_REGION,
    ...FRESH_PAINTED,
    finish: 'matte' as const,
  }),
  handles: partHandles,
  products: () => [],
  called: ({ finish }) => `${finish} top`,
  seals: (element) => element.region.kind === 'whole',
  plan: (element, context) => {
    const product = context.role(element.finish === 'matte' ? 'matte_top' : 'top');
    const place = placeOf(context, element);
    const free = context.standing.filter((one) => !one.topped);
    const over = free.length < context.standing.length;
    if (free.length > 0) place.free = free.map(({ x, y, r_mm }) => ({ x, y, r_mm }));
    const round = [...new Set(free.map((one) => one.what))].sort().reverse().join(' and ');
    const t_um = coatOf(product);
    return [
      {
        step: 'coat',
        verb: over ? 'top-over' : element.finish === 'matte' ? 'matte-top' : 'top',
        words: `${product.name}${over ? ' over the stones' : round ? ` around the ${round}` : ''}`,
        product: product.id,
        place,
        deposit: { kind: 'conformal', t_um },
        hand_s: HAND_S.top + (free.length > 0 ? 25 : 0),
        ...(dries_s(product) === undefined ? {} : { wait_s: dries_s(product)! }),
        reason: over
          ? 'Run over the set stones as well, as you work: they hold more safely and lose some of their fire.'
          : free.length > 0
            ? 'Taken around stones and charms with a fine brush; over them it would drown their fire.'
            : 'Seals the art and fills the strip at the cuticle; run over the tip so that nothing peels there.',
      },
      ...hardenOf(product, t_um, place),
      ...wipedTop(product, context, place),
    ];
  },
});

/** Gloss over the whole nail, as it is added where a look says nothing of its finish. */
export function gloss(id: string): z.infer<typeof schema> {
  return { id, kind: 'finish', ...FRESH_REGION, ...FRESH_PAINTED, finish: 'gloss' };
}
