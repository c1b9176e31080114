import * as z from 'zod';
import { across_mm, along_mm } from '../../geometry/frame';
import { Across, Along, Colour, mm, Words } from '../../model/primitives';
import type { PlacedPiece } from '../operation';
import {
  flashOf,
  isLeftOff,
  isMirrored,
  scaleOn,
  STONE_CLEARANCE_MM,
  wholePlace,
  type NailContext,
} from '../context';
import { defineTechnique, ELEMENT_BASE, FIT_FIELD, HAND_FIELD } from '../technique';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('charm'),
  words: Words,
  across: Across,
  along: Along,
  width_mm: mm(0.3, 30),
  length_mm: mm(0.3, 40),
  height_mm: mm(0.1, 12),
  turn_deg: z.number().min(-180).max(180),
  shape: z.enum(['oval', 'rectangle', 'mask']),
  colour: Colour,
  metallic: z.boolean(),
});
type Charm = z.infer<typeof schema>;

function layCharm(element: Charm, context: NailContext): PlacedPiece {
  const mirrored = isMirrored(context.name, element);
  // A ready-made charm cannot shrink: "scale" has nothing to act on, so the size is always its own.
  return {
    kind: 'charm',
    words: element.words,
    shape: element.shape,
    x_mm: across_mm(context.frame, element.across) * (mirrored ? -1 : 1),
    y_mm: along_mm(context.frame, element.along),
    width_mm: element.width_mm,
    length_mm: element.length_mm,
    height_mm: element.height_mm,
    turn_deg: element.turn_deg * (mirrored ? -1 : 1),
    stiffness: 1,
    colour: element.colour,
    metallic: element.metallic,
  };
}

/** The discs that together stand for a charm's footprint. */
function footprint(piece: PlacedPiece) {
  const narrow = Math.min(piece.width_mm, piece.length_mm);
  const span = Math.max(piece.width_mm, piece.length_mm) - narrow;
  const turn = ((piece.turn_deg + (piece.length_mm >= piece.width_mm ? 90 : 0)) * Math.PI) / 180;
  return [-0.5, 0, 0.5].map((t) => ({
    x: piece.x_mm + span * t * Math.cos(turn),
    y: piece.y_mm + span * t * Math.sin(turn),
    r_mm: narrow / 2,
  }));
}

/** A charm in a bead of bedding gel, more around the rim, with the top taken around it. */
export const charm = defineTechnique({
  kind: 'charm',
  words: 'Charm',
  blurb: 'A moulded or metal charm in a bead of bedding gel, with the top taken around it.',
  schema,
  shows: 'stone',
  fields: [
    {
      kind: 'choice',
      path: 'shape',
      words: 'Outline',
      choices: [
        { value: 'oval', words: 'Oval' },
        { value: 'rectangle', words: 'Rectangle' },
        { value: 'mask', words: 'Mask' },
      ],
    },
    { kind: 'colour', path: 'colour', words: 'Colour' },
    { kind: 'number', path: 'width_mm', words: 'Width', unit: 'mm', min: 0.3, max: 30, step: 0.1 },
    { kind: 'number', path: 'length_mm', words: 'Length', unit: 'mm', min: 0.3, max: 40, step: 0.1 },
    { kind: 'number', path: 'height_mm', words: 'Height', unit: 'mm', min: 0.1, max: 12, step: 0.1 },
    { kind: 'number', path: 'across', words: 'Across', min: -1, max: 1, step: 0.05 },
    { kind: 'number', path: 'along', words: 'Along', min: 0, max: 2, step: 0.05 },
    { kind: 'number', path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
    {
      ...FIT_FIELD,
      choices: [
        { value: 'keep', words: 'Keep it' },
        { value: 'drop', words: 'Leave it off' },
      ],
    } as typeof FIT_FIELD,
    HAND_FIELD,
  ],
  fresh: (id) => ({
    id,
    kind: 'charm' as const,
    region: { kind: 'whole' as const },
    fit: 'keep' as const,
    hand: 'mirror' as const,
    words: 'charm',
    across: 0,
    along: 0.8,
    width_mm: 4,
    length_mm: 3,
    height_mm: 1.2,
    turn_deg: 0,
    shape: 'oval' as const,
    colour: '#d9b45b',
    metallic: true,
  }),
  products: () => [],
  stands: (element, context) => ({
    discs: isLeftOff(context.frame, element)
      ? []
      : footprint(layCharm(element, context)).map((disc) => ({
          ...disc,
          r_mm: disc.r_mm + STONE_CLEARANCE_MM,
        })),
    intoTop: false,
  }),
  plan: (element, context) => {
    if (isLeftOff(context.frame, element)) return [];
    const bedding = context.role('bedding');
    const t_um = (bedding.coat_um ?? 150) * 1.3;
    const piece = layCharm(element, context);
    const place = { ...wholePlace(), scale: scaleOn(context.frame, element), around: footprint(piece) };
    return [
      {
        step: 'bead',
        verb: 'bead',
        words: `Bead of ${bedding.name} for the ${element.words}`,
        product: bedding.id,
        place,
        deposit: { kind: 'conformal', t_um },
        hand_s: 8,
        reason: 'Bead beneath, more around the rim.',
      },
      {
        step: 'set',
        verb: 'set-in-bead',
        words: `Set the ${element.words}`,
        place,
        deposit: { kind: 'pieces', pieces: [piece], pressed: true },
        hand_s: 14,
        reason: 'Pressed into the wet bead until the rim is held all round.',
      },
      flashOf(bedding, t_um, place, 'A flash fixes the charm before the brush comes near it.'),
    ];
  },
});
