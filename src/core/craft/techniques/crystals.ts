import * as z from 'zod';
import type { Disc } from '../../geometry/regions';
import { Colour, mm } from '../../model/primitives';
import type { Draft, Place, PlacedPiece } from '../operation';
import { scaleOn, STONE_CLEARANCE_MM, wholePlace, type NailContext } from '../context';
import { flashOf } from '../drafts';
import { HAND_S } from '../handwork';
import { defineTechnique, ELEMENT_BASE, fitField, seatField } from '../technique';
import { STONE_HEIGHT_SHARE, STONE_SIZES, STONE_SIZES_MM, type StoneSize } from './stones';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('crystals'),
  /** On a smaller nail: smaller stones, the same, as many as fit, or none. */
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  seat: z.enum(['usual', 'surface', 'over']),
  /** From the middle of the cuticle curve outwards; the pattern is laid to both sides. */
  sizes: z
    .array(z.enum(STONE_SIZES as [StoneSize, ...StoneSize[]]))
    .min(1)
    .max(8),
  /** How far the stones' edges stand off the cuticle. */
  inset_mm: mm(0.1, 10),
  gap_mm: mm(0, 5),
  colour: Colour,
  bedding: z.enum(['practice', 'wet-top', 'bedded']),
});
type Crystals = z.infer<typeof schema>;

/** Stones do not shrink: a smaller nail takes the largest stock size that is no larger than asked. */
function stockSize_mm(wanted_mm: number): number {
  const sizes = Object.values(STONE_SIZES_MM);
  return Math.max(sizes[0]!, ...sizes.filter((size) => size <= wanted_mm + 1e-9));
}

/** Stones along the cuticle curve: the first in the middle, the rest in turn to both sides. */
export function layStones(element: Crystals, context: NailContext): PlacedPiece[] {
  const { frame } = context;
  const scale = scaleOn(frame, element);
  const sizes = element.sizes.map((size) => stockSize_mm(STONE_SIZES_MM[size] * scale));
  const largest = Math.max(...sizes);
  const room = frame.halfWidth_mm(Math.min(frame.bed_mm * 0.5, frame.length_mm / 2)) - element.inset_mm;
  const depth = Math.max(0.2, Math.min(room * 0.75, frame.bed_mm * 0.45));
  const bottom = element.inset_mm + largest / 2;
  // A flattened arc that follows the cuticle, centred on the nail.
  const at = (angle: number) => ({
    x: (room - largest / 2) * Math.sin(angle),
    y: bottom + depth * (1 - Math.cos(angle)),
  });
  const stones: PlacedPiece[] = [];
  const put = (size: number, angle: number) => {
    const point = at(angle);
    stones.push({
      kind: 'stone',
      words: 'stone',
      shape: 'oval',
      x_mm: point.x,
      y_mm: point.y,
      width_mm: size,
      length_mm: size,
      height_mm: size * STONE_HEIGHT_SHARE,
      turn_deg: 0,
      stiffness: 1,
      colour: element.colour,
      metallic: false,
    });
  };
  put(sizes[0]!, 0);
  let angle = 0;
  let previous = at(0);
  let previousSize = sizes[0]!;
  for (const size of sizes.slice(1)) {
    const want = (previousSize + size) / 2 + element.gap_mm;
    let next = angle;
    while (next < Math.PI / 2 && Math.hypot(at(next).x - previous.x, at(next).y - previous.y) < want)
      next += 0.01;
    const fits = next < Math.PI / 2;
    if (!fits && element.fit === 'repeat') break;
    angle = fits ? next : angle + want / Math.max(1, room);
    previous = at(angle);
    previousSize = size;
    put(size, angle);
    put(size, -angle);
  }
  return stones;
}

function withClearance(stone: PlacedPiece): Disc {
  return { x: stone.x_mm, y: stone.y_mm, r_mm: stone.width_mm / 2 + STONE_CLEARANCE_MM };
}

function beddingOf(element: Crystals, context: NailContext): 'wet-top' | 'bedded' {
  return element.bedding === 'practice' ? context.practice.stones : element.bedding;
}

