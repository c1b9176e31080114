import * as z from 'zod/mini';
import { mm } from '../../model/primitives';
import { BUILD_BASE, defineBuild } from '../build';
import { wholePlace, type NailContext } from '../context';
import { baseDraft, dustOffDraft, flashOf, hardenOf, LAST_DUST_OFF, spillDraft, wipeDraft } from '../drafts';
import type { Draft } from '../operation';
import { HAND_S } from '../handwork';
import type { Product } from '../../model/product';
import { settingOf } from '../families';
import { primePlate, wetPrimer } from '../primePlate';
import { EXTENSION_UM, filedGround } from '../structures';
import { APEX_UM, apexField, overlay } from './material';
import { clearPlate, prepPlate } from './prep';

const schema = z.strictObject({
  ...BUILD_BASE,
  kind: z.literal('upper-mould'),
  length_mm: mm(1, 30),
  apex_um: APEX_UM,
  material: z.enum(['builder', 'putty', 'acrylic']),
  /** Filed for what comes over it, or topped as it comes out of the mould. */
  keyed: z.boolean(),
});

/** Gel filled into a mould from above and pressed on: its surface comes out smooth, its outline is filed. */
export const upperMould = defineBuild({
  kind: 'upper-mould',
  words: 'Upper mould',
  blurb:
    'A mould filled with gel or acrylic and pressed on: the surface comes out smooth, the outline is filed.',
  schema,
  was: {
    11: (build) => ({ ...build, keyed: true }),
    20: (build) => ({ ...build, material: 'builder' }),
  },
  fields: [
    {
      kind: 'choice',
      path: 'material',
      words: 'Filled with',
      choices: [
        { value: 'builder', words: 'Builder gel' },
        { value: 'putty', words: 'Putty gel' },
        { value: 'acrylic', words: 'Acrylic' },
      ],
    },
    apexField(),
    { kind: 'switch', path: 'keyed', words: 'Its surface keyed with the file' },
  ],
  fresh: (id) => ({
    id,
    kind: 'upper-mould' as const,
    name: 'Moulded',
    shape: 'coffin' as const,
    length_mm: 8,
    material: 'builder' as const,
    apex_um: 650,
    keyed: true,
  }),
  free_mm: (build) => build.length_mm,
  edge: 'form',
  seats: ['plate', 'under', 'inside', 'surface', 'over'],
  stages: (build, context) => {
    const t_um = context.inlaid ? EXTENSION_UM : build.apex_um;
    const shapeWords = 'Shorten the free edge';
    const off: Draft[] = [
      {
        step: 'mould-off',
        verb: 'mould-off',
        words: 'Take the mould off',
        place: { ...wholePlace(), margin_mm: 0 },
        hand_s: HAND_S['mould-off'],
        reason:
          build.material === 'acrylic'
            ? 'Lifted at a corner of the tip once it rings; soft acrylic would tear along.'
            : 'Lifted at a corner of the tip; what comes off soft goes back under the light.',
      },
      ...(build.keyed || context.inlaid
        ? filedGround(context, context.role(build.material), 'File the outline and key the surface', t_um)
        : outlined(context)),
    ];
    if (build.material === 'acrylic')
      return {
        ...clearPlate(context, shapeWords),
        foundation: [...primePlate(context, 'always'), ...beadedMould(t_um, context), ...off],
      };
    const product = context.role(build.material);
    return {
      ...prepPlate(context, { shapeWords }),
      foundation: [
        ...baseDraft(context, 'The gel in the mould grips the base, not the plate.'),
        ...filledMould(product, t_um, context),
        ...off,
      ],
    };
  },
  structure: (build, context) =>
    context.inlaid ? overlay(build.material, build.apex_um - EXTENSION_UM, context) : undefined,
});

/** Gel filled in off the finger, pressed on, held through its flash, cured in the mould. */
function filledMould(product: Product, t_um: number, context: NailContext): Draft[] {
  const place = wholePlace();
  const putty = product.family === 'putty-gel';
  return [
    {
      step: 'fill-mould',
      verb: 'fill-mould',
      words: putty
        ? `Press ${product.name} into the mould and smooth it with a brush damp with slip liquid`
        : `Fill the mould with ${product.name}`,
      place,
      hand_s: HAND_S['fill-mould'] * (putty ? 1.5 : 1),
      reason: putty
        ? 'Thin at the cuticle, full at the stress area; smoothed while it is in the mould, no edge stands up in it.'
        : 'From the tip to the apex, less at the cuticle, and no bubble in it.',
    },
    {
      step: 'press-mould',
      verb: 'press-mould',
      words: 'Press the mould on',
      product: product.id,
      place,
      deposit: { kind: 'level', t_um },
      hand_s: HAND_S['press-mould'],
      reason: 'Set down at the cuticle and rolled to the tip, so that the air goes out at the end.',
    },
    {
      ...flashOf(product, t_um, place, 'Held by hand while a flash fixes it.', 'flash-mould'),
      held: true,
    },
    spillDraft(context, 'Wipe what was pressed out', place),
    ...hardenOf(product, t_um, place, 'cure-mould'),
  ];
}

/** Acrylic beaded in and pressed on in one go, before it is dull; it sets in the mould. */
function beadedMould(t_um: number, context: NailContext): Draft[] {
  const acrylic = context.role('acrylic');
  const { dry_s } = settingOf(acrylic)!;
  const place = wholePlace();
  return [
    ...wetPrimer(context),
    {
      step: 'press-mould',
      verb: 'press-mould',
      words: `Fill the mould with wet beads of ${acrylic.name}, smooth them with a wet brush, press it on`,
      product: acrylic.id,
      place,
      deposit: { kind: 'level', t_um },
      hand_s: HAND_S['fill-mould'] + HAND_S['press-mould'],
      wait_s: dry_s,
      reason:
        'Wetter than on a form, so that it runs together; set down at the cuticle and rolled to the tip.',
    },
  ];
}

/** The outline alone is filed: a top holds on the smooth of the mould, and nothing else does. */
function outlined(context: NailContext): Draft[] {
  return [
    {
      step: 'outline',
      verb: 'shape',
      words: `File the outline ${context.frame.shape}, and keep off the surface`,
      place: { ...wholePlace(), region: { kind: 'band', from: 1, to: 2 } },
      hand_s: HAND_S.shape,
      reason: 'Where no art comes it is topped as the mould has left it: smooth, and quicker by a filing.',
    },
    dustOffDraft('outline-brush', 'Dust under the top shows as grit.'),
    wipeDraft(context, 'outline-clean', LAST_DUST_OFF, 'Clean before the top.'),
  ];
}
