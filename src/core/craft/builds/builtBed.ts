import * as z from 'zod/mini';
import { Id } from '../../model/primitives';
import type { Structure } from '../build';
import { overlay, type Material } from './material';
import { smileFields, type Field } from '../technique';
import type { Product } from '../../model/product';
import { Smile } from '../../model/smile';
import { wholePlace, type NailContext } from '../context';
import { dustOffDraft, flashOf, hardenOf, LAST_DUST_OFF, STICKY_OFF, wipeDraft } from '../drafts';
import { lampOf } from '../families';
import { HAND_S } from '../handwork';
import type { Draft, Place } from '../operation';

/** A bed in a cover colour to a smile line; what lies past it is the French. */
export const BUILT_FRENCH = z.strictObject({ product: Id, smile: Smile });
type BuiltFrench = z.infer<typeof BUILT_FRENCH>;

/** Thickness of a sculpted bed: the height of the ledge that the tip is filled up to (common practice). */
const BED_UM = 250;
/** What is built over a bed at the least. */
const LEAST_OVER_BED_UM = 250;
/** Under pieces it is kept thin: the strength is built above them. */
const BED_UNDER_PIECES_UM = 90;
/** As is what carries bed and tip. */
export const EXTENSION_UNDER_BOTH_UM = 100;

/**
 * A built-in French: the bed sculpted in its own colour as far as the smile line and filed to a crisp ledge, against which
 * the tip is filled.
 */
export function builtBed(french: BuiltFrench, context: NailContext): Draft[] {
  const product: Product = context.product(french.product);
  const bed: Place = { ...wholePlace(), region: { kind: 'bed', smile: french.smile } };
  const t_um = context.inlaid ? BED_UNDER_PIECES_UM : BED_UM;
  const why = 'Nail by nail, before it runs past the line.';
  return [
    {
      step: 'bed',
      verb: 'cap',
      words: `Build the bed in ${product.name}, up to the smile line`,
      product: product.id,
      place: bed,
      paint: { kind: 'product' },
      deposit: { kind: 'level', t_um },
      hand_s: HAND_S.cap * 2,
      open_s: 40,
      reason: 'A little past the line, full there and thin at the cuticle: the file cuts the line.',
    },
    // What sets by itself needs no light, and leaves nothing sticky.
    ...(lampOf(product) ? [flashOf(product, t_um, bed, why, 'flash-bed')] : []),
    ...hardenOf(product, t_um, bed, 'cure-bed'),
    ...(lampOf(product)
      ? [wipeDraft(context, 'wipe-bed', STICKY_OFF, 'The sticky layer clogs the file: off with it first.')]
      : []),
    {
      step: 'smile',
      verb: 'buff',
      words: 'File the smile line crisp, key the bed',
      place: { ...wholePlace(), margin_mm: 0 },
      hand_s: 60,
      reason: 'With the edge of a thin file, from both sides to the middle, so that left and right are even.',
    },
    dustOffDraft('brush-bed', 'Dust beside the line shows through the tip.'),
    wipeDraft(context, 'clean-bed', LAST_DUST_OFF, 'Clean before the tip is filled.'),
  ];
}

/** What of a built-in French is chosen. */
export const builtFrenchFields: readonly Field[] = [
  {
    kind: 'optional',
    path: 'french',
    words: 'Built-in French: the bed in a cover colour',
    fresh: (pick) => ({
      product: pick({ families: ['builder-gel'], coloured: true }),
      smile: { rise_mm: 0, depth_mm: 2.5, tilt_mm: 0 },
    }),
  },
  { kind: 'product', path: 'french.product', words: 'Bed', families: ['builder-gel', 'putty-gel'] },
  ...smileFields('french.smile'),
];

/** What is laid over a build that may have such a bed: over its own colour there is always clear to close it. */
export function overBed(
  { material, apex_um, french }: { material: Material; apex_um: number; french: BuiltFrench | null },
  below_um: number,
  context: NailContext,
): Structure | undefined {
  const left_um = apex_um - below_um - (french ? BED_UM / 2 : 0);
  return overlay(
    french && material === 'acrylic' ? 'builder' : material,
    Math.max(LEAST_OVER_BED_UM, left_um),
    context,
  );
}