/** Crystals along the cuticle, set in wet top or bedded with the top taken around them. */
export const crystals = defineTechnique({
  kind: 'crystals',
  words: 'Crystals',
  blurb: 'Stones in an arc along the cuticle, the largest in the middle.',
  schema,
  extra: true,
  seats: ['surface', 'over'],
  // Set in the wet top they stand on it; bedded they come first and the top is taken around them.
  usual: (element, context) => (beddingOf(element, context) === 'wet-top' ? 'over' : 'surface'),
  fields: [
    {
      kind: 'list',
      path: 'sizes',
      words: 'Sizes from the middle outwards',
      item: [
        {
          kind: 'choice',
          path: '',
          words: 'Size',
          choices: STONE_SIZES.map((size) => ({
            value: size,
            words: `${size} · ${STONE_SIZES_MM[size]} mm`,
          })),
        },
      ],
      fresh: 'SS5',
      min: 1,
      max: 8,
    },
    { kind: 'colour', path: 'colour', words: 'Colour' },
    { kind: 'number', path: 'inset_mm', words: 'Off the cuticle', unit: 'mm', min: 0.1, max: 10, step: 0.1 },
    { kind: 'number', path: 'gap_mm', words: 'Gap', unit: 'mm', min: 0, max: 5, step: 0.05 },
    {
      kind: 'choice',
      path: 'bedding',
      words: 'Set',
      choices: [
        { value: 'practice', words: 'As I work' },
        { value: 'wet-top', words: 'In wet top' },
        { value: 'bedded', words: 'Bedded, top around' },
      ],
    },
    fitField('scale', 'keep', 'repeat', 'drop'),
    seatField('usual', 'surface', 'over'),
  ],
  handles: (element, context) => {
    const [first] = layStones(element, context);
    if (!first) return [];
    const radius = first.width_mm / 2;
    return [
      {
        id: 'row',
        words: 'row of stones',
        at: { x: first.x_mm, y: first.y_mm },
        says: `${element.inset_mm.toFixed(1)} mm off the cuticle`,
        move: ({ y }) => ({
          ...element,
          inset_mm: Math.round(Math.max(0.1, Math.min(10, y - radius)) * 100) / 100,
        }),
      },
    ];
  },
  fromShelf: {
    kind: 'stone',
    // The size taken is the one in the middle; what the pattern has besides goes on from there.
    take: (element, supply) =>
      supply.kind !== 'stone'
        ? element
        : {
            ...element,
            colour: supply.colour,
            sizes: [supply.size, ...element.sizes.filter((size) => size !== supply.size)].slice(0, 8),
          },
  },
  fresh: (id) => ({
    id,
    kind: 'crystals' as const,
    fit: 'repeat' as const,
    seat: 'usual' as const,
    sizes: ['SS9' as const, 'SS5' as const, 'SS3' as const],
    inset_mm: 0.6,
    gap_mm: 0.15,
    colour: '#e9f1f5',
    bedding: 'practice' as const,
  }),
  products: () => [],
  stands: (element, context) => layStones(element, context).map(withClearance),
  plan: (element, context) => {
    const stones = layStones(element, context);
    const place = discsPlace(stones);
    const set: Draft = {
      step: 'set',
      verb: 'set-in-top',
      words: `Set ${stones.length} ${stones.length === 1 ? 'stone' : 'stones'}`,
      place,
      deposit: { kind: 'pieces', pieces: stones, pressed: true },
      hand_s: HAND_S['set-in-top'] * stones.length,
      reason: 'Set in the wet top coat and cured with it: the quick way.',
    };
    if (beddingOf(element, context) === 'wet-top') return [set];
    const bedding = context.role('bedding');
    const t_um = bedding.coat_um ?? 150;
    return [
      {
        step: 'bead',
        verb: 'bead',
        words: `Beads of ${bedding.name}`,
        product: bedding.id,
        place,
        deposit: { kind: 'conformal', t_um },
        hand_s: HAND_S.bead * stones.length,
        reason: 'Each stone sits in a bead of its own; the top is taken around them and keeps their fire.',
      },
      {
        ...set,
        verb: 'set-in-bead',
        reason: 'Set while the bead is wet; tweezers or a wax pen, largest first.',
      },
      flashOf(bedding, t_um, place, 'A flash fixes the stones before the brush comes near them.'),
    ];
  },
});

/** The place of a row of stones: a band around them, so that areas are theirs and not the whole nail's. */
function discsPlace(stones: readonly PlacedPiece[]): Place {
  return {
    ...wholePlace(),
    around: stones.map((s) => ({ x: s.x_mm, y: s.y_mm, r_mm: s.width_mm / 2 })),
  };
}
