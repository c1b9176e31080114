import * as z from 'zod/mini';
import { limitsOf, within } from '../../model/limits';
import { counted } from '../../model/letters';
import type { Product } from '../../model/product';
import { PIECE_SHAPES, type PieceShape } from '../../model/pieceShapes';
import { Across, Along, Colour, Id, mm, share, Turn, um } from '../../model/primitives';
import { beadShare } from '../../geometry/bead';
import type { NailFrame, Point } from '../../geometry/frame';
import { hullOf, pack, type Packed } from '../../geometry/pack';
import { DRAWN_FOR_ARC_MM, polygonDistance_mm } from '../../geometry/regions';
import { layRegion } from '../../regions';
import { onNail, placeOf, scaleOn, sideOf, type NailContext } from '../context';
import { bodyHandles, onPart, spotOf } from '../../regions/handle';
import { Region, regionKindOf } from '../../regions';
import { Outline, outlineOf, turnedOver } from '../ownForm';
import { seedOf } from '../../model/chance';
import { FRESH_ISLAND, islandDrafts } from '../island';
import { layPiece } from '../laying';
import { PIECE_CHOICES, PIECE_CUTS, type PieceCut } from '../pieceCuts';
import { pieceStands_mm, type LyingPiece } from '../pieces';
import type { PlacedPiece } from '../matter';
import { placeDraft, pressDraft } from '../presses';
import type { Ways } from '../ways';
import { rounded } from '../../model/rounded';
import { defineTechnique, ELEMENT_BASE, fitField, HAND_FIELD, numberField } from '../technique';

const Piece = z.strictObject({
  across: Across,
  along: Along,
  length_mm: mm(0.2, 30),
  width_mm: mm(0.1, 20),
  thickness_mm: mm(0.005, 3, 0.005),
  /** 0 drapes over the curve, 1 stays flat. */
  stiffness: share(0.1),
  turn_deg: Turn,
  colour: Colour,
  shape: z.enum([...PIECE_SHAPES, 'own']),
  /** Of the shape `own`: as the artist cuts it. */
  outline: z.optional(Outline),
  metallic: z.boolean(),
});

const WIDTH = limitsOf(Piece, 'width_mm');
const LENGTH = limitsOf(Piece, 'length_mm');

const MOST_PIECES = 60;
/** Where a piece from the shelf is laid at first. */
const PLACED = { across: 0, along: 0.7, turn_deg: 0 } as const;

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('inlay'),
  /** On a smaller nail: shrink, keep the size, place as many as fit, or leave it off. */
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  hand: z.enum(['mirror', 'same']),
  pieces: z.array(Piece).check(z.minLength(1), z.maxLength(MOST_PIECES)),
  /** The thin clear that pieces are laid into. */
  bed_um: um(5, 1500, 5),
  press: z.boolean(),
  /** All of them under one press, instead of a few at a time. */
  at_once: z.optional(z.boolean()),
  /** One half of the nail laid and flashed before the other. */
  halves: z.optional(z.boolean()),
  /** The clear it lies in; null: the builder of the kit. */
  clear: z.nullable(Id),
  /** A levelled cap that is filed, or a thick top floated over what lies flat. */
  cap: z.enum(['level', 'float']),
  cap_um: um(50, 3000),
  /** What the file takes off the cap to level it. */
  filing_um: um(0, 1000),
  /** Bed and cap in this part alone, framed by the build; null: bed and cap are the nail's. */
  island: z.nullable(Region),
});

type Inlay = z.infer<typeof schema>;
type Piece = Inlay['pieces'][number];

function clearOf({ clear }: Inlay, context: NailContext): Product {
  return clear === null ? context.clear : context.product(clear);
}

