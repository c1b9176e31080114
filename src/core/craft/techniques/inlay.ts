import * as z from 'zod';
import { across_mm, along_mm } from '../../geometry/frame';
import { Across, Along, Colour, mm } from '../../model/primitives';
import type { Draft, PlacedPiece } from '../operation';
import {
  cureOf,
  DRAWN_FOR_ARC_MM,
  flashOf,
  isLeftOff,
  isMirrored,
  scaleOn,
  wholePlace,
  wipeDraft,
  type NailContext,
} from '../context';
import { HAND_S } from '../handwork';
import { defineTechnique, ELEMENT_BASE, FIT_FIELD, HAND_FIELD } from '../technique';

const Piece = z.strictObject({
  across: Across,
  along: Along,
  length_mm: mm(0.2, 30),
  width_mm: mm(0.1, 20),
  thickness_mm: mm(0.005, 3),
  /** 0 drapes over the curve, 1 stays flat. */
  stiffness: z.number().min(0).max(1),
  turn_deg: z.number().min(-180).max(180),
  colour: Colour,
  shape: z.enum(['sliver', 'leaf']),
  metallic: z.boolean(),
});

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('inlay'),
  pieces: z.array(Piece).min(1).max(60),
  /** The thin clear that pieces are laid into. */
  bed_um: z.number().min(5).max(1500),
  press: z.boolean(),
  cap_um: z.number().min(50).max(3000),
  /** What the file takes off the cap to level it. */
  filing_um: z.number().min(0).max(1000),
});

type Inlay = z.infer<typeof schema>;

function layPieces(element: Inlay, context: NailContext): PlacedPiece[] {
  const { frame } = context;
  const scale = scaleOn(frame, element);
  const mirrored = isMirrored(context.name, element);
  const pieces = element.pieces.map((piece): PlacedPiece => ({
    kind: 'inlay',
    words: piece.shape === 'leaf' ? 'leaf' : 'sliver',
    shape: piece.shape === 'leaf' ? 'oval' : 'rectangle',
    x_mm: across_mm(frame, piece.across) * (mirrored ? -1 : 1),
    y_mm: along_mm(frame, piece.along),
    width_mm: piece.width_mm * scale,
    length_mm: piece.length_mm * scale,
    height_mm: piece.thickness_mm,
    turn_deg: piece.turn_deg * (mirrored ? -1 : 1),
    stiffness: piece.stiffness,
    colour: piece.colour,
    metallic: piece.metallic,
  }));
  if (element.fit !== 'repeat') return pieces;
  // Place as many as fit at their own size: the share of the arc, rounded, first pieces first.
  const count = Math.max(1, Math.round(pieces.length * Math.min(1, frame.arc_mm / DRAWN_FOR_ARC_MM)));
  return pieces.slice(0, count);
}

