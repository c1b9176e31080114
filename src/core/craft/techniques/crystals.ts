import * as z from 'zod/mini';
import { across_mm } from '../../geometry/frame';
import { counted } from '../../model/letters';
import { mostOf } from '../../model/extent';
import { handOf } from '../../model/names';
import { Colour, mm } from '../../model/primitives';
import { scaleOn, type NailContext } from '../context';
import { placeSays } from '../../regions/handle';
import type { PlacedPiece } from '../matter';
import { defineTechnique, ELEMENT_BASE, fitField, seatField, numberField } from '../technique';
import {
  BEDDING_FIELD,
  setStones,
  STONE_BEDDING,
  sizeField,
  STONE_SEAT,
  STONE_SIZE,
  stoneSeat,
  stonePiece,
  stockSize_mm,
  standing,
} from './stones';
import { STONE_SIZES_MM } from '../stoneSizes';

const schema = z.strictObject({
  ...ELEMENT_BASE,
  kind: z.literal('crystals'),
  /** On a smaller nail: smaller stones, the same, as many as fit, or none. */
  fit: z.enum(['scale', 'keep', 'repeat', 'drop']),
  seat: STONE_SEAT,
  /** From the middle of the cuticle curve outwards; the pattern is laid to both sides. */
  sizes: z.array(STONE_SIZE).check(z.minLength(1), z.maxLength(8)),
  /** How far the stones' edges stand off the cuticle. */
  inset_mm: mm(0.1, 10),
  gap_mm: mm(0, 5, 0.05),
  colour: Colour,
  bedding: STONE_BEDDING,
  /** Single stones off their place in the row, counted as they are laid: by share of the arc, and in mm to the tip. */
  moved: z
    .array(
      z.strictObject({
        stone: z.int().check(z.gte(1), z.lte(14)),
        across: z.number().check(z.gte(-2), z.lte(2)),
        up_mm: mm(-30, 30),
      }),
    )
    .check(z.maxLength(14)),
});
type Crystals = z.infer<typeof schema>;

/** Stones along the cuticle curve: the first in the middle, the rest in turn to both sides. */
export function layStones(element: Crystals, context: NailContext): PlacedPiece[] {
  const { frame } = context;
  const scale = scaleOn(frame, element);
  const sizes = element.sizes.map((size) => stockSize_mm(STONE_SIZES_MM[size] * scale));
  const largest = mostOf(sizes);
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
    const moved = element.moved.find((one) => one.stone === stones.length);
    const point = at(angle);
    // Drawn for the left hand, as the row is.
    const x = point.x + (moved ? across_mm(frame, moved.across) : 0);
    const y = point.y + (moved ? moved.up_mm : 0);
    stones.push(stonePiece({ x: handOf(context.name) === 'right' ? -x : x, y }, size, element.colour));
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

/** Crystals along the cuticle, set in wet top or bedded with the top taken around them. */
export const crystals = defineTechnique({
  kind: 'crystals',
  words: 'Crystals',
  blurb: 'Stones in an arc along the cuticle, the largest in the middle.',
  schema,
  extra: true,
  seats: ['surface', 'over'],
  usual: stoneSeat,
  fields: [
    {
      kind: 'list',
      path: 'sizes',
      words: 'Sizes from the middle outwards',
      item: [sizeField('')],
      fresh: 'SS5',
      min: 1,
      max: 8,
    },
    { kind: 'shade', path: 'colour', words: 'Colour' },
    numberField(schema, 'inset_mm', 'Off the cuticle'),
    numberField(schema, 'gap_mm', 'Gap'),
    BEDDING_FIELD,
    fitField('scale', 'keep', 'repeat', 'drop'),
    seatField('usual', 'surface', 'over'),
  ],
  handles: (element, context) => {
    const stones = layStones(element, context);
    const side = handOf(context.name) === 'right' ? -1 : 1;
    return stones.map((stone, i) => {
      const at = { x: stone.x_mm, y: stone.y_mm };
      if (i === 0)
        return {
          id: 'row',
          words: 'row of stones',
          at,
          says: `${element.inset_mm.toFixed(1)} mm off the cuticle`,
          move: ({ y }) => ({ ...element, inset_mm: clampTo(y - (stone.y_mm - element.inset_mm), 0.1, 10) }),
        };
      return {
        id: `stone-${i}`,
        words: `stone ${i + 1}`,
        at,
        says: placeSays(at),
        move: (to) => {
          const before = element.moved.find((one) => one.stone === i) ?? { across: 0, up_mm: 0 };
          const across = before.across + (side * 2 * (to.x - at.x)) / context.frame.arc_mm;
          const moved = {
            stone: i,
            across: clampTo(across, -2, 2, 1000),
            up_mm: clampTo(before.up_mm + to.y - at.y, -30, 30),
          };
          return { ...element, moved: [...element.moved.filter((one) => one.stone !== i), moved] };
        },
      };
    });
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
    moved: [],
  }),
  ways: {
    quicker: ({ sizes }) =>
      sizes.length > 2
        ? [{ words: 'in a shorter row', options: { sizes: sizes.slice(0, Math.ceil(sizes.length / 2)) } }]
        : [],
  },
  products: () => [],
  called: ({ sizes }) => counted(2 * sizes.length - 1, 'crystal'),
  stands: (element, context) => standing(layStones(element, context), context),
  plan: (element, context) =>
    setStones(
      layStones(element, context),
      element.bedding,
      context,
      ' along the cuticle, from the middle outwards',
    ),
});

function clampTo(value: number, least: number, most: number, per = 100): number {
  return Math.round(Math.max(least, Math.min(most, value)) * per) / per;
}
