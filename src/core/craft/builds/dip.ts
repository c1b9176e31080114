import * as z from 'zod/mini';
import { BUILD_BASE, defineBuild } from '../build';
import { count, Id } from '../../model/primitives';
import type { Product } from '../../model/product';
import { Smile } from '../../model/smile';
import { wholePlace, type NailContext } from '../context';
import { coatOf } from '../cure';
import { dustOffDraft, LAST_DUST_OFF, wipeDraft } from '../drafts';
import { activated, dipLayers } from '../dipWork';
import { DUST } from '../handwork';
import type { Draft, Place } from '../operation';
import { ending, filedGround } from '../structures';
import { numberField, smileFields } from '../technique';
import { prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('dip'),
  layers: count(2, 4),
  /** A French built in reverse: the bed in one dip up to the smile line, the tip filled with another. */
  french: z.nullable(z.strictObject({ product: Id, filler: Id, smile: Smile })),
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
  fields: [
    numberField(schema, 'layers', 'Layers'),
    {
      kind: 'optional',
      path: 'french',
      words: 'French, built in reverse',
      fresh: (pick) => {
        const product = pick({ families: ['dip'], coloured: true });
        const filler = pick({ families: ['dip'], coloured: true, beside: product });
        return { product, filler, smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } };
      },
    },
    { kind: 'product', path: 'french.product', words: 'Bed', families: ['dip'] },
    { kind: 'product', path: 'french.filler', words: 'Tip', families: ['dip'] },
    // A ledge is filed level: it has no tilt.
    ...smileFields('french.smile').slice(0, 2),
  ],
  fresh: (id) => ({
    id,
    kind: 'dip' as const,
    name: 'Dip',
    shape: 'squoval' as const,
    layers: 3,
    french: null,
  }),
  free_mm: (_build, plate) => plate.free_edge_mm,
  edge: 'plate',
  seats: ['under', 'inside', 'surface', 'over'],
  stages: (build, context) => {
    // What the look dips over all of it are layers of the same body.
    const over_um = context.melted?.laid === 'dip' ? context.melted.t_um : 0;
    const dippedOver = Math.round(over_um / coatOf(context.role('dip')));
    const count = context.inlaid ? LAYERS_UNDER_PIECES : Math.max(1, build.layers - dippedOver);
    const dipped = build.french
      ? reversedFrench(build.french, count, context)
      : [
          ...layers('layer', context.role('dip'), count, wholePlace(), context),
          // Where more is dipped over it, all of it is activated at once.
          ending(activated('activate', context)),
        ];
    return {
      ...prepPlate(context, { shapeWords: `File the free edge ${context.frame.shape}` }),
      foundation: [
        ...dipped,
        ...filedGround(
          context,
          context.role('dip'),
          'File the dip even',
          count * coatOf(context.role('dip')),
        ).map(ending),
      ],
    };
  },
});

function layers(
  step: string,
  product: Product,
  count: number,
  place: Place,
  context: NailContext,
  where = '',
): Draft[] {
  return dipLayers(context, {
    step,
    product,
    count,
    place,
    words: `${product.name}${where}`,
    paint: product.colour ? { kind: 'product' } : undefined,
    first: context.inlaid ? THIN : '',
  });
}

/** The bed first, filed to a ledge at the smile line; then the tip, filled to the ledge's height. */
function reversedFrench(
  french: NonNullable<z.infer<typeof schema>['french']>,
  count: number,
  context: NailContext,
): Draft[] {
  const bed: Place = { ...wholePlace(), region: { kind: 'bed', smile: french.smile } };
  const tip: Place = { ...wholePlace(), region: { kind: 'tip', smile: french.smile } };
  return [
    ...layers('bed', context.product(french.product), count, bed, context, ' on the bed'),
    activated('activate-bed', context, bed),
    {
      step: 'ledge',
      verb: 'buff',
      words: 'File the bed to a crisp ledge at the smile line',
      place: bed,
      hand_s: 60,
      caution: DUST,
      missed: { words: 'Without a ledge the tip is filled against a slope, and the smile line blurs.' },
      reason: 'With the edge of a thin file, straight down: the tip is filled against it.',
    },
    dustOffDraft('brush-ledge', 'Dust at the ledge shows as a grey line.'),
    wipeDraft(context, 'clean-ledge', LAST_DUST_OFF, 'Clean before the tip is filled.', bed),
    ...layers('tip', context.product(french.filler), count, tip, context, ' on the tip'),
    activated('activate', context, tip),
  ];
}