function layPieces(element: Inlay, context: NailContext): PlacedPiece[] {
  const { frame } = context;
  const scale = scaleOn(frame, element);
  const pieces = element.pieces.map((piece) =>
    layPiece(piece, element, context, {
      kind: 'piece',
      words: cutOf(piece).words,
      shape: cutOf(piece).form,
      // The other hand's is cut as its mirror image.
      ...(piece.shape === 'own' && piece.outline
        ? { outline: turnedOver(piece.outline, sideOf(context, element)) }
        : {}),
      width_mm: piece.width_mm * scale,
      length_mm: piece.length_mm * scale,
      height_mm: piece.thickness_mm,
      stiffness: piece.stiffness,
      colour: piece.colour,
      metallic: piece.metallic,
    }),
  );
  if (element.fit !== 'repeat') return pieces;
  // Place as many as fit at their own size: the share of the arc, rounded, first pieces first.
  const count = Math.max(1, Math.round(pieces.length * Math.min(1, frame.arc_mm / DRAWN_FOR_ARC_MM)));
  return pieces.slice(0, count);
}

/** The pieces of the list strewn over the nail or a shape drawn on it, their kinds in turn, none over another. */
function strewn(margin_mm: number, most: number) {
  return (element: Inlay, context: NailContext, shape?: readonly Point[]): Inlay => {
    const { frame } = context;
    const scale = scaleOn(frame, element);
    const { distance_mm } = layRegion(frame, { kind: 'whole' });
    const kinds = kindsOf(element.pieces);
    const laid = pack({
      into_mm: shape ? (x, y) => Math.min(distance_mm(x, y), polygonDistance_mm(shape, x, y)) : distance_mm,
      box: { left: -frame.arc_mm / 2, right: frame.arc_mm / 2, low: 0, high: frame.length_mm },
      margin_mm,
      bodies: kinds.map((piece) => ({
        half_width_mm: (piece.width_mm * scale) / 2,
        half_length_mm: (piece.length_mm * scale) / 2,
        round: cutOf(piece).round ?? false,
      })),
      // So turned that the file stays clear of its corners on this nail's curve.
      accepts: (one, kind) => liesUnder(element, frame, one, lyingAt(one, kinds[kind]!, scale)),
      turn_deg: 30,
      most,
      tries: PACKING_TRIES,
      seed: seedOf(element.pieces),
    });
    if (laid.length === 0) return element;
    const side = sideOf(context, element);
    return {
      ...element,
      pieces: laid.map((one, i) => ({
        ...kinds[i % kinds.length]!,
        ...spotOf(one, onNail(context, element)),
        turn_deg: side * one.turn_deg,
      })),
    };
  };
}

/** What most of them are cut as, and how many those are; nothing where no cut is that of most. */
function mostCommon(pieces: readonly Piece[]): { shape: PieceShape; count: number } | undefined {
  return PIECE_SHAPES.map((shape) => ({
    shape,
    count: pieces.filter((one) => one.shape === shape).length,
  })).find(({ count }) => count > pieces.length / 2);
}

const PACKING_TRIES = 220;
/** Cut by hand; until its outline is drawn it is a leaf. */
const OWN_CUT: Pick<PieceCut, 'words' | 'form' | 'round'> = { words: 'hand-cut piece', form: 'oval' };

function cutOf({ shape }: Piece): typeof OWN_CUT {
  return shape === 'own' ? OWN_CUT : PIECE_CUTS[shape];
}

/** A piece cut as it is drawn, of the stuff that the last one is of. */
function cutOut(element: Inlay, context: NailContext, line: readonly Point[]): Inlay {
  const own = outlineOf(line);
  if (!own || element.pieces.length >= MOST_PIECES) return element;
  const on = onNail(context, element);
  const scale = scaleOn(context.frame, element);
  return {
    ...element,
    pieces: [
      ...element.pieces,
      {
        ...element.pieces.at(-1)!,
        ...spotOf(own.middle, on),
        turn_deg: 0,
        shape: 'own',
        outline: turnedOver(own.outline, on.side),
        width_mm: rounded(within(WIDTH, own.width_mm / scale), 1),
        length_mm: rounded(within(LENGTH, own.length_mm / scale), 1),
      },
    ],
  };
}

/** What stays of the clear over a piece at least (common practice). */
const CLEAR_OVER_UM = 100;