/** Pieces encapsulated in clear: thin bed, pieces pressed flat, flash, a levelling cap, cure, wipe, file. */
export const inlay = defineTechnique({
  kind: 'inlay',
  words: 'Inlay',
  blurb: 'Slivers, leaf or cuttings encapsulated in clear, then levelled with the file.',
  schema,
  shows: 'piece',
  fields: [
    {
      kind: 'list',
      path: 'pieces',
      words: 'Pieces',
      item: [
        { kind: 'colour', path: 'colour', words: 'Colour' },
        { kind: 'number', path: 'length_mm', words: 'Length', unit: 'mm', min: 0.2, max: 30, step: 0.1 },
        { kind: 'number', path: 'width_mm', words: 'Width', unit: 'mm', min: 0.1, max: 20, step: 0.1 },
        {
          kind: 'number',
          path: 'thickness_mm',
          words: 'Thickness',
          unit: 'mm',
          min: 0.005,
          max: 3,
          step: 0.005,
        },
        { kind: 'number', path: 'stiffness', words: 'Stiffness', min: 0, max: 1, step: 0.1 },
        { kind: 'number', path: 'across', words: 'Across', min: -1, max: 1, step: 0.05 },
        { kind: 'number', path: 'along', words: 'Along', min: 0, max: 2, step: 0.05 },
        { kind: 'number', path: 'turn_deg', words: 'Turn', unit: '°', min: -180, max: 180, step: 5 },
      ],
      fresh: null,
      min: 1,
      max: 60,
    },
    { kind: 'number', path: 'bed_um', words: 'Bed under them', unit: 'µm', min: 5, max: 1500, step: 5 },
    { kind: 'switch', path: 'press', words: 'Press flat with the stamper' },
    { kind: 'number', path: 'cap_um', words: 'Cap over them', unit: 'µm', min: 50, max: 3000, step: 10 },
    { kind: 'number', path: 'filing_um', words: 'The file takes', unit: 'µm', min: 0, max: 1000, step: 10 },
    FIT_FIELD,
    HAND_FIELD,
  ],
  fresh: (id) => ({
    id,
    kind: 'inlay' as const,
    region: { kind: 'whole' as const },
    fit: 'scale' as const,
    hand: 'mirror' as const,
    pieces: [-0.3, 0.05, 0.35].map((across, i) => ({
      across,
      along: 0.5 + 0.2 * i,
      length_mm: 4,
      width_mm: 1,
      thickness_mm: 0.04,
      stiffness: 0.3,
      turn_deg: -20 + 20 * i,
      colour: '#e8c66a',
      shape: 'sliver' as const,
      metallic: true,
    })),
    bed_um: 60,
    press: true,
    cap_um: 450,
    filing_um: 80,
  }),
  products: () => [],
  plan: (element, context) => {
    if (isLeftOff(context.frame, element)) return [];
    const builder = context.role('builder');
    const whole = wholePlace();
    const pieces = layPieces(element, context);
    const drafts: Draft[] = [
      {
        step: 'bed',
        verb: 'bed',
        words: `Thin bed of ${builder.name}`,
        product: builder.id,
        place: whole,
        deposit: { kind: 'conformal', t_um: element.bed_um },
        hand_s: HAND_S.bed,
        reason: 'Pieces lie in thin wet clear; strength is built above them, not below.',
      },
      {
        step: 'place',
        verb: 'place',
        words: `Place ${pieces.length} ${pieces.length === 1 ? 'piece' : 'pieces'}`,
        place: whole,
        deposit: { kind: 'pieces', pieces, pressed: element.press },
        hand_s: HAND_S.place * pieces.length,
        reason: 'Placed with a margin free all round, long ones lengthwise, while the bed is wet.',
      },
    ];
    if (element.press) {
      drafts.push({
        step: 'press',
        verb: 'press',
        words: 'Press flat with the soft stamper',
        place: whole,
        hand_s: HAND_S.press * Math.ceil(pieces.length / 2),
        reason: 'What counts is the height after flattening against the clear above it.',
      });
    }
    drafts.push(
      flashOf(builder, element.bed_um, whole, 'A short flash holds the pieces down before the cap is laid.'),
      {
        step: 'cap',
        verb: 'cap',
        words: `Cap with ${builder.name}`,
        product: builder.id,
        place: whole,
        deposit: { kind: 'level', t_um: element.cap_um },
        hand_s: HAND_S.cap,
        reason: 'The cap levels itself over the pieces; the hand is turned over to let it settle.',
      },
      cureOf(builder, element.cap_um, whole, 'cure-cap'),
      wipeDraft(context, 'wipe', 'The sticky layer clogs the file: off with it first.'),
      {
        step: 'file',
        verb: 'file',
        words: 'Level the cap with the file',
        place: whole,
        removal: { allowance_um: element.filing_um, edge_um: 660 },
        hand_s: HAND_S.file,
        reason:
          'Levelled with 100 then 180 grit, and the free edge thinned; the file must not reach the pieces.',
      },
      {
        step: 'brush',
        verb: 'dust-off',
        words: 'Brush the dust off',
        place: whole,
        hand_s: HAND_S['dust-off'],
        reason: 'Dust under the next layer lifts it.',
      },
      wipeDraft(context, 'clean', 'Clean before the next layer.'),
    );
    return drafts;
  },
});
