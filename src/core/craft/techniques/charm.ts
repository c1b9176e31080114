import * as z from 'zod/mini';
import { lowerFirst } from '../../model/letters';
import { limitsOf, within } from '../../model/limits';
import { rounded } from '../../model/rounded';
import { CHARM_SHAPES } from '../../model/charmShapes';
import { Across, Along, Colour, Id, mm, Words, Turn } from '../../model/primitives';
import { CHARM_CHOICES } from '../charmForms';
import { onNail, sideOf, STONE_CLEARANCE_MM, wholePlace, type NailContext } from '../context';
import { held, HOLDINGS, type HoldingName } from '../holdings';
import { bodyHandles, onPart, spotOf } from '../../regions/handle';
import { MOULDED, mouldedAhead, PAINTED, paintedOver } from '../moulding';
import type { Place } from '../operation';
import { Outline, outlineOf, turnedOver } from '../ownForm';
import { layPiece } from '../laying';
import { pieceDistance, pieceOutline } from '../pieces';
import { spotWords } from '../placeWords';
import type { Point } from '../../geometry/frame';
import type { Disc } from '../../geometry/regions';
import { leastOf, mostOf } from '../../model/extent';
import type { PlacedPiece } from '../matter';
import type { Ways } from '../ways';
import { defineTechnique, ELEMENT_BASE, fitField, HAND_FIELD, seatField, numberField } from '../technique';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('charm'),
  // A ready-made charm cannot shrink.
  fit: z.enum(['keep', 'drop']),
  hand: z.enum(['mirror', 'same']),
  seat: z.enum(['usual', 'surface', 'over']),
  words: Words,
  across: Across,
  along: Along,
  width_mm: mm(0.3, 30),
  length_mm: mm(0.3, 40),
  height_mm: mm(0.1, 12),
  turn_deg: Turn,
  shape: z.enum([...CHARM_SHAPES, 'own']),
  /** Of the shape `own`: drawn by the artist, or moulded. */
  outline: z.optional(Outline),
  colour: Colour,
  metallic: z.boolean(),
  /** A bead of bedding gel with the top taken around it, or instant glue on the finished top. */
  bedding: z.enum(Object.keys(HOLDINGS) as [HoldingName, ...HoldingName[]]),
  /** Moulded ahead of this product; ready-made where there is none. */
  moulded: z.optional(z.nullable(Id)),
  /** Painted over with this colour once it is held. */
  painted: z.optional(z.nullable(Id)),
});
type Charm = z.infer<typeof schema>;
const WIDTH = limitsOf(schema, 'width_mm');
const LENGTH = limitsOf(schema, 'length_mm');

/** A moulded pair is made for its hands: the other one is its mirror image. Until it is drawn it is an oval. */
function formed(element: Charm, context: NailContext): Pick<PlacedPiece, 'shape' | 'outline'> {
  const { shape, outline } = element;
  if (shape !== 'own') return { shape };
  const side = sideOf(context, element);
  return { shape: 'oval', ...(outline ? { outline: turnedOver(outline, side) } : {}) };
}

function layCharm(element: Charm, context: NailContext): PlacedPiece {
  return layPiece(element, element, context, {
    kind: 'charm',
    words: element.words,
    ...formed(element, context),
    width_mm: element.width_mm,
    length_mm: element.length_mm,
    height_mm: element.height_mm,
    stiffness: 1,
    ...shownAs(element, context),
  });
}

/** What is moulded or painted over has the colour of what was used. */
function shownAs(element: Charm, context: NailContext): Pick<PlacedPiece, 'colour' | 'metallic'> {
  const made = element.painted ?? element.moulded;
  if (!made) return { colour: element.colour, metallic: element.metallic };
  return { colour: context.product(made).colour ?? element.colour, metallic: false };
}

/** How finely an outline of one's own is filled with discs. */
const DISCS_ACROSS = 9;