/** Whether the cap, thinner to the sides and ends as it is poured, keeps clear over a piece once it is filed. */
function liesUnder(element: Inlay, frame: NailFrame, one: Packed, piece: LyingPiece): boolean {
  const stands_um = pieceStands_mm(frame, piece, element.press) * 1000;
  const filed_um = element.cap === 'float' ? 0 : element.filing_um;
  return hullOf(one).every(
    ({ x, y }) => element.cap_um * beadShare(frame, x, y) >= stands_um + filed_um + CLEAR_OVER_UM,
  );
}

/** A piece as it would lie, as far as its height over the curve goes. */
function lyingAt(one: Packed, piece: Inlay['pieces'][number], scale: number): LyingPiece {
  return {
    width_mm: piece.width_mm * scale,
    length_mm: piece.length_mm * scale,
    height_mm: piece.thickness_mm,
    stiffness: piece.stiffness,
    turn_deg: one.turn_deg,
  };
}

/** Pieces that differ in more than their place, first ones first. */
function kindsOf(pieces: Inlay['pieces']): Inlay['pieces'] {
  const seen = new Map(
    pieces.map((piece) => [JSON.stringify({ ...piece, across: 0, along: 0, turn_deg: 0 }), piece]),
  );
  return [...seen.values()];
}

const FOIL_MM = 0.05;
/** What gives on such pieces drapes over a C-curve (common practice). */
const GIVES = 0.3;

/** The same piece of a stuff that gives. */
function softer(piece: Piece): Piece {
  return { ...piece, stiffness: Math.min(piece.stiffness, GIVES) };
}

/** The same piece turned along the nail, where it has hardly any curve to follow. */
function turnedAlong(piece: Piece): Piece {
  return { ...piece, turn_deg: piece.width_mm > piece.length_mm ? 90 : 0 };
}

/** Shorter in the direction in which the nail curves more: across it. */
function trimmed(piece: Piece, share: number): Piece {
  const turn = (piece.turn_deg * Math.PI) / 180;
  const across = piece.width_mm * Math.abs(Math.cos(turn)) > piece.length_mm * Math.abs(Math.sin(turn));
  return across
    ? { ...piece, width_mm: Math.max(0.1, rounded(piece.width_mm * share, 2)) }
    : { ...piece, length_mm: Math.max(0.2, rounded(piece.length_mm * share, 2)) };
}

/** Leaf and foil that nearly every table has: gold, silver, white. */
const STOCK = ['#e8c66a', '#c9ccd1', '#f4f1ea'];

const ways: Ways<Inlay> = {
  'thicker-clear': (_element, { cap_um }) => [
    { words: `Lay the cap ${cap_um} µm thick`, options: { cap_um } },
  ],
  'thinner-bed': (_element, { bed_um }) => [{ words: `Lay the bed ${bed_um} µm thin`, options: { bed_um } }],
  'file-less': ({ filing_um }) =>
    [0.6, 0.4, 0.25].map((share) => {
      const next = Math.round((filing_um * share) / 10) * 10;
      return { words: `File no more than ${next} µm off`, options: { filing_um: next } };
    }),
  // They are as they were bought: what stands out is turned along the nail, or trimmed across it.
  'lie-along': ({ pieces }, { out }) => {
    const those = (change: (one: Piece) => Piece) =>
      pieces.map((one, i) => (out.includes(i) ? change(one) : one));
    const which = out.length === 1 ? 'the piece that stands out' : 'the pieces that stand out';
    return [
      { words: `Turn ${which} along the nail`, options: { pieces: those(turnedAlong) } },
      ...[0.7, 0.5].map((share) => ({
        words: `Trim ${which} to ${Math.round(share * 100)} % across the nail`,
        options: { pieces: those((one) => trimmed(one, share)) },
      })),
    ];
  },
  'lie-lower': ({ pieces }) => {
    const thin = pieces.map((one) => ({ ...one, thickness_mm: Math.min(one.thickness_mm, FOIL_MM) }));
    const soft = pieces.map(softer);
    const both = soft.map((one, i) => ({ ...one, thickness_mm: thin[i]!.thickness_mm }));
    return [
      { words: 'Take pieces that give, so that they drape over the curve', options: { pieces: soft } },
      { words: `Take pieces no thicker than ${FOIL_MM} mm`, options: { pieces: thin } },
      { words: 'Take thinner pieces that give', options: { pieces: both } },
    ];
  },
  'few-at-once': () => [{ words: 'Place and press them a few at a time', options: { at_once: false } }],
  'lie-in-tip': ({ pieces, press }) => [
    ...(press ? [] : [{ words: 'Press the pieces to the curve', options: { press: true } }]),
    { words: 'Turn the pieces along the nail', options: { pieces: pieces.map(turnedAlong) } },
    {
      words: 'Take pieces that give, and press them to the curve',
      options: { pieces: pieces.map(softer), press: true },
    },
  ],
  'nearer-middle': ({ pieces }) =>
    [0.92, 0.84, 0.7].map((share) => ({
      words: 'Lay the pieces nearer to the middle',
      options: {
        pieces: pieces.map((one) => ({
          ...one,
          across: rounded(one.across * share, 3),
          along: rounded(1 + (one.along - 1) * share, 3),
        })),
      },
    })),
  // A colour that the inlay has already, or a common leaf.
  'other-colours': ({ pieces }, { seen }) =>
    [...new Set([...pieces.map((piece) => piece.colour), ...STOCK])].flatMap((colour) => {
      const next = pieces.map((piece, i) => (seen(piece.colour, i) ? piece : { ...piece, colour }));
      return next.every((piece, i) => seen(piece.colour, i))
        ? [{ words: 'Take the pieces in a colour that can be seen', options: { pieces: next } }]
        : [];
    }),
};