/** Discs over the whole of an outline, none of them standing out by more than its own radius. */
function filled(piece: PlacedPiece): Disc[] {
  const outline = pieceOutline(piece);
  const distance_mm = pieceDistance(piece);
  const pitch = Math.min(piece.width_mm, piece.length_mm) / DISCS_ACROSS;
  const range = (of: (point: Point) => number) => {
    const all = outline.map(of);
    const [low, high] = [leastOf(all), mostOf(all)];
    const count = Math.max(1, Math.round((high - low) / pitch));
    return Array.from({ length: count + 1 }, (_, i) => low + ((high - low) * i) / count);
  };
  return range((point) => point.y).flatMap((y) =>
    range((point) => point.x)
      .filter((x) => distance_mm(x, y) > 0)
      .map((x) => ({ x, y, r_mm: pitch * 0.72 })),
  );
}

/** The discs that together stand for a charm's footprint. */
function footprint(piece: PlacedPiece): Disc[] {
  if (piece.outline) return filled(piece);
  const narrow = Math.min(piece.width_mm, piece.length_mm);
  const span = Math.max(piece.width_mm, piece.length_mm) - narrow;
  const turn = ((piece.turn_deg + (piece.length_mm >= piece.width_mm ? 90 : 0)) * Math.PI) / 180;
  return [-0.5, 0, 0.5].map((t) => ({
    x: piece.x_mm + span * t * Math.cos(turn),
    y: piece.y_mm + span * t * Math.sin(turn),
    r_mm: narrow / 2,
  }));
}

const ways: Ways<Charm> = {
  // One of the same kind that fits with a little room.
  smaller: (element, { share }) => {
    const size = (mm: number) => Math.floor(mm * share * 9) / 10;
    const [width_mm, length_mm] = [size(element.width_mm), size(element.length_mm)];
    return width_mm < 1 || length_mm < 1
      ? []
      : [{ words: `Take a ${element.words} ${width_mm} mm wide`, options: { width_mm, length_mm } }];
  },
  'nearer-middle': (element) =>
    [0.8, 0.5].map((share) => ({
      words: `Set the ${element.words} nearer to the middle`,
      options: {
        across: rounded(element.across * share, 3),
        along: rounded(0.9 + (element.along - 0.9) * share, 3),
      },
    })),
  'sets-in-dark': (element) => [
    { words: `Hold the ${element.words} with glue: it sets in the dark`, options: { bedding: 'glue' } },
  ],
};