/** Pieces encapsulated in clear. Bed, cap and filing are the nail's: all that sits inside shares them. */
export const inlay = defineTechnique({
  kind: 'inlay',
  words: 'Inlay',
  blurb: 'Slivers, leaf or cuttings encapsulated in clear, then levelled with the file.',
  schema,
  was: { 13: (options) => ('pieces' in options ? { ...options, island: null } : options) },
  seats: ['inside'],
  usual: () => 'inside',
  fields: [
    {
      kind: 'list',
      path: 'pieces',
      words: 'Pieces',
      part: 'piece',
      item: [
        {
          kind: 'choice',
          path: 'shape',
          words: 'Cut as',
          choices: [...PIECE_CHOICES, { value: 'own', words: 'Cut by hand' }],
        },
        { kind: 'shade', path: 'colour', words: 'Colour' },
        numberField(Piece, 'length_mm', 'Length'),
        numberField(Piece, 'width_mm', 'Width'),
        numberField(Piece, 'thickness_mm', 'Thickness'),
        numberField(Piece, 'stiffness', 'Stiffness'),
        numberField(Piece, 'across', 'Across'),
        numberField(Piece, 'along', 'Along'),
        numberField(Piece, 'turn_deg', 'Turn'),
      ],
      fresh: null,
      min: 1,
      max: MOST_PIECES,
    },
    numberField(schema, 'bed_um', 'Bed under them'),
    { kind: 'switch', path: 'press', words: 'Press flat with the stamper' },
    { kind: 'switch', path: 'at_once', words: 'All at once', where: { path: 'press', is: [true] } },
    { kind: 'switch', path: 'halves', words: 'One half after the other' },
    {
      kind: 'choice',
      path: 'cap',
      words: 'Closed by',
      choices: [
        { value: 'level', words: 'A levelled cap, filed' },
        { value: 'float', words: 'A thick top, floated' },
      ],
    },
    {
      kind: 'optional',
      path: 'clear',
      words: 'Another clear than the builder',
      fresh: (pick) => pick({ families: ['bedding-gel'] }),
    },
    { kind: 'product', path: 'clear', words: 'Clear', families: ['builder-gel', 'bedding-gel', 'acrylic'] },
    {
      kind: 'optional',
      path: 'island',
      words: 'As an island, framed by the build',
      fresh: () => FRESH_ISLAND,
    },
    { kind: 'region', path: 'island', words: 'Island' },
    numberField(schema, 'cap_um', 'Cap over them'),
    numberField(schema, 'filing_um', 'The file takes'),
    fitField('scale', 'keep', 'repeat', 'drop'),
    HAND_FIELD,
  ],
  fresh: (id) => ({
    id,
    kind: 'inlay' as const,
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
    at_once: false,
    halves: false,
    clear: null,
    cap: 'level' as const,
    cap_um: 450,
    filing_um: 80,
    island: null,
  }),
  arrangements: [
    {
      key: 'few',
      words: 'Strew a few',
      says: 'Strewn with room; again for another throw.',
      lay: (element, context) => strewn(0.9, 9)(element, context),
    },
    {
      key: 'many',
      words: 'Strew many',
      says: 'As many as lie side by side; again for another throw.',
      lay: (element, context) => strewn(0.25, MOST_PIECES)(element, context),
    },
  ],
  copies: { path: 'pieces', part: 'piece', most: MOST_PIECES },
  drawn: [
    {
      words: 'Strew in a shape',
      says: 'As many as lie side by side in a shape that you draw on the nail',
      lay: (element, context, line) =>
        line.length < 3 ? element : strewn(0.25, MOST_PIECES)(element, context, line),
    },
    {
      words: 'Cut one by hand',
      says: 'One piece more, cut as you draw it on the nail, of the stuff that the last one is of',
      lay: cutOut,
    },
  ],
  handles: (element, context) => [
    ...(element.island
      ? onPart(
          regionKindOf(element.island.kind).handles(element.island, onNail(context, element)),
          (island) => ({ ...element, island }),
        )
      : []),
    ...element.pieces.flatMap((piece, i) =>
      onPart(
        bodyHandles(
          {
            ...piece,
            id: `piece-${i}`,
            words: `piece ${i + 1}`,
            scale: scaleOn(context.frame, element),
            least_mm: LENGTH.min,
            most_mm: [WIDTH.max, LENGTH.max],
          },
          onNail(context, element),
        ),
        (body) => ({
          ...element,
          pieces: element.pieces.map((one, k) => (k === i ? { ...one, ...body } : one)),
        }),
      ),
    ),
  ],
  fromShelf: {
    kind: 'piece',
    take: (element, supply) =>
      supply.kind !== 'piece' || element.pieces.length >= MOST_PIECES
        ? element
        : {
            ...element,
            pieces: [
              ...element.pieces,
              {
                ...PLACED,
                length_mm: Math.min(30, supply.length_mm),
                width_mm: Math.min(20, supply.width_mm),
                thickness_mm: supply.thickness_mm,
                stiffness: supply.stiffness,
                colour: supply.colour,
                shape: supply.shape,
                metallic: supply.metallic,
              },
            ],
          },
  },
  ways,
  products: (element) => (element.clear === null ? [] : [element.clear]),
  called: ({ pieces }) => {
    const most = mostCommon(pieces);
    if (!most) return counted(pieces.length, 'piece');
    const { words, many } = PIECE_CUTS[most.shape];
    return counted(most.count, words, many);
  },
  inlaid: (element, context) => ({
    clear: clearOf(element, context),
    bed_um: element.bed_um,
    cap: element.cap,
    cap_um: element.cap_um,
    filing_um: element.cap === 'float' ? 0 : element.filing_um,
    ...(element.island ? { island: true as const } : {}),
    ...(element.halves ? { halves: true as const } : {}),
  }),
  plan: (element, context) => {
    const pieces = layPieces(element, context);
    const atOnce = element.at_once === true;
    const drafts = [placeDraft(pieces, element.press, { sized: element.fit === 'keep', atOnce })];
    if (element.press) drafts.push(pressDraft(pieces, clearOf(element, context), context, atOnce));
    const { island, bed_um, cap_um } = element;
    if (!island) return drafts;
    const on = placeOf(context, { ...element, region: island });
    return islandDrafts(
      { clear: clearOf(element, context), bed_um, cap_um, place: on },
      drafts.map((draft) => (draft.verb === 'press' ? { ...draft, place: on } : draft)),
    );
  },
});