/** A charm in a bead of bedding gel, more around the rim, with the top taken around it; or glued on the top. */
export const charm = defineTechnique({
  kind: 'charm',
  words: 'Charm',
  blurb: 'A moulded charm in a bead of bedding gel with the top taken around it, or a metal one in glue.',
  schema,
  seats: ['surface', 'over'],
  usual: ({ bedding }) => HOLDINGS[bedding].seat,
  fields: [
    {
      kind: 'choice',
      path: 'shape',
      words: 'Outline',
      choices: [...CHARM_CHOICES, { value: 'own', words: 'My own, drawn' }],
    },
    { kind: 'shade', path: 'colour', words: 'Colour' },
    numberField(schema, 'width_mm', 'Width'),
    numberField(schema, 'length_mm', 'Length'),
    numberField(schema, 'height_mm', 'Height'),
    numberField(schema, 'across', 'Across'),
    numberField(schema, 'along', 'Along'),
    numberField(schema, 'turn_deg', 'Turn'),
    {
      kind: 'choice',
      path: 'bedding',
      words: 'Held by',
      choices: Object.entries(HOLDINGS).map(([value, { words }]) => ({ value, words })),
    },
    { kind: 'switch', path: 'metallic', words: 'Metal: no light comes through' },
    {
      kind: 'optional',
      path: 'moulded',
      words: 'Moulded by me, ahead',
      fresh: (pick) => pick({ families: MOULDED, coloured: true }),
    },
    { kind: 'product', path: 'moulded', words: 'Of', families: MOULDED },
    {
      kind: 'optional',
      path: 'painted',
      words: 'Painted over once it is held',
      fresh: (pick) => pick({ families: PAINTED, shows: true }),
    },
    { kind: 'product', path: 'painted', words: 'In', families: PAINTED },
    fitField('keep', 'drop'),
    seatField('usual', 'surface', 'over'),
    HAND_FIELD,
  ],
  drawn: [
    {
      words: 'Draw its outline',
      says: 'An outline of your own, drawn on the nail: it is as large and where you draw it',
      lay: (element, context, line) => {
        const own = outlineOf(line);
        if (!own) return element;
        const on = onNail(context, element);
        return {
          ...element,
          ...spotOf(own.middle, on),
          turn_deg: 0,
          shape: 'own' as const,
          outline: turnedOver(own.outline, on.side),
          width_mm: rounded(within(WIDTH, own.width_mm), 1),
          length_mm: rounded(within(LENGTH, own.length_mm), 1),
        };
      },
    },
  ],
  handles: (element, context) =>
    onPart(
      // A ready-made charm cannot be drawn larger.
      bodyHandles(
        { ...element, words: element.words, scale: 1, least_mm: WIDTH.min, most_mm: [WIDTH.max, LENGTH.max] },
        onNail(context, element),
        'fixed',
      ),
      (body) => ({ ...element, across: body.across, along: body.along, turn_deg: body.turn_deg }),
    ),
  fromShelf: {
    kind: 'charm',
    take: (element, supply) =>
      supply.kind !== 'charm'
        ? element
        : {
            ...element,
            words: supply.name,
            shape: supply.shape,
            colour: supply.colour,
            metallic: supply.metallic,
            length_mm: Math.max(0.3, supply.length_mm),
            width_mm: Math.max(0.3, supply.width_mm),
            height_mm: supply.height_mm,
          },
  },
  fresh: freshCharm,
  also: [
    {
      key: 'moulded-flower',
      words: 'Moulded flower',
      blurb: 'Pressed into a mould and cured ahead, then set in a bead like a charm.',
      fresh: (id, pick) => ({
        ...freshCharm(id),
        words: 'moulded flower',
        shape: 'rose' as const,
        width_mm: 5,
        length_mm: 5,
        height_mm: 1.6,
        metallic: false,
        bedding: 'gel' as const,
        moulded: pick({ families: MOULDED, coloured: true }),
      }),
    },
    {
      key: 'cabochon',
      words: 'Cabochon, painted over',
      blurb: 'A round stone, held first and then painted over.',
      fresh: (id, pick) => ({
        ...freshCharm(id),
        words: 'cabochon',
        width_mm: 4,
        length_mm: 4,
        height_mm: 1.6,
        metallic: false,
        bedding: 'gel' as const,
        painted: pick({ families: PAINTED, shows: true }),
      }),
    },
  ],
  ahead: (element, context) =>
    element.moulded ? mouldedAhead(element.words, context.product(element.moulded)) : [],
  goneRound: (element) => element,
  ways,
  products: ({ moulded, painted }) => [...(moulded ? [moulded] : []), ...(painted ? [painted] : [])],
  called: ({ words }) => lowerFirst(words),
  stands: (element, context) =>
    footprint(layCharm(element, context)).map((disc) => ({
      ...disc,
      r_mm: disc.r_mm + STONE_CLEARANCE_MM,
      what: 'charm' as const,
    })),
  plan: (element, context) => {
    const piece = layCharm(element, context);
    const where = spotWords(context.name)(sideOf(context, element) * element.across, element.along);
    const place: Place = { ...wholePlace(), around: footprint(piece) };
    const setting = held(
      element.bedding,
      {
        pieces: [piece],
        place,
        setWords: () => `Set the ${element.words}, ${where}`,
        forWhat: `the ${element.words}`,
        bead_s: 8,
        set_s: 14,
        more: 1.3,
      },
      context,
    );
    return element.painted
      ? [...setting, ...paintedOver(element.words, context.product(element.painted), place)]
      : setting;
  },
});

function freshCharm(id: string): Charm {
  return {
    id,
    kind: 'charm',
    fit: 'keep',
    hand: 'mirror',
    seat: 'usual',
    words: 'charm',
    across: 0,
    along: 0.8,
    width_mm: 4,
    length_mm: 3,
    height_mm: 1.2,
    turn_deg: 0,
    shape: 'oval',
    colour: '#d9b45b',
    metallic: true,
    bedding: 'glue',
  };
}
